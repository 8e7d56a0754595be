<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** A question practitioners answer differently, as far as the answer changes what a ladder asks for. */
enum SchoolQuestion: string
{
    case Motion = 'motion';
    case Outcome = 'outcome';
    case Beginners = 'beginners';
    case Weight = 'weight';
    case FrontArm = 'front_arm';
    case OtherSide = 'other_side';
    case Repetition = 'repetition';
    case Seat = 'seat';

    /** @return non-empty-list<string> the first is what the library does by itself */
    public function answers(): array
    {
        return match ($this) {
            self::Motion => ['parts', 'continuous'],
            self::Outcome => ['technique_first', 'score_first'],
            self::Beginners => ['slow_first', 'hard_light'],
            self::Weight => ['either', 'both_legs', 'back_leg'],
            self::FrontArm => ['either', 'point', 'elbow'],
            self::OtherSide => ['both', 'one'],
            self::Repetition => ['blocked_then_varied', 'blocked', 'varied'],
            self::Seat => ['standing', 'chair'],
        };
    }

    /** @return int|null place, from 0, among the variants of a checkpoint that belongs to the question; null: any of them passes */
    public function variant(string $answer): ?int
    {
        return match ("{$this->value} {$answer}") {
            'weight both_legs', 'front_arm point' => 0,
            'weight back_leg', 'front_arm elbow', 'motion continuous' => 1,
            default => null,
        };
    }
}
