<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Limits\CarriedLoads;
use App\Sessions\FitTheDay;
use Augendo\Core\Day;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What is carried of an old record changes the speed of an answer, never the answer. */
#[Group('once')]
final class CarriedWorkTest extends TestCase
{
    private const SCREENS = ['/api/today', '/api/gates', '/api/athletes/%s', '/api/athletes/%s/load', '/api/limits'];

    public function test_every_screen_says_the_same_with_old_work_carried_and_without(): void
    {
        $this->actingAs($this->coach());
        $on = $this->coach()->workspace->today();
        $athletes = Athlete::query()->whereIn('given_name', ['Mira', 'Pia', 'Oskar'])->get();
        foreach ($athletes as $athlete) {
            $this->workOfThreeMonths($athlete, $on);
        }
        $without = $this->answers($athletes->all());
        FitTheDay::dispatchSync($this->coach()->workspace_id);
        $this->assertGreaterThanOrEqual($athletes->count(), DB::table('carried_work')->count());
        $this->assertEquals($without, $this->answers($athletes->all()));
        // Carried on two weeks later, from where it stood.
        $carry = app(CarriedLoads::class);
        $carry->carry($athletes->firstOrFail(), $on->plus(20));
        $stood = DB::table('carried_work')->where('athlete_id', $athletes->firstOrFail()->id)->first();
        DB::table('carried_work')->delete();
        $carry->carry($athletes->firstOrFail(), $on->plus(20));
        $anew = DB::table('carried_work')->where('athlete_id', $athletes->firstOrFail()->id)->first();
        $this->assertSame($anew?->through, $stood?->through);
        $this->assertEqualsWithDelta(
            collect(json_decode((string) $anew?->kinds, true))->sort()->values()->all(),
            collect(json_decode((string) $stood?->kinds, true))->sort()->values()->all(),
            1e-9,
        );
    }

    public function test_work_entered_late_or_corrected_is_never_hidden_by_what_was_carried(): void
    {
        $on = $this->coach()->workspace->today();
        $mira = $this->athlete('Mira');
        $this->workOfThreeMonths($mira, $on);
        $carried = fn (): int => DB::table('carried_work')->where('athlete_id', $mira->id)->count();
        $carry = app(CarriedLoads::class);
        $carry->carry($mira, $on);
        $this->assertSame(1, $carried());
        DailyTotals::refresh($mira->id, $on->plus(-3)->iso());
        $this->assertSame(1, $carried());
        $this->work($mira, $on->plus(-60), 55.0);
        $this->assertSame(0, $carried());
        $carry->carry($mira, $on);
        DailyTotals::rebuild();
        $this->assertSame(0, $carried());
        // Before there is anything old enough, and for the day before the last carrying, nothing is carried.
        $carry->carry($mira, $on);
        $this->assertNotNull($carry->before([$mira->id], $on)[$mira->id][2]);
        $this->assertNull($carry->before([$mira->id], $on->plus(-1))[$mira->id][2]);
    }

    /**
     * @param  list<Athlete>  $athletes
     * @return list<mixed>
     */
    private function answers(array $athletes): array
    {
        DB::table('kept_rows')->delete();
        $answers = [];
        foreach ($athletes as $athlete) {
            foreach (self::SCREENS as $path) {
                $answers[] = $this->rounded($this->getJson(sprintf($path, $athlete->id))->assertOk()->json());
            }
        }

        return $answers;
    }

    /** Sums in another order differ in the last digits. */
    private function rounded(mixed $answer): mixed
    {
        return match (true) {
            is_array($answer) => array_map($this->rounded(...), $answer),
            is_float($answer) => round($answer, 6),
            default => $answer,
        };
    }

    private function workOfThreeMonths(Athlete $athlete, Day $on): void
    {
        for ($back = 110; $back > 30; $back -= $back % 7 === 0 ? 5 : 2) {
            $this->work($athlete, $on->plus(-$back), 20.0 + $back % 13);
        }
    }

    private function work(Athlete $athlete, Day $day, float $arm): void
    {
        DB::table('work_sets')->insert([
            'athlete_id' => $athlete->id, 'day' => $day->iso(), 'session' => "late {$day->iso()}", 'skill' => 'float-serve',
            'source' => 'entered', 'object' => 'volleyball', 'reps' => 12, 'effort' => 0.7, 'implement' => 'standard',
            'side' => $arm > 30 ? 'other' : 'dominant', 'count_reps' => 12, 'arm' => $arm, 'legs' => 2,
        ]);
        DailyTotals::refresh($athlete->id, $day->iso());
    }
}
