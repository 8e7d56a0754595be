<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\NamedView;
use App\Athletes\Answers\RungRefView;
use App\Health\Answers\ReportedView;
use App\Library\Answers\TaughtView;
use App\Sessions\Answers\NeighbourView;
use App\Sessions\Answers\RotationView;

/** Everything courtside needs with no connection: doses, bounds and stop rules computed ahead. */
final readonly class CourtsideView
{
    public function __construct(
        public string $sheet_id,
        public string $session_id,
        public string $title,
        public string $held_on,
        public string $state,
        public AthleteCardView $athlete,
        public RungRefView $rung,
        public bool $outcome_ignored,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' */
        public string $word,
        /** @var list<string> */
        public array $cautions,
        /** @var list<CourtsideBlockView> */
        public array $blocks,
        /** @var list<BoundView> */
        public array $bounds,
        /** @var list<FaultView> */
        public array $faults,
        public PatternBoundsView $pattern,
        /** @var list<RepEventView> */
        public array $events,
        /** @var list<NeighbourView> */
        public array $neighbours,
        /** why nothing may be counted today */
        public ?string $stop,
        /** whom to call, readable without a connection; null when nobody wrote it down */
        public ?string $emergency,
        public ?string $return_sentence,
        /** @var list<NamedView> what is looked for on this rung */
        public array $checkpoints,
        /** one pace of whoever took this along, in metres */
        public float $pace_m,
        /** for so many minutes another device that counted this one is taken to be counting still */
        public int $elsewhere_min,
        public ?RotationView $rotation,
        /** @var list<string> where two devices say different things; nothing is dropped */
        public array $conflicts,
        /** @var list<ReportedView> what is sore today so far: more of it stops the work */
        public array $reported,
        /** what a report made here would mean: looked up with no connection */
        public StopsView $stops,
        /** @var list<string> reports that this answer knows of; what lies on a device and is not among them stops by the table */
        public array $reports_known,
        /** changes when something about the athlete’s health is new */
        public string $health,
        /** why the doses are lower than planned for the moment */
        public ?string $refitting,
        /** what was tapped although the work had to stop */
        public ?string $after_stop,
        /** @var list<GameView> what was scored on this ladder so far, the latest first */
        public array $games,
        /** @var list<string> misses that harm nothing here */
        public array $safe_misses,
        /** @var list<TaughtView> how the rung is taught; none of a ladder that does not say */
        public array $teaching,
        /** @var list<TagView> what a repetition may be besides good or faulty */
        public array $tags,
        /** @var list<string> names of the athlete's grips on this ladder, to be tried */
        public array $grips,
        /** @var list<string> the schools it is taught by, where they are not the library’s */
        public array $taught_by,
    ) {}
}
