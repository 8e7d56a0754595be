<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** One measure of an earlier record: where its weighted averages stood on its last day, and its days when they are asked for. */
final class EarlierSeries
{
    /** @var array<int, float>|null */
    private ?array $byDay = null;

    /**
     * @param  int  $throughDay  ordinal of its last day
     * @param  (\Closure(): array<int, float>)|null  $fetch  amounts by ordinal of the day; null: nobody will ask for them
     */
    public function __construct(
        public readonly int $throughDay,
        public readonly float $acute,
        public readonly float $chronic,
        private readonly ?\Closure $fetch = null,
    ) {}

    /** Whether it holds nothing at all: an average of 28 days forgets slowly, never wholly. */
    public function isEmpty(): bool
    {
        return $this->chronic === 0.0;
    }

    /** @return array<int, float> amounts by ordinal of the day */
    public function byDay(): array
    {
        return $this->byDay ??= $this->isEmpty() || $this->fetch === null ? [] : ($this->fetch)();
    }
}
