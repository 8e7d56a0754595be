<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\AthleteDay;
use Augendo\Core\Load\Side;
use Augendo\Core\Mechanics\Statistics;
use Illuminate\Support\Facades\DB;

/** How fast somebody serves: as measured serve by serve of late, else by the test on record. */
final readonly class ServeSpeed
{
    private const LAST_DAYS = 60;

    /** The latest so many; fewer than the least are no usual speed. */
    private const LATEST = 40;

    private const LEAST = 5;

    /**
     * @param  'gun'|'test'  $from
     * @param  int  $serves  it is the middle one of; 0 of a test
     */
    private function __construct(public float $speedMs, public string $from, public int $serves) {}

    /** @return self|null null: nobody has measured one */
    public static function of(AthleteDay $day, string $skill): ?self
    {
        $speeds = DB::table('work_sets')
            ->where('athlete_id', $day->athlete->id)
            ->where('skill', $skill)
            ->where('side', Side::Dominant->value)
            ->whereNotNull('speed_ms')
            ->where('day', '>', $day->on->plus(-self::LAST_DAYS)->iso())
            ->where('day', '<=', $day->on->iso())
            ->orderByDesc('day')
            ->orderByDesc('id')
            ->limit(self::LATEST)
            ->pluck('speed_ms')
            ->map(fn (mixed $ms): float => (float) $ms)
            ->all();
        if (count($speeds) >= self::LEAST) {
            return new self(round(Statistics::median($speeds), 1), 'gun', count($speeds));
        }
        $tested = $day->load->profile->referenceSpeedMs[$skill] ?? null;

        return $tested === null ? null : new self($tested, 'test', 0);
    }
}
