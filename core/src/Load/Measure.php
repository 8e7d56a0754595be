<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** What is summed over sets (`Internal` over sessions). */
enum Measure: string
{
    case Reps = 'reps';
    case Shadow = 'shadow';
    case HighReps = 'high_reps';
    case Metres = 'metres';
    case Arm = 'arm';
    case Hand = 'hand';
    case Trunk = 'trunk';
    case Landings = 'landings';
    case Internal = 'internal';

    /** @return list<string> the measures a set has, in the order they are told */
    public static function ofSets(): array
    {
        return ['reps', 'shadow', 'high_reps', 'metres', 'arm', 'hand', 'trunk', 'landings'];
    }
}
