<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\InvalidValue;
use Augendo\Core\Scoring\Round;

/** How a dose is done, beside how much: the feed, the tempo, the marks, and the game that is played on it. */
final readonly class Manner
{
    use CopiesItself;

    /** More beats than this nobody counts aloud. */
    public const BEATS_AT_MOST = 6;

    /**
     * @param  bool  $varied  whether the feed differs on purpose
     * @param  list<string>  $counts  what is said on each beat; none unless it is counted
     * @param  string|null  $play  the code of a round, as Scoring\Round, without a court and a goal
     * @param  bool  $eyesShut  for balance: nothing is looked at
     * @param  bool  $alternates  the sides in turn, one repetition each; planned, all of them are the throwing side's
     * @param  float|null  $targetM  how wide a mark is, metres
     * @param  float|null  $spreadM  how far the outer marks stand apart, metres
     *
     * @throws InvalidValue when beats and tempo do not belong together, or the code is no round
     */
    public function __construct(
        public ?Feed $feed = null,
        public bool $varied = false,
        public ?Tempo $tempo = null,
        public array $counts = [],
        public ?string $play = null,
        public bool $eyesShut = false,
        public bool $alternates = false,
        public ?float $targetM = null,
        public ?float $spreadM = null,
    ) {
        if (($tempo === Tempo::Counted) !== ($counts !== [])) {
            throw new InvalidValue('A counted tempo says its beats, and only a counted one: “one, two, three”.');
        }
        if (count($counts) === 1 || count($counts) > self::BEATS_AT_MOST) {
            throw new InvalidValue('A count has 2 to '.self::BEATS_AT_MOST.' beats.');
        }
        if ($varied && ($feed === null || $feed === Feed::None)) {
            throw new InvalidValue('Only a feed can be varied: say where the ball comes from.');
        }
        if ($targetM !== null && $spreadM !== null && $spreadM < $targetM) {
            throw new InvalidValue('Marks stand at least as far apart as one of them is wide.');
        }
        $round = $play === null ? null : Round::read($play);
        if ($round !== null && ($round->on !== null || $round->setup() !== $play)) {
            throw new InvalidValue('A game of a rung names its kind and its figures, no court and no goal.');
        }
    }

    /**
     * As it is kept with a block of a sheet.
     *
     * @return array{feed: string|null, varied: bool, tempo: string|null, counts: list<string>, play: string|null, eyes_shut: bool,
     *     alternates: bool, target_m: float|null, spread_m: float|null}
     */
    public function kept(): array
    {
        return [
            'feed' => $this->feed?->value, 'varied' => $this->varied, 'tempo' => $this->tempo?->value, 'counts' => $this->counts,
            'play' => $this->play, 'eyes_shut' => $this->eyesShut, 'alternates' => $this->alternates, 'target_m' => $this->targetM,
            'spread_m' => $this->spreadM,
        ];
    }

    /**
     * @param  array{feed: string|null, varied: bool, tempo: string|null, counts: list<string>, play: string|null, eyes_shut?: bool,
     *     alternates?: bool, target_m?: float|null, spread_m?: float|null}  $kept  what the version before kept says nothing of the rest
     */
    public static function of(array $kept): self
    {
        return new self(
            feed: $kept['feed'] === null ? null : Feed::from($kept['feed']),
            varied: $kept['varied'],
            tempo: $kept['tempo'] === null ? null : Tempo::from($kept['tempo']),
            counts: $kept['counts'],
            play: $kept['play'],
            eyesShut: $kept['eyes_shut'] ?? false,
            alternates: $kept['alternates'] ?? false,
            targetM: isset($kept['target_m']) ? (float) $kept['target_m'] : null,
            spreadM: isset($kept['spread_m']) ? (float) $kept['spread_m'] : null,
        );
    }
}
