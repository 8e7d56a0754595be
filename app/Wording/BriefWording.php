<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Load\Channel;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;

/** What somebody must not do today, for a person who is not told why. */
final class BriefWording
{
    /**
     * @param  list<Channel>  $resting  parts whose work comes in stages of its own
     * @param  bool  $inStage  whether such a stage is what they are here for
     * @return list<string>
     */
    public static function mustNot(Readiness $readiness, array $resting, bool $inStage): array
    {
        $lines = [];
        if (! array_filter($readiness->channels, fn (Word $word): bool => $word->allowsWork())) {
            return ['Does not train today. May watch, count and keep the score.'];
        }
        foreach (Channel::cases() as $channel) {
            $line = ! $inStage && in_array($channel, $resting, true)
                ? self::line($channel, null)
                : self::without($readiness, $channel);
            if ($line !== null) {
                $lines[] = $line;
            }
        }
        if ($inStage) {
            $lines[] = 'Only the work that stands here, not one more.';
        }
        if ($readiness->trainsAsUnknown()) {
            $lines[] = 'Has not checked in: ask first. Until then at most '.Wording::percent(SessionFrame::UNKNOWN_EFFORT).' effort.';
        } elseif ($readiness->word !== Word::Full) {
            $lines[] = 'Otherwise at most '.Wording::percent(SessionFrame::REDUCED_EFFORT).' effort.';
        }

        return $lines;
    }

    private static function without(Readiness $readiness, Channel $channel): ?string
    {
        $off = array_values(array_filter(
            ['left', 'right'], fn (string $side): bool => ! $readiness->forWork([$channel], $side)->allowsWork(),
        ));

        return $off === [] ? null : self::line($channel, count($off) === 1 ? $off[0] : null);
    }

    /** @param  'left'|'right'|null  $side  null: both */
    private static function line(Channel $channel, ?string $side): string
    {
        return match ($channel) {
            Channel::Arm => 'No throws or serves'.($side === null ? '.' : " with the {$side} arm."),
            Channel::Hand => 'Nothing held, hit or caught'.($side === null ? '.' : " with the {$side} hand."),
            Channel::Trunk => 'No turning or bending under load.',
            Channel::Landing => 'No jumps and landings.',
        };
    }
}
