<?php

declare(strict_types=1);

namespace App\Athletes;

use Augendo\Core\Day;
use Augendo\Core\Limits\Adjustment;
use Illuminate\Support\Facades\DB;

/** Heights of many athletes, and how fast each grows. */
final class Heights
{
    /** @var array<string, list<array{Day, float, bool}>> by athlete, oldest first, and whether each is doubted */
    private array $heights = [];

    /** @param  list<string>  $athleteIds */
    public function __construct(array $athleteIds, private readonly Day $on)
    {
        $rows = DB::table('heights')
            ->whereIn('athlete_id', $athleteIds)
            ->where('measured_on', '<=', $on->iso())
            ->whereNull('withdrawn_at')
            ->orderBy('measured_on')
            ->orderBy('recorded_at')
            ->get();
        foreach ($rows as $row) {
            $this->heights[$row->athlete_id][] = [Day::of(substr($row->measured_on, 0, 10)), (float) $row->height_cm, (bool) $row->doubted];
        }
    }

    /** @return float|null centimetres a month; null when nothing near enough is known */
    public function growthCmAMonth(string $athleteId): ?float
    {
        return Adjustment::growthCmAMonth($this->heights[$athleteId] ?? [], $this->on);
    }

    /**
     * @return Day|null the day of the latest height of somebody who is measured to grow fast: what was thrown before it
     *         was thrown by a shorter body
     */
    public function grewSince(string $athleteId): ?Day
    {
        $growth = $this->growthCmAMonth($athleteId);

        return $growth === null || ! Adjustment::isGrowingFast($growth, null)
            ? null
            : $this->heights[$athleteId][array_key_last($this->heights[$athleteId])][0];
    }
}
