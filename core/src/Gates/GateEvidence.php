<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Readiness\Word;

/** Everything a gate looks at. Null means not known, and never passes. */
final readonly class GateEvidence
{
    /**
     * @param  list<JudgedRep>  $reps  of this rung since the athlete last entered it
     * @param  list<DaySoreness>  $soreness
     * @param  Word  $word  today's word of the channels this rung loads
     * @param  bool|null  $loadOk  whether the next rung's first dose fits every hard limit on its planned day
     * @param  bool|null  $clearanceOk  null when none is needed
     */
    public function __construct(
        public array $reps,
        public array $soreness,
        public Word $word,
        public ?bool $loadOk,
        public ?bool $prerequisitesOk,
        public ?bool $clearanceOk,
    ) {}
}
