<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\Site;

/**
 * What somebody looks for in the words a coach uses: “elbow drops”, “no partner”, “indoors”, “sore wrist”. What is sore is
 * spared with all that shares its channel; a place that refers everything finds nothing.
 */
final readonly class DrillWanted
{
    private const ALONE = ['without a partner', 'no partner', 'on my own', 'by myself', 'alone'];

    private const INDOORS = ['in the hall', 'in a hall', 'indoors', 'indoor', 'inside'];

    private const SEATED = [
        'from a wheelchair', 'in a wheelchair', 'wheelchair', 'from a chair', 'in a chair', 'on a chair', 'chair', 'seated', 'sitting',
    ];

    /** Said with a place of the body, they ask for it to be spared. */
    private const SORE = [
        'sore', 'soreness', 'hurt', 'hurts', 'hurting', 'ache', 'aches', 'aching', 'pain', 'pains', 'painful', 'swollen', 'stiff',
    ];

    /** They say nothing of a drill. */
    private const SMALL = ['and', 'or', 'the', 'a', 'an', 'for', 'with', 'to', 'of', 'my', 'is', 'in', 'on', 'drill', 'drills'];

    /** Other words for a place. */
    private const PLACES = [
        'upper_arm' => ['upper arm', 'upper arms', 'biceps', 'triceps'], 'side' => ['side of the trunk', 'ribs', 'rib'],
        'finger' => ['thumb', 'thumbs', 'fingertip', 'fingertips'], 'foot' => ['feet', 'heel', 'heels', 'toe', 'toes', 'arch'],
        'shin' => ['calf', 'calves', 'achilles'], 'thigh' => ['hamstring', 'hamstrings', 'quads'], 'hip' => ['groin'],
        'back' => ['spine', 'lower back'], 'head' => ['concussion', 'dizzy'],
    ];

    /**
     * @param  list<string>  $words  what is left to be looked for, in small letters
     * @param  list<Site>  $sore
     * @param  bool  $isSoreSomewhere  whether soreness was spoken of; without a place nobody knows what to spare
     */
    private function __construct(
        public array $words,
        public array $sore,
        public bool $isSoreSomewhere,
        public bool $alone,
        public bool $indoors,
        public bool $seated,
    ) {}

    public static function of(string $text): self
    {
        $rest = ' '.preg_replace('/[^\p{L}\d]+/u', ' ', mb_strtolower($text)).' ';
        $alone = self::takes($rest, self::ALONE);
        $indoors = self::takes($rest, self::INDOORS);
        $seated = self::takes($rest, self::SEATED);
        $sore = [];
        $isSore = self::takes($rest, self::SORE);
        foreach ($isSore ? Site::cases() : [] as $site) {
            if ($site !== Site::None && self::takes($rest, [$site->value, "{$site->value}s", ...self::PLACES[$site->value] ?? []])) {
                $sore[] = $site;
            }
        }

        return new self(array_values(array_diff(explode(' ', $rest), ['', ...self::SMALL])), $sore, $isSore, $alone, $indoors, $seated);
    }

    /** Whether a place was named that nobody trains around: it goes to a clinician. */
    public function refers(): bool
    {
        return array_filter($this->sore, fn (Site $site): bool => $site->refersEverything()) !== [];
    }

    /** Whether something is sore and nobody said where: nothing is safe to name then. */
    public function asksWhere(): bool
    {
        return $this->isSoreSomewhere && $this->sore === [];
    }

    /** @return list<Channel> the parts that are spared */
    public function spared(): array
    {
        return array_values(array_filter(Channel::cases(), fn (Channel $channel): bool => array_filter(
            $this->sore, fn (Site $site): bool => in_array($channel, $site->channels(), true),
        ) !== []));
    }

    /**
     * @param  list<DrillCard>  $cards
     * @return list<DrillCard> in their order
     */
    public function find(array $cards): array
    {
        return $this->refers() || $this->asksWhere() ? [] : array_values(array_filter($cards, $this->suits(...)));
    }

    private function suits(DrillCard $card): bool
    {
        if (($this->alone && $card->with !== DrillWith::Alone) || ($this->indoors && $card->far) || ($this->seated && ! $card->seated)) {
            return false;
        }
        foreach ($this->spared() as $channel) {
            if (in_array($channel, $card->loads, true)) {
                return false;
            }
        }
        $text = ' '.preg_replace('/[^\p{L}\d]+/u', ' ', $card->words());
        foreach ($this->words as $word) {
            if (! str_contains($text, " {$word}")) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether one of the phrases is said; what is said is taken out.
     *
     * @param  list<string>  $phrases
     */
    private static function takes(string &$text, array $phrases): bool
    {
        $found = false;
        foreach ($phrases as $phrase) {
            if (str_contains($text, " {$phrase} ")) {
                $text = str_replace(" {$phrase} ", ' ', $text);
                $found = true;
            }
        }

        return $found;
    }
}
