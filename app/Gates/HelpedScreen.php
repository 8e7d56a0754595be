<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Athletes\Squad;
use App\Courtside\RepEvent;
use App\Gates\Answers\HelpedLogView;
use App\Gates\Answers\HelpedView;
use App\Gates\Answers\SquadHelpedView;
use App\Sessions\Sheet;
use App\Wording\Wording;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\Pooled;
use Augendo\Core\Mechanics\WhatHelped;

/** Which thought, grip, stance or feed went with the better repetitions. */
final class HelpedScreen
{
    /** What is tried together is written with this between. */
    private const AND = ' + ';

    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, Day $on): HelpedLogView
    {
        [$reps, $days, $warnings] = $this->seen($athlete);
        $rows = [];
        foreach ($days as $rung => $tries) {
            [$ladderId, $rungId] = explode('|', $rung);
            $ladder = $this->library->ladder($ladderId);
            foreach ($tries as $tried => [$first, $last]) {
                $helped = WhatHelped::of($reps[$rung], (string) $tried);
                $rows[] = new HelpedView(
                    (string) $tried, $ladder->name, $ladder->rung($rungId)->name ?? $rungId, $helped->good ?? 0,
                    $helped->n ?? 0, $helped->otherGood ?? 0, $helped->otherN ?? 0,
                    $helped?->difference, $helped?->low, $helped?->high, $helped?->says,
                    $helped === null
                        ? 'Nothing to compare with yet: judge some without it.'
                        : "{$helped->good} of {$helped->n} good with it, {$helped->otherGood} of {$helped->otherN} without: "
                            .self::points($helped->difference, $helped->low, $helped->high).'. '
                            .ucfirst($helped->says)
                            .'.',
                    $first, $last,
                );
            }
        }
        usort($rows, fn (HelpedView $a, HelpedView $b): int => $b->last_day <=> $a->last_day);

        return new HelpedLogView(Cards::athlete($athlete, $on), $rows, array_values($warnings));
    }

    /** @return list<SquadHelpedView> what the most athletes tried first */
    public function ofSquad(Squad $squad): array
    {
        $differences = $names = [];
        $tried = RepEvent::query()->where('kind', 'trying')->select('sheet_id');
        $athletes = $squad->athletes()->whereIn('athletes.id', Sheet::query()->whereIn('id', $tried)->select('athlete_id'))->get();
        foreach ($athletes as $athlete) {
            foreach (self::ofAthlete($this->seen($athlete)[0]) as $key => $difference) {
                $differences[$key][] = $difference;
                $names[$key][] = $athlete->given_name;
            }
        }
        $rows = [];
        foreach ($differences as $key => $each) {
            [$ladder, $what] = explode('|', $key, 2);
            $pooled = Pooled::of($each) ?? throw new \LogicException('Nobody tried it.');
            [$low, $high] = $pooled->interval();
            $points = fn (float $share): string => ($share > 0 ? '+' : '').round(100 * $share);
            $rows[] = new SquadHelpedView(
                tried: $what,
                ladder_name: $this->library->ladder($ladder)->name,
                athletes: $names[$key],
                difference: $pooled->mean,
                low: $low,
                high: $high,
                says: $pooled->says(),
                sentence: ucfirst($pooled->says()).': '.self::points($pooled->mean, $low, $high).' over '
                    .Wording::count($pooled->of, 'athlete').'.',
            );
        }
        $rank = fn (SquadHelpedView $row): array => [-count($row->athletes), $row->tried];
        usort($rows, fn (SquadHelpedView $a, SquadHelpedView $b): int => $rank($a) <=> $rank($b));

        return $rows;
    }

    private static function points(float $difference, float $low, float $high): string
    {
        $points = fn (float $share): string => ($share > 0 ? '+' : '').round(100 * $share);

        return "{$points($difference)} points, {$points($low)} to {$points($high)}";
    }

    /**
     * One difference for each thing an athlete tried on a ladder: all rungs on which it was tried together.
     *
     * @param  array<string, list<array{bool, list<string>}>>  $reps  by "ladder|rung"
     * @return array<string, array{float, float}> difference and its variance, by "ladder|what was tried"
     */
    private static function ofAthlete(array $reps): array
    {
        $known = [];
        foreach ($reps as $rung => $of) {
            $ladder = explode('|', $rung)[0];
            foreach (array_unique(array_merge(...array_column($of, 1))) as $what) {
                $difference = WhatHelped::of($of, $what)?->forPooling();
                if ($difference !== null) {
                    $known["{$ladder}|{$what}"][] = $difference;
                }
            }
        }

        return array_map(Pooled::ofRungs(...), $known);
    }

    /**
     * Judged repetitions of the rungs on which something was tried.
     *
     * @return array{
     *     array<string, list<array{bool, list<string>}>>, array<string, array<string, array{string, string}>>, array<string, string>,
     * } good or not and what was tried, by "ladder|rung"; first and last day of each; days on which two things were tried at once
     */
    private function seen(Athlete $athlete): array
    {
        $reps = $days = $warnings = [];
        $sheets = Sheet::query()
            ->with(['blocks', 'events'])
            ->where('athlete_id', $athlete->id)
            ->whereIn('id', RepEvent::query()->where('kind', 'trying')->select('sheet_id'))
            ->get();
        $rungs = $sheets->map(fn (Sheet $sheet): string => "{$sheet->ladder}|{$sheet->rung}")->unique();
        $all = $rungs->isEmpty()
            ? collect()
            : Sheet::query()
                ->with(['blocks', 'events'])
                ->where('athlete_id', $athlete->id)
                ->whereNull('return_stage')
                ->whereIn('ladder', $sheets->pluck('ladder')->unique())
                ->orderBy('held_on')
                ->get();
        foreach ($all as $sheet) {
            $rung = "{$sheet->ladder}|{$sheet->rung}";
            if (! $rungs->contains($rung)) {
                continue;
            }
            $judged = $sheet->blocks->where('judged', true)->pluck('id')->all();
            foreach (TapFold::standing($sheet->taps()) as $rep) {
                if (! in_array($rep->blockId, $judged, true) || ! in_array($rep->verdict, ['good', 'not_good'], true)) {
                    continue;
                }
                $tried = self::tried($rep);
                $reps[$rung][] = [$rep->verdict === 'good', $tried];
                $day = substr($sheet->held_on, 0, 10);
                foreach ($tried as $each) {
                    $days[$rung][$each] = [$days[$rung][$each][0] ?? $day, $day];
                }
                if (count($tried) > 1) {
                    $warnings[$day.$rep->note] = Wording::day(Day::of($day))
                        .': “'
                        .implode('” and “', $tried)
                        .'” at once. Nobody can say which one it was.';
                }
            }
        }

        return [$reps, $days, $warnings];
    }

    /** @return list<string> what was being tried at a standing repetition */
    public static function tried(Tap $rep): array
    {
        return $rep->note === null || $rep->note === '' ? [] : explode(self::AND, $rep->note);
    }
}
