<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Limits\LimitState;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\Word;

/** One thing taken off the asked dose, and why. Wording for people is made at the edge. */
final readonly class Trim
{
    /**
     * @param  int|null  $block  position of the block in the session, from 0; null when the block is left out whole
     * @param  'reps'|'effort'|'distance'|'dropped'|'minutes'  $what  minutes: even the shortest session takes longer
     * @param  float  $from  repetitions, effort (0 to 1) or metres
     * @param  'limit'|'word'|'layoff'|'minutes'  $cause
     * @param  list<LimitState>  $limits  the limits that would be over with one step more, for cause `limit`
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
}
