<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Load\Channel;

/** A ladder done from a chair: the same rungs, set up and worded for it, and nothing looked at that takes legs. */
final readonly class Seated
{
    /**
     * @param  string  $setUp  the chair, what holds it and what has to be clear of it
     * @param  string  $warmUp  what is done instead of a warm-up on the feet
     * @param  list<string>  $without  ids of the checkpoints that take legs
     * @param  array<string, array{drill: string, how: string}|null>  $drills  by id of the fault it mends; null: it does not happen there;
     *                                                                         left out: mended as on the feet
     */
    public function __construct(
        public string $setUp,
        public string $warmUp,
        public string $rehearsal,
        public string $otherSide,
        public string $coolDown,
        public array $without,
        public array $drills,
    ) {}

    /**
     * A rung as it is done from the chair. What it costs stays that of the skill: nobody has measured that it costs less. What can hurt is
     * looked at whatever it belongs to.
     */
    public function rung(Rung $rung): Rung
    {
        $faults = array_map($this->fault(...), array_filter($rung->faults, $this->happens(...)));
        $ids = array_column($faults, 'id');

        return $rung->with([
            'checkpoints' => array_values(array_filter($rung->checkpoints, $this->looksAt(...))),
            // Of two that come together one alone is no pair.
            'faults' => array_values(array_filter(
                $faults, fn (Fault $fault): bool => $fault->pair === null || array_diff($fault->pair, $ids) === [],
            )),
            'blocks' => array_map(fn (BlockDose $block): BlockDose => $this->block($block, $rung->seated ?? $block->text), $rung->blocks),
            'teaching' => $this->teaching($rung->teaching),
        ]);
    }

    private function happens(Fault $fault): bool
    {
        $isGone = array_key_exists($fault->id, $this->drills) && $this->drills[$fault->id] === null;

        return $fault->safety || (! $isGone && ! in_array($fault->checkpoint, $this->without, true));
    }

    /** As it is mended from the chair; no drill is drawn there. */
    private function fault(Fault $fault): Fault
    {
        return $fault->with([...($this->drills[$fault->id] ?? []), 'picture' => null]);
    }

    /** What is said of the feet is left out: nobody has written it for a chair. */
    private function teaching(?Teaching $teaching): ?Teaching
    {
        return $teaching?->with([
            'purpose' => '', 'setUp' => $this->setUp, 'lookFirst' => '', 'good' => '', 'easier' => '', 'harder' => '',
            'coachMistake' => '', 'goBack' => '',
        ]);
    }

    public function looksAt(Checkpoint $checkpoint): bool
    {
        return ! in_array($checkpoint->id, $this->without, true);
    }

    private function block(BlockDose $block, string $work): BlockDose
    {
        $text = match (true) {
            $block->judged => $work,
            $block->kind === BlockKind::WarmUp => $this->warmUp,
            $block->kind === BlockKind::Rehearsal => $this->rehearsal,
            $block->kind === BlockKind::OtherSide => $this->otherSide,
            $block->kind === BlockKind::CoolDown => $this->coolDown,
            default => $work,
        };

        return $block->with(['text' => $text, 'loads' => self::loads($block->loadedChannels())]);
    }

    /**
     * A sore knee keeps nobody from throwing out of a chair.
     *
     * @param  list<Channel>  $onTheFeet
     * @return list<Channel>
     */
    public static function loads(array $onTheFeet): array
    {
        return array_values(array_filter($onTheFeet, fn (Channel $channel): bool => $channel !== Channel::Landing));
    }
}
