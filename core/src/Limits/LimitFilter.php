<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\Side;

/** Which sets a limit counts. A set must fit every list that is given. */
final readonly class LimitFilter
{
    /**
     * @param  list<string>|null  $skills
     * @param  list<Family>|null  $families
     * @param  list<Side>|null  $sides
     * @param  list<Implement>|null  $implements
     */
    public function __construct(
        public ?array $skills = null,
        public ?array $families = null,
        public ?array $sides = null,
        public ?array $implements = null,
    ) {}

    public function fits(CostedSet $set): bool
    {
        return ($this->families === null || in_array($set->family, $this->families, true))
            && ($this->skills === null || in_array($set->skill, $this->skills, true))
            && ($this->sides === null || in_array($set->side, $this->sides, true))
            && ($this->implements === null || in_array($set->implement, $this->implements, true));
    }

    /** Equal filters have equal keys. */
    public function key(): string
    {
        return json_encode([$this->skills, $this->families, $this->sides, $this->implements], JSON_THROW_ON_ERROR);
    }
}
