<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Seasons\Season;
use App\Sessions\FitTheDay;
use App\Sessions\MakeSheets;
use App\Sessions\RefitPlans;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Day;
use Database\Factories\TrainingSessionFactory;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Two things planned for one day of an athlete whose limit holds one of them: which gives way, whatever came first. */
#[Group('once')]
final class WhoComesFirstTest extends TestCase
{
    private Athlete $mira;

    private Squad $squad;

    private Day $on;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->mira = $this->athlete('Mira');
        $this->squad = $this->smallSquad('Mira');
        $this->on = $this->coach()->workspace->today()->plus(3);
        // Nothing else is planned, no season follows, and the day holds one session but not two.
        Season::query()->where('athlete_id', $this->mira->id)->update(['state' => 'closed']);
        Sheet::query()->where('athlete_id', $this->mira->id)->where('state', 'planned')->update(['state' => Sheet::CALLED_OFF]);
        $this->postJson("/api/athletes/{$this->mira->id}/limit-shares", ['limit_id' => 'arm-day', 'share' => 0.15, 'reason' => null])
            ->assertNoContent();
    }

    public function test_a_seasons_own_session_gives_way_to_the_squads_whichever_was_planned_first(): void
    {
        $doses = [];
        foreach ([['extra', 'squads'], ['squads', 'extra']] as $order) {
            $sheets = [];
            foreach ($order as $which) {
                $sheets[$which] = $this->planned('18:00', isExtra: $which === 'extra', title: $which);
            }
            $doses[] = [$this->reps($sheets['squads']), $this->reps($sheets['extra'])];
            $this->assertSame([], $this->getJson("/api/sheets/{$sheets['squads']->id}")->json('broken'));
            $extra = $this->getJson("/api/sheets/{$sheets['extra']->id}")->assertOk();
            $this->assertSame([], $extra->json('broken'));
            $this->assertContains(
                'The session at 18:00 (“squads”) comes first on this day: this session gave way and got what was left.',
                $extra->json('trims'),
            );
            $this->clear();
        }
        $this->assertSame($doses[0], $doses[1], 'whatever order they were planned in');
        $this->assertGreaterThan($doses[0][1], $doses[0][0]);
    }

    public function test_of_two_sessions_of_a_day_the_later_hour_gives_way(): void
    {
        $evening = $this->planned('18:00', title: 'Evening');
        $alone = $this->reps($evening);
        $morning = $this->planned('09:00', title: 'Morning');
        $this->assertSame($alone, $this->reps($morning));
        $this->assertLessThan($alone, $this->reps($evening));
        $this->assertStringContainsString('“Morning”', implode(' ', $this->getJson("/api/sheets/{$evening->id}")->json('trims')));
        $this->assertStringNotContainsString('gave way', implode(' ', $this->getJson("/api/sheets/{$morning->id}")->json('trims')));
        // Called off, its room is there again.
        $this->postJson("/api/sessions/{$morning->training_session_id}/call-off", ['scope' => 'one', 'reason' => 'Rain'])->assertOk();
        $this->assertSame($alone, $this->reps($evening));
    }

    public function test_what_a_coach_set_by_hand_does_not_give_way(): void
    {
        $extra = $this->planned('18:00', isExtra: true, title: 'Own');
        $byHand = $extra->blocks->map(fn ($block): array => $block->only(['id', 'sets', 'reps', 'effort', 'distance_m']))->all();
        $this->putJson("/api/sheets/{$extra->id}", ['version' => $extra->version, 'blocks' => $byHand])->assertOk();
        $alone = $this->reps($extra);
        $squads = $this->planned('17:00', title: 'Squad’s');
        $this->assertSame($alone, $this->reps($extra));
        $this->assertLessThan($alone, $this->reps($squads));
    }

    public function test_a_night_changes_nothing_once_each_has_what_it_gets(): void
    {
        $extra = $this->planned('09:00', isExtra: true, title: 'Own');
        $squads = $this->planned('18:00', title: 'Squad’s');
        $before = [$this->reps($extra), $this->reps($squads)];
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        RefitPlans::ofAthlete($this->mira->id);
        $this->assertSame($before, [$this->reps($extra), $this->reps($squads)]);
    }

    private function planned(string $at, bool $isExtra = false, string $title = 'Session'): Sheet
    {
        $session = TrainingSessionFactory::new()->create([
            'squad_id' => $this->squad->id, 'held_on' => $this->on->iso(), 'starts_at' => $at, 'title' => $title, 'extra' => $isExtra,
        ]);
        $placement = MakeSheets::standing($this->mira->id)->firstOrFail();
        $sheet = Sheet::planned($session, $placement);
        $sheet->save();
        RefitPlans::afterCommit($sheet);

        return $sheet->refresh()->load('blocks');
    }

    private function reps(Sheet $sheet): int
    {
        return (int) $sheet->blocks()->sum('reps');
    }

    private function clear(): void
    {
        TrainingSession::query()->where('squad_id', $this->squad->id)->update(['state' => 'called_off']);
        Sheet::query()->where('athlete_id', $this->mira->id)->where('state', 'planned')->update(['state' => Sheet::CALLED_OFF]);
    }
}
