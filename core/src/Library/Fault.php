<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;

/** A named way a checkpoint fails, the thought that mends it and the drill that does. */
final readonly class Fault
{
    use CopiesItself;

    /**
     * @param  DrillDose|null  $dose  what the drill is done with, how often and how hard; null: nobody has said
     * @param  string|null  $how  the drill written out: set-up and what is done
     * @param  string|null  $stop  when to stop it
     * @param  DrillWith  $with  whom the drill takes
     * @param  array{string, string}|null  $pair  ids of two faults that come together, and that this one is then; null: a single one
     * @param  string|null  $picture  id of what the drill is drawn as, of Figures
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $checkpoint,
        public string $cue,
        public string $drill,
        public bool $safety,
        public ?DrillDose $dose = null,
        public ?string $how = null,
        public ?string $stop = null,
        public DrillWith $with = DrillWith::Alone,
        public ?array $pair = null,
        public ?string $picture = null,
    ) {}
}
