<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

use Augendo\Core\Load\Channel;

/** A place on the body. `None` is the report that nothing is sore. */
enum Site: string
{
    case Neck = 'neck';
    case Shoulder = 'shoulder';
    case UpperArm = 'upper_arm';
    case Elbow = 'elbow';
    case Forearm = 'forearm';
    case Wrist = 'wrist';
    case Hand = 'hand';
    case Finger = 'finger';
    case Chest = 'chest';
    case Back = 'back';
    case SideOfTrunk = 'side';
    case Hip = 'hip';
    case Thigh = 'thigh';
    case Knee = 'knee';
    case Shin = 'shin';
    case Ankle = 'ankle';
    case Foot = 'foot';
    case Head = 'head';
    case None = 'none';

    /** @return list<Channel> the channels its word applies to; the head belongs to none and applies to all */
    public function channels(): array
    {
        return match ($this) {
            self::Neck, self::Shoulder, self::UpperArm, self::Elbow, self::Forearm => [Channel::Arm],
            self::Wrist, self::Hand, self::Finger => [Channel::Hand],
            self::Chest, self::Back, self::SideOfTrunk, self::Hip => [Channel::Trunk],
            self::Thigh, self::Knee, self::Shin, self::Ankle, self::Foot => [Channel::Landing],
            self::Head => Channel::cases(),
            self::None => [],
        };
    }

    /** @return bool whether there is a left and a right one; the others are reported without a side */
    public function hasSides(): bool
    {
        return ! in_array($this, [self::Neck, self::Chest, self::Back, self::Head, self::None], true);
    }

    public function sharesChannelWith(self $other): bool
    {
        return array_filter($this->channels(), fn (Channel $channel): bool => in_array($channel, $other->channels(), true)) !== [];
    }

    public function refersEverything(): bool
    {
        return in_array($this, [self::Neck, self::Chest, self::Back, self::Head], true);
    }
}
