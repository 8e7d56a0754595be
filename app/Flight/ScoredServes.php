<?php

declare(strict_types=1);

namespace App\Flight;

use App\Courtside\Scores;
use Augendo\Core\Day;
use Augendo\Core\Flight\ServeCounts;
use Augendo\Core\Library\CourtBox;
use Augendo\Core\Library\LibraryCourt;
use Augendo\Core\Scoring\ScoreKind;
use Illuminate\Support\Facades\DB;

/** Where the serves went that were scored courtside of late, on one box of a court. */
final readonly class ScoredServes
{
    /**
     * @param  array{in: int, net: int, long: int, right: int, left: int}  $counts
     * @param  string|null  $since  the first day of them; null: none was scored
     * @param  array{int, int}  $seconds  second serves that came in, and all of them
     */
    private function __construct(public array $counts, public ?string $since, public array $seconds) {}

    public static function of(string $athleteId, LibraryCourt $court, CourtBox $box, Day $on): self
    {
        $rows = DB::table('scores')
            ->where('athlete_id', $athleteId)
            ->where('setup', 'like', "% on={$court->id}:{$box->id}")
            ->where('day', '>', $on->plus(-ServeCounts::LAST_DAYS)->iso())
            ->where('day', '<=', $on->iso())
            ->whereNull('withdrawn_at')
            ->orderBy('day')
            ->get(['day', 'kind', 'seen']);
        $counts = ['in' => 0, 'net' => 0, 'long' => 0, 'right' => 0, 'left' => 0];
        $seconds = [0, 0];
        foreach ($rows as $row) {
            $seen = json_decode($row->seen, true);
            $went = $seen['counts'] ?? [];
            $counts['in'] += $went['hit'] ?? 0;
            foreach (['net', 'long', 'right', 'left'] as $way) {
                $counts[$way] += $went[$way] ?? 0;
            }
            [$in, $all] = Scores::read(ScoreKind::from($row->kind), $seen)->second ?? [0, 0];
            $seconds = [$seconds[0] + $in, $seconds[1] + $all];
        }

        return new self($counts, $rows->isEmpty() ? null : substr($rows[0]->day, 0, 10), $seconds);
    }

    /** @return float|null the share of second serves that come in; null: too few to say */
    public function second(): ?float
    {
        return $this->seconds[1] < ServeCounts::LEAST ? null : round($this->seconds[0] / $this->seconds[1], 2);
    }
}
