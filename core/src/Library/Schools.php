<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\InvalidValue;
use Augendo\Core\Load\Implement;

/**
 * How a ladder is taught where practitioners disagree. It changes doses, rungs and checkpoints before an athlete's age and limits are
 * looked at, so no answer lifts a bound.
 */
final readonly class Schools
{
    /** What is thrown hard from the start is light; 0 to 1. */
    public const HARD_EFFORT = 0.85;

    /**
     * @param  array<string, string>  $answers  by question
     *
     * @throws InvalidValue when a question or an answer is not known
     */
    public function __construct(public array $answers)
    {
        foreach ($answers as $question => $answer) {
            $known = SchoolQuestion::tryFrom($question)?->answers() ?? throw new InvalidValue(
                "There is no question “{$question}”; there are "
                    .implode(', ', array_column(SchoolQuestion::cases(), 'value')).'.',
            );
            if (! in_array($answer, $known, true)) {
                throw new InvalidValue("“{$answer}” is no answer to “{$question}”; there are ".implode(', ', $known).'.');
            }
        }
    }

    public function answer(SchoolQuestion $question): string
    {
        return $this->answers[$question->value] ?? $question->answers()[0];
    }

    /** The ladder as this school teaches it. */
    public function teach(Ladder $ladder): Ladder
    {
        $seated = $this->seated($ladder);
        $rungs = array_map(fn (Rung $rung): Rung => $this->rung($seated?->rung($rung) ?? $rung), $ladder->rungs);

        return $rungs == $ladder->rungs ? $ladder : $ladder->with(['rungs' => $rungs]);
    }

    /** @return list<SchoolChange> what is different on the ladder, rung by rung */
    public function changes(Ladder $ladder): array
    {
        return $this->against(new self([]), $ladder);
    }

    /** @return list<SchoolChange> what is different from how another school teaches the ladder, rung by rung */
    public function against(self $other, Ladder $ladder): array
    {
        $changes = [];
        $others = $other->teach($ladder)->rungs;
        foreach ($this->teach($ladder)->rungs as $i => $rung) {
            $before = $others[$i];
            $changes = [...$changes, ...$this->reseated($other, $ladder, $ladder->rungs[$i])];
            if ($before->outcomeIgnored !== $rung->outcomeIgnored) {
                $changes[] = new SchoolChange($rung->name, 'outcome', $rung->name, 'ignored', 'scored');
            }
            $was = array_column($before->checkpoints, null, 'id');
            foreach ($rung->checkpoints as $checkpoint) {
                $then = $was[$checkpoint->id] ?? $checkpoint;
                if ($checkpoint->variants !== $then->variants) {
                    $changes[] = new SchoolChange(
                        $rung->name, 'variant', $checkpoint->name, implode(' / ', $then->variants), implode(' / ', $checkpoint->variants),
                    );
                }
            }
            $kept = $rung->blocks;
            $was = $before->blocks;
            foreach ($ladder->rungs[$i]->blocks as $block) {
                $then = $other->keeps($block) ? array_shift($was) : null;
                $changes = [...$changes, ...self::ofBlock($rung->name, $block, $then, $this->keeps($block) ? array_shift($kept) : null)];
            }
        }

        return $changes;
    }

    private function seated(Ladder $ladder): ?Seated
    {
        return $this->answer(SchoolQuestion::Seat) === 'chair' ? $ladder->seated : null;
    }

    /** @return list<SchoolChange> what sitting down or standing up changes on a rung */
    private function reseated(self $other, Ladder $ladder, Rung $rung): array
    {
        $now = $this->seated($ladder);
        if ($now === $other->seated($ladder)) {
            return [];
        }
        $seat = fn (?Seated $seated): string => $seated === null ? 'standing' : 'chair';
        $looked = fn (?Seated $seated): string => $seated === null ? 'yes' : 'no';
        $changes = [new SchoolChange($rung->name, 'seat', $rung->seated ?? '', $seat($other->seated($ladder)), $seat($now))];
        foreach ($rung->checkpoints as $checkpoint) {
            if ($ladder->seated?->looksAt($checkpoint) === false) {
                $changes[] = new SchoolChange($rung->name, 'looked_at', $checkpoint->name, $looked($other->seated($ladder)), $looked($now));
            }
        }

        return $changes;
    }

    /** @return list<SchoolChange> */
    private static function ofBlock(string $rung, BlockDose $block, ?BlockDose $then, ?BlockDose $now): array
    {
        if ($then === null || $now === null) {
            $there = fn (?BlockDose $dose): string => $dose === null ? 'no' : 'yes';

            return $then === $now ? [] : [new SchoolChange($rung, 'left_out', $block->title, $there($then), $there($now))];
        }
        $told = fn (?Tempo $tempo): string => $tempo->value ?? '';
        $changes = [];
        if ($then->manner?->tempo !== $now->manner?->tempo) {
            $changes[] = new SchoolChange($rung, 'tempo', $block->title, $told($then->manner?->tempo), $told($now->manner?->tempo));
        }
        $varied = fn (BlockDose $dose): string => ($dose->manner->varied ?? false) ? 'yes' : 'no';
        if ($varied($then) !== $varied($now)) {
            $changes[] = new SchoolChange($rung, 'varied', $block->title, $varied($then), $varied($now));
        }
        if ($then->effort !== $now->effort) {
            $changes[] = new SchoolChange($rung, 'effort', $block->title, (string) $then->effort, (string) $now->effort);
        }

        return $changes;
    }

    private function rung(Rung $rung): Rung
    {
        $blocks = array_values(array_filter($rung->blocks, $this->keeps(...)));
        $flies = $rung->ownDose()->skill->flies() && $rung->ownDose()->object->implement !== Implement::Shadow;

        return $rung->with([
            'checkpoints' => array_map($this->checkpoint(...), $rung->checkpoints),
            'outcomeIgnored' => $rung->outcomeIgnored && ! ($flies && $this->answer(SchoolQuestion::Outcome) === 'score_first'),
            'blocks' => array_map(fn (BlockDose $block): BlockDose => $this->block($block, $rung->outcomeIgnored), $blocks),
        ]);
    }

    private function keeps(BlockDose $block): bool
    {
        return $block->kind !== BlockKind::OtherSide || $block->judged || $this->answer(SchoolQuestion::OtherSide) === 'both';
    }

    private function checkpoint(Checkpoint $checkpoint): Checkpoint
    {
        if ($checkpoint->school === null) {
            return $checkpoint;
        }
        $place = $checkpoint->school->variant($this->answer($checkpoint->school));
        $variant = $place === null ? null : ($checkpoint->variants[$place] ?? null);

        return $variant === null ? $checkpoint : $checkpoint->with(['variants' => [$variant]]);
    }

    private function block(BlockDose $block, bool $learning): BlockDose
    {
        $manner = $block->manner;
        if ($manner !== null) {
            $parts = $manner->tempo === Tempo::Segmented || $manner->tempo === Tempo::Counted;
            if ($parts && $this->answer(SchoolQuestion::Motion) === 'continuous') {
                $manner = $manner->with(['tempo' => Tempo::SlowThenFast, 'counts' => []]);
            }
            $varied = match ($this->answer(SchoolQuestion::Repetition)) {
                'varied' => $manner->feed !== null && $manner->feed !== Feed::None,
                'blocked' => $manner->varied && $block->kind === BlockKind::GameLike,
                default => $manner->varied,
            };
            $manner = $varied === $manner->varied ? $manner : $manner->with(['varied' => $varied]);
        }
        $isHard = $this->answer(SchoolQuestion::Beginners) === 'hard_light' && $learning && $block->judged
            && $block->object->implement === Implement::Light && ! $block->skill->isFootwork();
        $taught = $manner === $block->manner ? $block : $block->with(['manner' => $manner]);

        return $isHard && $block->effort < self::HARD_EFFORT ? $taught->with(['effort' => self::HARD_EFFORT]) : $taught;
    }
}
