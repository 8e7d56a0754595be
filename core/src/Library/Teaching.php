<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;

/** A rung as it is taught: each a sentence or two, written for the throwing side. */
final readonly class Teaching
{
    use CopiesItself;

    /**
     * @param  string  $purpose  why the rung is there
     * @param  string  $setUp  place, kit and people
     * @param  string  $lookFirst  the one thing that is looked at first
     * @param  string  $good  what good looks like, so that two coaches judge alike
     * @param  string  $alone  alone or with a partner
     * @param  string  $group  with a whole group
     * @param  string  $coachMistake  what coaches usually do wrong here
     * @param  string  $goBack  when to go back, and to what
     */
    public function __construct(
        public string $purpose,
        public string $setUp,
        public string $lookFirst,
        public string $good,
        public string $easier,
        public string $harder,
        public string $alone,
        public string $group,
        public string $coachMistake,
        public string $goBack,
    ) {}

    /** @return array<string, string> what is said, by the name each has in a file, in the order they are read */
    public function parts(): array
    {
        return array_filter([
            'purpose' => $this->purpose, 'set_up' => $this->setUp, 'look_first' => $this->lookFirst, 'good' => $this->good,
            'easier' => $this->easier, 'harder' => $this->harder, 'alone' => $this->alone, 'group' => $this->group,
            'coach_mistake' => $this->coachMistake, 'go_back' => $this->goBack,
        ], fn (string $said): bool => $said !== '');
    }
}
