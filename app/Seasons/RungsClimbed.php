<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Squad;
use App\Gates\Placement;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Planning\LearningRate;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** How many sessions the rungs took that an athlete and the squad have climbed, and the rate at which the next ones are expected. */
final class RungsClimbed
{
    /** What somebody climbed longer ago says little of them now. */
    private const LOOK_BACK_DAYS = 400;

    public function __construct(private readonly Library $library) {}

    public function rate(string $athlete, Squad $squad, Day $today): LearningRate
    {
        $ids = [...$squad->athletes()->whereNull('erased_at')->pluck('athletes.id')->all(), $athlete];
        $since = $today->plus(-self::LOOK_BACK_DAYS)->iso();
        $sessions = $this->sessions($ids, $since);
        $own = $others = [];
        $placements = Placement::query()
            ->whereIn('athlete_id', $ids)
            ->where('entered_on', '>=', $since)
            ->orderBy('athlete_id')->orderBy('ladder')->orderBy('entered_at')->orderBy('id')
            ->get();
        foreach ($this->climbed($placements) as [$from, $to]) {
            $rung = $this->library->ladder($from->ladder)->rung($from->rung);
            $held = array_filter(
                $sessions["{$from->athlete_id} {$from->ladder} {$from->rung}"] ?? [],
                fn (string $day): bool => $day >= substr($from->entered_on, 0, 10) && $day <= substr($to->entered_on, 0, 10),
            );
            if ($rung === null || $held === []) {
                continue;
            }
            $took = LearningRate::took($rung->gate, count($held));
            $from->athlete_id === $athlete ? $own[] = $took : $others[] = $took;
        }

        return LearningRate::of($own, $others);
    }

    /**
     * @param  Collection<int, Placement>  $placements  by athlete and ladder, in order
     * @return list<array{Placement, Placement}> where a rung was entered, and where the next one above it was, by a decision
     */
    private function climbed(Collection $placements): array
    {
        $climbed = [];
        $before = null;
        foreach ($placements as $placement) {
            $isNext = $before !== null && $before->athlete_id === $placement->athlete_id && $before->ladder === $placement->ladder;
            if ($isNext && $placement->decision_id !== null && ! $before->placing) {
                $ladder = $this->library->ladder($placement->ladder);
                if ($ladder->position($placement->rung) > $ladder->position($before->rung)) {
                    $climbed[] = [$before, $placement];
                }
            }
            $before = $placement;
        }

        return $climbed;
    }

    /**
     * @param  list<string>  $ids  of athletes
     * @return array<string, list<string>> days with a judged repetition of the rung's own, by athlete, ladder and rung
     */
    private function sessions(array $ids, string $since): array
    {
        $rows = DB::table('sheets')
            ->whereIn('sheets.athlete_id', $ids)
            ->where('sheets.held_on', '>=', $since)
            ->where('sheets.state', 'finished')
            ->whereNull('sheets.return_stage')
            ->whereExists(fn ($query) => $query->from('sheet_blocks')
                ->join('work_sets', 'work_sets.block_id', '=', 'sheet_blocks.id')
                ->whereColumn('sheet_blocks.sheet_id', 'sheets.id')
                ->where('sheet_blocks.judged', true)
                ->where('work_sets.reps', '>', 0))
            ->get(['sheets.athlete_id', 'sheets.ladder', 'sheets.rung', 'sheets.held_on']);
        $days = [];
        foreach ($rows as $row) {
            $days["{$row->athlete_id} {$row->ladder} {$row->rung}"][] = substr($row->held_on, 0, 10);
        }

        return $days;
    }
}
