<?php

declare(strict_types=1);

namespace Augendo\Core\Scoring;

use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Instant;
use Augendo\Core\Library\CourtBox;

/**
 * How one repetition came out: where it landed, or in a word. A device reads the same: resources/app/rules/round.ts, bound by
 * tests/examples/device-rules.json ("round").
 */
final readonly class Outcome
{
    public const WORDS = ['hit', 'miss', 'low', 'high', 'left', 'right', 'short', 'long', 'net'];

    /**
     * @param  string|null  $word  one of WORDS; null: it is told by the place alone
     * @param  array{float, float}|null  $place  metres to the right of the aim, and beyond it
     */
    private function __construct(public ?string $word, public ?array $place, public Instant $at) {}

    /** Whether a tap may say so: metres to the right of the aim and beyond it, or a word. */
    public static function isReadable(string $note): bool
    {
        return in_array($note, self::WORDS, true) || preg_match(TapFold::PLACE, $note) === 1;
    }

    /**
     * @param  string  $note  as isReadable
     * @param  Instant  $at  when the repetition was tapped
     * @param  CourtBox|null  $box  the box whose middle is the aim: a place in it is a hit, one outside says which way
     */
    public static function read(string $note, Instant $at, ?CourtBox $box = null): self
    {
        if (in_array($note, self::WORDS, true)) {
            return new self($note, null, $at);
        }
        [$across, $along] = array_map(floatval(...), explode(' ', $note));

        return new self($box === null ? null : self::inOrOut($across, $along, $box), [$across, $along], $at);
    }

    /** Whether it was in, or hit what was aimed at. */
    public function isHit(): bool
    {
        return $this->word === 'hit';
    }

    /**
     * @param  list<string>  $safe  misses that harm nothing: below the aim for a throw to a partner
     */
    public function isAcceptable(array $safe): bool
    {
        return $this->isHit() || in_array($this->word, $safe, true);
    }

    /** Too long or too short is said before too far across: it is what the arm did. */
    private static function inOrOut(float $across, float $along, CourtBox $box): string
    {
        $depth = $box->farM - $box->nearM;

        return match (true) {
            $along > $depth / 2 + 1e-9 => 'long',
            $along < -$depth / 2 - 1e-9 => $box->nearM > 0.0 ? 'short' : 'net',
            $across > ($box->leftM - $box->rightM) / 2 + 1e-9 => 'right',
            $across < ($box->rightM - $box->leftM) / 2 - 1e-9 => 'left',
            default => 'hit',
        };
    }
}
