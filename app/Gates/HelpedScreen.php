<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Courtside\RepEvent;
use App\Gates\Answers\HelpedLogView;
use App\Gates\Answers\HelpedView;
use App\Sessions\Sheet;
use App\Wording\Wording;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\WhatHelped;

/** Which thought, grip, stance or feed went with the better repetitions. */
final class HelpedScreen
{
    /** What is tried together is written with this between. */
    private const AND = ' + ';

    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, Day $on): HelpedLogView
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
        $rows = [];
        foreach ($days as $rung => $tries) {
            [$ladderId, $rungId] = explode('|', $rung);
            $ladder = $this->library->ladder($ladderId);
            foreach ($tries as $tried => [$first, $last]) {
                $helped = WhatHelped::of($reps[$rung], (string) $tried);
                $points = fn (float $share): string => ($share > 0 ? '+' : '').round(100 * $share);
                $rows[] = new HelpedView(
                    (string) $tried, $ladder->name, $ladder->rung($rungId)->name ?? $rungId, $helped->good ?? 0,
                    $helped->n ?? 0, $helped->otherGood ?? 0, $helped->otherN ?? 0,
                    $helped?->difference, $helped?->low, $helped?->high,
                    $helped === null
                        ? 'Nothing to compare with yet: judge some without it.'
                        : "{$helped->good} of {$helped->n} good with it, {$helped->otherGood} of {$helped->otherN} without: "
                            ."{$points($helped->difference)} points, {$points($helped->low)} to {$points($helped->high)}. "
                            .ucfirst($helped->says)
                            .'.',
                    $first, $last,
                );
            }
        }
        usort($rows, fn (HelpedView $a, HelpedView $b): int => $b->last_day <=> $a->last_day);

        return new HelpedLogView(Cards::athlete($athlete, $on), $rows, array_values($warnings));
    }

    /** @return list<string> what was being tried at a standing repetition */
    public static function tried(Tap $rep): array
    {
        return $rep->note === null || $rep->note === '' ? [] : explode(self::AND, $rep->note);
    }
}
