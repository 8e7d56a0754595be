<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\AthleteDay;
use Augendo\Core\Flight\ServeAllowed;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Rung;
use Augendo\Core\Readiness\Word;

/** Where an athlete stands with a serve today, and what may be changed of it. */
final readonly class ServeStanding
{
    /** @param  Rung|null  $ignored  a rung of the serve on which the result does not count yet */
    private function __construct(public ServeAllowed $allowed, public ?Rung $ignored, public Word $word) {}

    public static function of(AthleteDay $day, string $skill): self
    {
        $ignored = null;
        foreach ($day->ladders->placementsOf($day->athlete) as $placement) {
            $rung = $day->ladders->rung($placement);
            $isOfIt = array_filter($rung->blocks, fn (BlockDose $dose): bool => $dose->skill->id === $skill) !== [];
            $ignored = $isOfIt && $rung->outcomeIgnored ? $rung : $ignored;
        }
        $word = $day->readiness->word;

        return new self(new ServeAllowed(
            isReturning: $day->returns->allOpen($day->athlete->id) !== [],
            isOutcomeIgnored: $ignored !== null,
            word: $word,
            age: $day->load->age,
        ), $ignored, $word);
    }
}
