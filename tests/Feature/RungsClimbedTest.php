<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Gates\Placement;
use App\Seasons\RungsClimbed;
use Augendo\Core\Planning\LearningRate;
use Database\Factories\PlacementFactory;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** How many sessions a rung took whom, read from where they stood and what they did there. */
#[Group('once')]
final class RungsClimbedTest extends TestCase
{
    public function test_a_rung_counts_from_when_it_was_entered_to_the_decision_that_left_it(): void
    {
        $mira = $this->athlete('Mira');
        $rate = $this->rate($mira);
        $this->assertSame(1, $rate->ownRungs);
        $this->assertGreaterThan(3, $rate->squadRungs);
        [$from, $to] = Placement::query()->where('athlete_id', $mira->id)->orderBy('entered_at')->get()->all();
        $held = DB::table('sheets')->where('athlete_id', $mira->id)->where('rung', $from->rung)->where('state', 'finished')
            ->where('held_on', '>=', substr($from->entered_on, 0, 10))->where('held_on', '<=', substr($to->entered_on, 0, 10));
        $this->assertGreaterThan(1, $held->count());
        $before = $rate->likely;
        // Every second of them is not finished: she would have needed half as many.
        (clone $held)->limit(intdiv($held->count(), 2))->update(['state' => 'called_off']);
        $this->assertLessThan($before, $this->rate($mira)->likely);
    }

    public function test_a_place_given_without_a_decision_is_nothing_climbed_and_somebody_new_has_the_squads_rate(): void
    {
        $ravi = $this->athlete('Ravi');
        $new = $this->rate($ravi);
        $this->assertSame(0, $new->ownRungs);
        $this->assertGreaterThan(3, $new->squadRungs);
        PlacementFactory::new()->create(['athlete_id' => $ravi->id, 'rung' => 'pose', 'decision_id' => null]);
        $this->assertSame(0, $this->rate($ravi)->ownRungs, 'placed there by hand');
    }

    public function test_a_session_without_a_judged_repetition_is_none_on_its_rung(): void
    {
        $mira = $this->athlete('Mira');
        $before = $this->rate($mira);
        $sheets = DB::table('sheets')->where('athlete_id', $mira->id)->select('id');
        DB::table('sheet_blocks')->whereIn('sheet_id', $sheets)->update(['judged' => false]);
        $after = $this->rate($mira);
        $this->assertSame([1, 0], [$before->ownRungs, $after->ownRungs]);
    }

    private function rate(Athlete $athlete): LearningRate
    {
        $squad = $athlete->squads()->firstOrFail();

        return app(RungsClimbed::class)->rate($athlete->id, $squad, $squad->workspace->today());
    }
}
