<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\LibraryObject;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\DoneReturn;
use Augendo\Core\Load\Side;
use Augendo\Core\Returning\Attempt;
use Augendo\Core\Returning\Programme;
use Augendo\Core\Returning\ReturnStep;
use Augendo\Core\Returning\StageClearance;
use Augendo\Core\Returning\StageRung;

/**
 * A way back that a season leads through. Ahead of today it is taken that every stage goes calmly and every clearance is given by then;
 * nothing of that is believed on the day itself. A stop event is not planned past.
 */
final readonly class SeasonReturn
{
    /**
     * @param  int  $stage  the current one, from 0
     * @param  list<Attempt>  $attempts
     * @param  list<StageClearance>  $clearances
     * @param  Day|null  $accepted  the not-before day of the action accepted last
     * @param  float  $usualWeek  units before the injury
     */
    public function __construct(
        public Programme $programme,
        public int $stage,
        public array $attempts,
        public array $clearances,
        public ?Day $accepted,
        public Side $side,
        public LibraryObject $nothing,
        public float $usualWeek,
    ) {}

    /**
     * What the day asks for.
     *
     * @return array{stage: int|null, done: bool, stopped: bool, clearance: bool} stage null: not this day; clearance:
     *         whether the stage is planned on one that is not there yet
     */
    public function on(Day $day): array
    {
        $attempts = array_map(
            fn (Attempt $a): Attempt => $a->nextMorning !== null || ! $day->isAfter($a->day)
                ? $a
                : new Attempt(
                    day: $a->day,
                    stage: $a->stage,
                    completed: $a->completed,
                    during: $a->during,
                    eased: $a->eased,
                    nextMorning: 0,
                    redFlag: $a->redFlag,
                    jointSore: $a->jointSore,
                ),
            $this->attempts,
        );
        $stages = $this->programme->engineStages();
        $step = ReturnStep::next($day, $stages, $this->stage, $attempts, $this->clearances);
        $assumed = $step->action === 'clear';
        if ($assumed) {
            $step = ReturnStep::next(
                $day, $stages, $this->stage, $attempts, [...$this->clearances, new StageClearance($day, $this->stage)],
            );
        }
        $notBefore = $step->notBefore === null || $this->accepted === null ? $step->notBefore : $step->notBefore->latest($this->accepted);

        return [
            'stage' => $notBefore === null || $notBefore->isAfter($day) ? null : $step->stage,
            'done' => $step->action === 'done', 'stopped' => $step->action === 'stop',
            'clearance' => $assumed || $this->waitsForClearance($step->stage),
        ];
    }

    private function waitsForClearance(int $stage): bool
    {
        return $this->programme->stages[$stage]->needsClearance
            && array_filter($this->clearances, fn (StageClearance $clearance): bool => $clearance->covers($stage)) === [];
    }

    public function rung(int $stage, Rung $own, ?float $longestThrowM): Rung
    {
        return StageRung::of(
            programme: $this->programme,
            stage: $stage,
            own: $own,
            nothing: $this->nothing,
            longestThrowM: $longestThrowM,
            side: $this->side,
        );
    }

    /** @param  bool  $completed  whether the whole dose of the stage fitted */
    public function after(Day $day, int $stage, bool $completed): self
    {
        $cleared = $this->waitsForClearance($stage) ? [...$this->clearances, new StageClearance($day, $stage)] : $this->clearances;

        return new self(
            programme: $this->programme,
            stage: $stage,
            attempts: [...$this->attempts, new Attempt(
                day: $day,
                stage: $stage,
                completed: $completed,
                during: 0,
                eased: false,
                nextMorning: 0,
                redFlag: false,
            )],
            clearances: $cleared,
            accepted: null,
            side: $this->side,
            nothing: $this->nothing,
            usualWeek: $this->usualWeek,
        );
    }

    public function done(): DoneReturn
    {
        return new DoneReturn($this->programme->channel, $this->attempts[count($this->attempts) - 1]->day, $this->usualWeek, $this->side);
    }
}
