<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\CopiesItself;
use Augendo\Core\Limits\LimitFigures;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\Word;

/** One thing taken off the asked dose, and why. Wording for people is made at the edge. */
final readonly class Trim
{
    use CopiesItself;

    /**
     * @param  int|null  $block  position of the block in the session, from 0; null when the block is left out whole
     * @param  'reps'|'effort'|'distance'|'dropped'|'minutes'  $what  minutes: even the shortest session takes longer
     * @param  float  $from  repetitions, effort (0 to 1) or metres
     * @param  'limit'|'word'|'layoff'|'minutes'|'own_dose'|'reach'  $cause  own_dose: what it belongs to does not fit today; reach: such an
     *                                                                  effort does not go further
     * @param  list<LimitFigures>  $limits  the limits that would be over with one step more, for cause `limit`
     * @param  Word|null  $word  for cause `word`
     * @param  list<Channel>  $channels  for cause `word`: the channels that have it
     * @param  string|null  $title  of a block that is left out whole
     */
    public function __construct(
        public ?int $block,
        public string $what,
        public float $from,
        public float $to,
        public string $cause,
        public array $limits = [],
        public ?Word $word = null,
        public ?int $idleDays = null,
        public array $channels = [],
        public ?int $minutes = null,
        public ?string $title = null,
    ) {}

    /** @return array<string, mixed> figures and codes alone, to be kept and read again by fromArray() */
    public function toArray(): array
    {
        return [
            'block' => $this->block,
            'what' => $this->what,
            'from' => $this->from,
            'to' => $this->to,
            'cause' => $this->cause,
            'limits' => array_map(fn (LimitFigures $limit): array => $limit->toArray(), $this->limits),
            'word' => $this->word?->value,
            'idle_days' => $this->idleDays,
            'channels' => array_map(fn (Channel $channel): string => $channel->value, $this->channels),
            'minutes' => $this->minutes,
            'title' => $this->title,
        ];
    }

    /** @param  array<string, mixed>  $kept  as toArray() made it */
    public static function fromArray(array $kept): self
    {
        /** @var array{
         *     block: int|null, what: 'reps'|'effort'|'distance'|'dropped'|'minutes', from: float, to: float,
         *     cause: 'limit'|'word'|'layoff'|'minutes'|'own_dose'|'reach', limits: list<array{
         *         id: string, label: string, kind: string, measure: string|null, level: 'effort'|'distance'|null, status: string,
         *         used: float|null, projected: float|null, max: float|null, remaining: float|null, earliest: string|null,
         *     }>, word: string|null, idle_days: int|null, channels: list<string>, minutes: int|null, title: string|null,
         * } $kept
         */
        return new self(
            block: $kept['block'],
            what: $kept['what'],
            from: $kept['from'],
            to: $kept['to'],
            cause: $kept['cause'],
            limits: array_map(LimitFigures::fromArray(...), $kept['limits']),
            word: $kept['word'] === null ? null : Word::from($kept['word']),
            idleDays: $kept['idle_days'],
            channels: array_map(Channel::from(...), $kept['channels']),
            minutes: $kept['minutes'],
            title: $kept['title'],
        );
    }
}
