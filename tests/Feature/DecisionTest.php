<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gates\Decision;
use App\Gates\Placement;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
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
