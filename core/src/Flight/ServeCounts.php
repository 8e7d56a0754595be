<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\InvalidValue;
use Augendo\Core\Mechanics\Statistics;

/** Where serves went: in, into the net, too long, or past a side line. */
final readonly class ServeCounts
{
    /** Of fewer serves no scatter is worked out. */
    public const LEAST = 10;

    /** Serves that were scored longer ago say little of how somebody serves now. */
    public const LAST_DAYS = 60;

    private const NARROWEST_DEG = 0.3;

    private const WIDEST_DEG = 15.0;

    private const FURTHEST_OFF = 1.5;

    /** A window that ends above this ends with lobs that fall short: so slow a serve does not go long, and nothing tells its spread. */
    public const LOB_DEG = 45.0;

    /** Then this is held to be it: an example of our own. */
    private const USUAL_SPREAD_DEG = 3.0;

    public int $all;

    /**
     * @param  int  $right  past the right line, as the server sees it
     *
     * @throws InvalidValue
     */
    public function __construct(public int $in, public int $net, public int $long, public int $right, public int $left)
    {
        if (min($in, $net, $long, $right, $left) < 0) {
            throw new InvalidValue('A count is 0 or more.');
        }
        $this->all = $in + $net + $long + $right + $left;
    }

    public function share(): float
    {
        return $this->all === 0 ? 0.0 : $this->in / $this->all;
    }

    /**
     * The scatter that would miss as often each way: a normal spread about an aim, up and across, whose tails over the two edges are the
     * shares that were counted. Half a serve is added to each count, so that what was not seen in a few is not held to be impossible.
     * Of a serve too slow to go long the spread is an example, and only the aim is worked out.
     *
     * @param  array{float, float}  $up  lowest and highest elevation that is in, degrees
     * @param  array{float, float}  $across  azimuths of the right and the left line from the middle of the aim, degrees
     *
     * @throws InvalidValue with fewer than `LEAST` serves
     */
    public function scatter(array $up, array $across): Scatter
    {
        if ($this->all < self::LEAST) {
            throw new InvalidValue('Ten serves at least are needed to say how widely they scatter.');
        }
        [$aim, $spread] = $up[1] > self::LOB_DEG
            ? [$up[0] - self::USUAL_SPREAD_DEG * Statistics::normalQuantile($this->tail($this->net)), self::USUAL_SPREAD_DEG]
            : $this->fitted($this->net, $this->long, $up);
        [$aside, $width] = $this->fitted($this->right, $this->left, $across);

        return new Scatter($aim, $spread, $width, $aside);
    }

    private function tail(int $count): float
    {
        return ($count + 0.5) / ($this->all + 1.0);
    }

    /**
     * @param  array{float, float}  $edges
     * @return array{float, float} mean and standard deviation
     */
    private function fitted(int $below, int $above, array $edges): array
    {
        [$low, $high] = [Statistics::normalQuantile($this->tail($below)), Statistics::normalQuantile(1.0 - $this->tail($above))];
        $width = $edges[1] - $edges[0];
        $spread = max(self::NARROWEST_DEG, min(self::WIDEST_DEG, $width / max($high - $low, 1e-6)));
        $aim = $edges[0] - $low * $spread;
        $middle = ($edges[0] + $edges[1]) / 2;

        return [max($middle - self::FURTHEST_OFF * $width, min($middle + self::FURTHEST_OFF * $width, $aim)), $spread];
    }
}
