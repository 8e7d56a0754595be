<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Load\Family;
use Augendo\Core\Load\Skill;

/** What a clinician's restriction is about. */
enum Covers: string
{
    case All = 'all';
    case Overhead = 'overhead';
    case Arm = 'arm';
    case Landings = 'landings';

    /**
     * @param  array<string, Skill>  $skills  of the library
     * @return list<string>|null ids; null: every one, also those that are not in the library
     */
    public function skills(array $skills): ?array
    {
        if ($this === self::All) {
            return null;
        }

        return array_values(array_map(
            fn (Skill $skill): string => $skill->id,
            array_filter($skills, fn (Skill $skill): bool => match ($this) {
                self::Overhead => in_array($skill->family, [Family::Throw, Family::Serve, Family::Strike], true),
                self::Arm => $skill->arm > 0.0 || $skill->hand > 0.0,
                self::Landings => $skill->landingsPerRep > 0.0,
            }),
        ));
    }
}
