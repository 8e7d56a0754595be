<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Courtside\RepStrip;
use App\Health\DayReadiness;
use App\Limits\AthleteLoad;
use Augendo\Core\Day;
use Augendo\Core\Gates\GateEvidence;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Gates\NextDose;
use Augendo\Core\Gates\Prerequisites;
use Augendo\Core\Instant;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Facades\DB;

/** Where athletes stand on their ladders, and their gates held against the evidence. */
final class Standings
{
    /** @var array<string, array<string, Placement>> latest placement by athlete and ladder */
    private array $placements = [];

    /** @var array<string, array<string, Placement>> the same of ladders somebody has left: what was climbed there stays held */
    private array $left = [];

    /** @var array<string, array<string, list<object>>> strips by athlete and "ladder/rung", oldest first */
    private array $strips = [];

    /** @var array<string, Ladder> by athlete and ladder, with the doses of the athlete */
    private array $ladders = [];

    /** @var array<string, list<JudgedRep>> by placement */
    private array $reps = [];

    /**
     * @param  list<Athlete>  $athletes
     * @param  array<string, AthleteProfile>  $profiles  by athlete id
     */
    public function __construct(
        array $athletes,
        private readonly Day $on,
        private readonly Library $library,
        private readonly DayReadiness $readiness,
        private readonly array $profiles,
    ) {
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        foreach (Placement::query()->whereIn('athlete_id', $ids)->orderBy('entered_at')->orderBy('id')->get() as $placement) {
            if ($placement->left_on === null) {
                $this->placements[$placement->athlete_id][$placement->ladder] = $placement;
            } else {
                $this->left[$placement->athlete_id][$placement->ladder] = $placement;
            }
        }
        $strips = DB::table('rep_strips')
            ->join('sheets', 'sheets.id', '=', 'rep_strips.sheet_id')
            ->whereIn('rep_strips.athlete_id', $ids)
            ->where('day', '<=', $on->iso())
            ->where('day', '>', $on->plus(-400)->iso())
            ->orderBy('day')->orderBy('last_at')->get([
                'rep_strips.athlete_id', 'rep_strips.sheet_id', 'rep_strips.ladder', 'rep_strips.rung',
                'rep_strips.day', 'last_at', 'marks', 'varied', 'sheets.ladder_version',
            ]);
        foreach ($strips as $strip) {
            $this->strips[$strip->athlete_id]["{$strip->ladder}/{$strip->rung}"][] = $strip;
        }
    }

    /** @return array<string, Placement> by ladder */
    public function placementsOf(Athlete $athlete): array
    {
        return $this->placements[$athlete->id] ?? [];
    }

    public function ladder(Placement $placement): Ladder
    {
        return $this->ladders["{$placement->athlete_id} {$placement->ladder}"] ??= $this->library
            ->ladder($placement->ladder)
            ->forAthlete($this->profiles[$placement->athlete_id], $this->on, $this->library->doses());
    }

    public function rung(Placement $placement): Rung
    {
        return $this->ladder($placement)->rung($placement->rung)
            ?? throw new \RuntimeException("Ladder {$placement->ladder} has no rung {$placement->rung}.");
    }

    /** @return list<JudgedRep> of this rung since the athlete entered it, as long as the same was looked for */
    public function reps(Athlete $athlete, Placement $placement): array
    {
        if (! isset($this->reps[$placement->id])) {
            $this->reps[$placement->id] = [];
            foreach ($this->sessions($athlete, $placement) as $strip) {
                array_push($this->reps[$placement->id], ...RepStrip::read($strip->marks, $strip->sheet_id, Instant::of($strip->last_at)));
            }
        }

        return $this->reps[$placement->id];
    }

    /** @return list<object{sheet_id: string, day: string, last_at: string, marks: string}> what those are from, oldest first */
    public function sessions(Athlete $athlete, Placement $placement): array
    {
        $entered = Instant::of($placement->entered_at);

        return array_values(array_filter(
            $this->stripsLike($athlete, $this->ladder($placement), $this->rung($placement)),
            fn (object $strip): bool => Instant::of($strip->last_at)->isAfter($entered),
        ));
    }

    /**
     * The gate to a match; null on a ladder, or so low on it, that the outcome is not looked at yet.
     *
     * @param  bool  $onTheWayBack  whether a return is open: its stages decide first
     */
    public function matchReady(
        Athlete $athlete, Placement $placement, Readiness $readiness, GateResult $gate, bool $onTheWayBack,
    ): ?MatchReady {
        $ladder = $this->ladder($placement);
        $varied = [];
        foreach (array_filter($ladder->rungs, fn (Rung $each): bool => ! $each->outcomeIgnored) as $rung) {
            foreach ($this->stripsLike($athlete, $ladder, $rung) as $strip) {
                // Where no rung judges game-like work, whatever is judged is the varied practice there is.
                $varied = [
                    ...$varied,
                    ...RepStrip::read(
                        $ladder->judgesGameLike() ? $strip->varied : $strip->marks,
                        $strip->sheet_id,
                        Instant::of($strip->last_at),
                    ),
                ];
            }
        }
        $rung = $this->rung($placement);

        return MatchReady::of(
            ladder: $ladder,
            rung: $rung,
            gate: $gate,
            varied: $varied,
            word: self::word($athlete, $rung, $readiness),
            clearanceOk: $onTheWayBack ? false : self::clearance($readiness),
            on: $this->on,
        );
    }

    /** @return list<object> strips of a rung, oldest first, by which the same was looked for as now */
    private function stripsLike(Athlete $athlete, Ladder $ladder, Rung $rung): array
    {
        return array_values(array_filter(
            $this->strips[$athlete->id]["{$ladder->id}/{$rung->id}"] ?? [],
            fn (object $strip): bool => $this->library->judgedLike($ladder->id, (int) $strip->ladder_version, $rung),
        ));
    }

    /** Training needs no clearance, but an open referral does, whatever it is about. */
    private static function clearance(Readiness $readiness): ?bool
    {
        return $readiness->openReferrals === [] ? null : false;
    }

    /** The word of the channels and the side that a rung loads. */
    public static function word(Athlete $athlete, Rung $rung, Readiness $readiness): Word
    {
        return $readiness->forWork($rung->loadedChannels(), $athlete->throwing_side->value);
    }

    public function gate(Athlete $athlete, Placement $placement, Readiness $readiness, AthleteLoad $load, LimitCalendar $limits): GateResult
    {
        $ladder = $this->ladder($placement);
        $rung = $this->rung($placement);
        $channels = $rung->loadedChannels();

        return GateResult::of($rung->gate, $this->on, new GateEvidence(
            reps: $this->reps($athlete, $placement),
            soreness: $this->readiness->soreness($athlete, $channels),
            word: self::word($athlete, $rung, $readiness),
            loadOk: NextDose::fits(
                next: $ladder->after($rung->id),
                on: $this->on,
                record: $load->record,
                plans: $load->plans,
                limits: $limits,
                price: $load->price,
            ),
            prerequisitesOk: $ladder->needs === [] ? true : Prerequisites::held($ladder, $this->climbed($athlete), $this->library),
            clearanceOk: self::clearance($readiness),
        ));
    }

    /** @return list<array{string, string}> ladder and rung of each place, also where it was left since */
    private function climbed(Athlete $athlete): array
    {
        return array_map(
            fn (Placement $placement): array => [$placement->ladder, $placement->rung],
            [...array_values($this->placements[$athlete->id] ?? []), ...array_values($this->left[$athlete->id] ?? [])],
        );
    }
}
