<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Load\Channel;

final readonly class SorenessReport
{
    /** A report on the wrong name can be taken back for so long by who made it. */
    public const WITHDRAW_MINUTES = 15;

    /**
     * @param  string|null  $side  `left` or `right` as the athlete's own; null for the middle of the body
     * @param  int  $score  0 to 10
     *
     * @throws InvalidValue
     */
    public function __construct(
        public Instant $at,
        public Moment $moment,
        public Site $site,
        public ?string $side,
        public Kind $kind,
        public int $score,
    ) {
        if ($score < 0 || $score > 10) {
            throw new InvalidValue("A soreness score of {$score} is outside 0 to 10.");
        }
        if ($site === Site::None && $score !== 0) {
            throw new InvalidValue('“Nothing sore” has the score 0; a sore place needs its site.');
        }
    }

    /**
     * By the instant: two offsets, or the hour that comes twice in autumn, sort wrongly as texts. Of equal times the
     * later in the list is later.
     *
     * @param  list<self>  $reports
     * @return list<self>
     */
    public static function inOrder(array $reports): array
    {
        usort($reports, fn (self $a, self $b): int => $a->at->microseconds <=> $b->at->microseconds);

        return $reports;
    }

    /**
     * Whether it says something of these parts: arm and hand hurt on a side of their own, the trunk and the legs carry both.
     *
     * @param  list<Channel>  $channels
     * @param  string  $side  `left` or `right`, of the body
     */
    public function concerns(array $channels, string $side): bool
    {
        return array_filter(
            $this->site->channels(),
            fn (Channel $channel): bool => in_array($channel, $channels, true)
                && (! $channel->hasSides() || $this->side === null || $this->side === $side),
        ) !== [];
    }

    public function place(): string
    {
        return "{$this->site->value}|{$this->side}";
    }
}
