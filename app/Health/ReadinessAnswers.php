<?php

declare(strict_types=1);

namespace App\Health;

use App\Health\Answers\ChannelView;
use App\Health\Answers\ReasonView;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Reason;
use Augendo\Core\Readiness\Word;

/** The day’s word by channel, with its reasons. */
final class ReadinessAnswers
{
    /** @return list<ChannelView> */
    public static function channels(Readiness $readiness): array
    {
        return array_map(fn (Channel $channel): ChannelView => new ChannelView(
            $channel->value, $readiness->channels[$channel->value]->value,
            array_map(
                fn (Reason $reason): ReasonView => new ReasonView(
                    $reason->word->value,
                    Wording::reason($reason),
                    $reason->report?->at->text,
                ),
                $readiness->reasons[$channel->value],
            ),
        ), Channel::cases());
    }

    /** The one reason a coach reads first: the worst of the worst channel. */
    public static function why(Readiness $readiness): string
    {
        foreach ($readiness->channels as $channel => $word) {
            if ($word === $readiness->word) {
                $reason = $readiness->reasons[$channel][0];

                return $reason->rule === 'nothing_sore' ? 'Nothing sore.' : Wording::reason($reason);
            }
        }

        return '';
    }
}
