<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Courtside\RepEvent;
use App\Gates\Decision;
use App\Gates\Placement;
use App\People\Role;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

final class DecisionTest extends TestCase
{
    public function test_advancing_freezes_the_evidence_and_plans_the_next_rung(): void
    {
        $mira = $this->athlete('Mira');
        $id = (string) Str::uuid7();
        $this->decide('Mira', 'advance', ['id' => $id])->assertNoContent();
        $decision = Decision::query()->findOrFail($id);
        $this->assertSame(['line', 'thirds'], [$decision->rung, $decision->to_rung]);
        $this->assertCount(10, $decision->evidence['gate']['criteria']);
        $this->assertSame('thirds', Placement::query()->where('athlete_id', $mira->id)->orderByDesc('entered_at')->value('rung'));
        $this->assertSame(
            ['thirds'],
            $mira->sheets()->where('held_on', '>', $this->coach()->workspace->today()->iso())->distinct()->pluck('rung')->all(),
        );

        // The same decision sent again is the same decision; another on the old rung is stale.
        $this->decide('Mira', 'advance', ['id' => $id, 'rung' => 'line'])->assertNoContent();
        $this->assertSame(1, Decision::query()->whereKey($id)->count());
        $this->decide('Mira', 'repeat', ['rung' => 'line'])->assertStatus(409);
        // Old repetitions are no evidence for the new rung.
        $this->getJson("/api/athletes/{$mira->id}")->assertJsonPath('ladders.0.gate.observed', 0);
    }

    public function test_the_mechanics_may_be_overridden_with_a_reason_and_nothing_else(): void
    {
        $this->decide('Pia', 'advance')->assertStatus(422)->assertJsonPath('title', 'A reason is needed');
        $this->decide('Pia', 'advance', ['reason' => 'short'])->assertStatus(422);
        $this->decide('Pia', 'advance', ['reason' => 'She threw well at school all month; I watched.'])->assertNoContent();
        $this->assertSame(['mechanics'], Decision::query()->where('rung', 'kneel')->latest('decided_at')->firstOrFail()->overridden);
        // Not checked in, a sore knee, an open referral: nobody passes over these.
        foreach (['Jonah' => 'today’s word', 'Noor' => 'today’s word', 'Sofie' => 'clearance'] as $name => $firm) {
            $answer = $this
                ->decide($name, 'advance', ['reason' => 'I am the coach and I say so, today.'])
                ->assertStatus(422)
                ->assertJsonPath('title', 'Not yet');
            $this->assertStringContainsString($firm, $answer->json('detail'));
        }
    }

    public function test_stepping_back_starts_the_evidence_anew(): void
    {
        $this->decide('Kaito', 'step_back')->assertNoContent();
        $this->assertSame(
            'pose',
            Placement::query()->where('athlete_id', $this->athlete('Kaito')->id)->orderByDesc('entered_at')->value('rung'),
        );
        $this->decide('Ravi', 'step_back')->assertStatus(422)->assertJsonPath('title', 'Foot of the ladder');
    }

    #[Group('once')]
    public function test_a_decision_that_would_not_pass_any_more_is_put_before_the_coach_and_nothing_changes_by_itself(): void
    {
        $mira = $this->athlete('Mira');
        $this->decide('Mira', 'advance')->assertNoContent();
        $decision = Decision::query()->where('athlete_id', $mira->id)->latest('decided_at')->firstOrFail();
        $sheets = $this->evidence($mira, 'line');
        // Repetitions taken back until the rate does not hold any more: the good ones of the latest sessions.
        $taken = [];
        foreach ($sheets as $sheet) {
            $good = $sheet->events()->where('kind', 'rep')->where('verdict', 'good')->orderByDesc('seq')->limit(12)->get();
            $taken[$sheet->id] = $good->map(fn (RepEvent $rep): array => $this->withdraws($rep))->all();
            $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $taken[$sheet->id]])->assertOk();
            if ($this->looks() !== []) {
                break;
            }
        }
        $look = $this->looks()[0];
        $this->assertSame($decision->id, $look['decision_id']);
        $this->assertStringStartsWith('Mira moved on to “Thirds of the court”, ', $look['sentence']);
        $this->assertStringContainsString('it would not pass any more: ', $look['sentence']);
        $this->assertSame('From the base line', $look['takes_back_to']);
        $this->assertSame($decision->evidence, $decision->fresh()->evidence, 'what was decided on stays as it was');
        $this->assertSame('thirds', $this->rungOf($mira));
        $this->assertSame([$look], $this->getJson("/api/athletes/{$mira->id}")->json('second_looks'));

        $path = "/api/athletes/{$mira->id}/decisions/{$decision->id}/second-look";
        $this->postJson($path, ['answer' => 'left', 'reason' => ''])->assertStatus(422);
        $this->actingAs($this->person(Role::Assistant))->postJson($path, ['answer' => 'left', 'reason' => 'no'])->assertForbidden();
        $this->actingAs($this->coach())->postJson($path, ['answer' => 'taken back', 'reason' => 'Counted for Dario'])->assertNoContent();
        $this->assertSame('line', $this->rungOf($mira));
        $this->assertSame([], $this->looks());
        $this->postJson($path, ['answer' => 'left', 'reason' => 'Once more'])->assertStatus(409);
    }

    #[Group('once')]
    public function test_a_decision_left_as_it_is_is_not_asked_about_again_and_one_put_right_is_forgotten(): void
    {
        $mira = $this->athlete('Mira');
        $this->decide('Mira', 'advance')->assertNoContent();
        $sheets = $this->evidence($mira, 'line');
        $withdrawn = [];
        foreach ($sheets as $sheet) {
            $good = $sheet->events()->where('kind', 'rep')->where('verdict', 'good')->get();
            $withdrawn[$sheet->id] = $good->map(fn (RepEvent $rep): array => $this->withdraws($rep))->all();
            $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $withdrawn[$sheet->id]])->assertOk();
        }
        $look = $this->looks()[0];
        $this->assertSame(1, DB::table('second_looks')->count());
        $this->postJson(
            "/api/athletes/{$mira->id}/decisions/{$look['decision_id']}/second-look",
            ['answer' => 'left', 'reason' => 'I saw them myself'],
        )->assertNoContent();
        $first = $sheets[0];
        $bad = $first->events()->where('kind', 'rep')->where('verdict', '!=', 'good')->first();
        if ($bad !== null) {
            $this->postJson("/api/sheets/{$first->id}/events", ['events' => [$this->withdraws($bad)]])->assertOk();
        }
        $this->assertSame([], $this->looks());
        $this->assertSame('thirds', $this->rungOf($mira));
    }

    /** @return list<Sheet> finished ones on a rung, the latest first */
    private function evidence(Athlete $athlete, string $rung): array
    {
        return $athlete->sheets()->where('rung', $rung)->where('state', 'finished')->orderByDesc('held_on')->get()->all();
    }

    /** @return array<string, mixed> */
    private function withdraws(RepEvent $rep): array
    {
        return $this->tap(SheetBlock::query()->findOrFail($rep->block_id), 1, [
            'kind' => 'withdraw', 'target_id' => $rep->id, 'verdict' => null, 'effort' => null, 'distance_m' => null,
            'device' => (string) Str::uuid7(),
        ]);
    }

    /** @return list<array<string, mixed>> */
    private function looks(): array
    {
        return $this->getJson('/api/today')->assertOk()->json('second_looks');
    }

    private function rungOf(Athlete $athlete): string
    {
        return Placement::query()->where('athlete_id', $athlete->id)->orderByDesc('entered_at')->orderByDesc('id')->value('rung');
    }

    /** @param  array<string, mixed>  $with */
    private function decide(string $name, string $action, array $with = []): TestResponse
    {
        $athlete = $this->athlete($name);
        $ladder = $this->actingAs($this->coach())->getJson("/api/athletes/{$athlete->id}")->json('ladders.0');

        return $this->postJson("/api/athletes/{$athlete->id}/decisions", [
            'id' => (string) Str::uuid7(), 'ladder' => $ladder['id'], 'rung' => $ladder['current'], 'action' => $action,
            'reason' => null, ...$with,
        ]);
    }
}
