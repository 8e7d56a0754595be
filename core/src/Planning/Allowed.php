<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\Readiness;

/** What a day allows somebody beside the work that was planned: by the word, by referrals and illness, and by a way back. */
final readonly class Allowed
{
    /** @param  list<Channel>  $resting  parts that a way back keeps for its own stages */
    public function __construct(private Readiness $readiness, private Handedness $throwing, private array $resting) {}

    /** Whoever is ill does nothing; until a referral is closed only what loads nothing is left. */
    public function allows(BlockDose $dose): bool
    {
        $loaded = $dose->loadedChannels();

        return ! $this->readiness->isIll()
            && ($loaded === [] || $this->readiness->openReferrals === [])
            && $this->restingIn($dose) === []
            && $this->readiness->forWork($loaded, $this->throwing->bodySide($dose->side))->allowsWork();
    }

    /** @return list<Channel> parts a dose loads that a way back keeps for its own stages */
    public function restingIn(BlockDose $dose): array
    {
        $loaded = $dose->loadedChannels();

        return array_values(array_filter($this->resting, fn (Channel $channel): bool => in_array($channel, $loaded, true)));
    }
}
