<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Library\SchoolChange;
use Augendo\Core\Library\SchoolQuestion;
use Augendo\Core\Library\Tempo;

/** Schools in words. */
final class SchoolWording
{
    private const ANSWERS = [
        'motion' => ['parts' => 'Parts, with a stop at the loaded position', 'continuous' => 'In one flow, slow then fast'],
        'outcome' => ['technique_first' => 'Technique first, the result is not looked at', 'score_first' => 'Scored from the first throw'],
        'beginners' => ['slow_first' => 'Slow first', 'hard_light' => 'Hard from the start, with a light object'],
        'weight' => ['either' => 'Either way passes', 'both_legs' => 'On both legs', 'back_leg' => 'Mostly on the back leg'],
        'front_arm' => ['either' => 'Either way passes', 'point' => 'Point at the target', 'elbow' => 'Lead with the elbow'],
        'other_side' => ['both' => 'Both sides', 'one' => 'One side only'],
        'repetition' => [
            'blocked_then_varied' => 'Many of the same, varied once the gate is near', 'blocked' => 'Many of the same',
            'varied' => 'Varied on purpose from the start',
        ],
        'seat' => ['standing' => 'On the feet', 'chair' => 'From a chair'],
    ];

    public static function question(SchoolQuestion $question): string
    {
        return match ($question) {
            SchoolQuestion::Motion => 'One motion, or parts?',
            SchoolQuestion::Outcome => 'Technique or outcome first?',
            SchoolQuestion::Beginners => 'How hard do beginners throw?',
            SchoolQuestion::Weight => 'Where is the weight in the loaded position?',
            SchoolQuestion::FrontArm => 'How does the front arm lead?',
            SchoolQuestion::OtherSide => 'Is the other side trained?',
            SchoolQuestion::Repetition => 'The same, or varied?',
            SchoolQuestion::Seat => 'On the feet, or from a chair?',
        };
    }

    public static function why(SchoolQuestion $question): string
    {
        return match ($question) {
            SchoolQuestion::Motion => 'Parts until the position is held, one flow after.',
            SchoolQuestion::Outcome => 'Technique first; from the target rung on the result counts.',
            SchoolQuestion::Beginners => 'Slow first. The age still bounds the effort, whatever is chosen.',
            SchoolQuestion::Weight => 'Both pass unless you pick one.',
            SchoolQuestion::FrontArm => 'Pointing for beginners, the elbow as a later way; both pass.',
            SchoolQuestion::OtherSide => 'Both, in warm-up and drills, counted apart.',
            SchoolQuestion::Repetition => 'What is learnt is looked at again on another day.',
            SchoolQuestion::Seat => 'Ladders that can be done from a chair say how. Loads and limits stay as they are on the feet.',
        };
    }

    public static function answer(SchoolQuestion $question, string $answer): string
    {
        return self::ANSWERS[$question->value][$answer];
    }

    /**
     * @param  array<string, string>  $answers  by question
     * @return list<string> what is taught otherwise than by the library itself
     */
    public static function taught(array $answers): array
    {
        $told = [];
        foreach ($answers as $key => $answer) {
            $question = SchoolQuestion::from($key);
            if ($answer !== $question->answers()[0]) {
                $told[] = self::answer($question, $answer);
            }
        }

        return $told;
    }

    public static function change(string $ladder, SchoolChange $change): string
    {
        return "{$ladder}, {$change->rung}: ".match ($change->what) {
            'outcome' => 'where it lands counts.',
            'variant' => lcfirst($change->about)." is right this way: {$change->after}.",
            'left_out' => "“{$change->about}” is ".($change->after === 'no' ? 'left out.' : 'done.'),
            'varied' => "“{$change->about}” is ".($change->after === 'yes' ? 'fed differently on purpose.' : 'always fed alike.'),
            'effort' => "“{$change->about}” at ".Wording::percent((float) $change->after).' instead of '
                .Wording::percent((float) $change->before).'.',
            'seat' => $change->after === 'chair'
                ? 'from a chair. '.strtr($change->about, ['{throwing}' => 'throwing', '{front}' => 'front'])
                : 'on the feet.',
            'looked_at' => lcfirst($change->about).' is '.($change->after === 'no' ? 'not looked at.' : 'looked at.'),
            'tempo' => "“{$change->about}” ".self::tempo($change->after).' instead of '.self::tempo($change->before).'.',
        };
    }

    private static function tempo(string $tempo): string
    {
        return match (Tempo::tryFrom($tempo)) {
            null => 'at any tempo',
            Tempo::Held => 'held still',
            Tempo::Segmented => 'in parts',
            Tempo::Counted => 'counted',
            Tempo::SlowThenFast => 'slow, then fast',
            Tempo::Continuous => 'in one flow',
        };
    }
}
