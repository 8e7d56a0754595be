<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\AthleteCardView;
use App\Athletes\Answers\SquadView;
use Augendo\Core\Load\Surface;

/** A squad’s session: who is where when, with what. */
final readonly class SessionView
{
    public function __construct(
        public string $id,
        public int $version,
        public SquadView $squad,
        public string $title,
        /** @format date */
        public string $day,
        public string $starts_at,
        public int $minutes,
        public int $adults,
        public int $balls,
        public int $warm_up_min,
        public int $cool_down_min,
        /** the cool-down with it: as long as its work */
        public string $ends_at,
        /** @var list<SpaceView> */
        public array $spaces,
        /** @var list<StationMemberView> who is there */
        public array $members,
        /** @var list<SessionRoundView> */
        public array $rounds,
        /** @var list<StationFlagView> */
        public array $flags,
        /** the smallest change that makes good what is short */
        public ?string $would_help,
        /** @var list<AthleteCardView> */
        public array $absent,
        /** @var list<string> against the plan that is kept */
        public array $differences,
        /** @var list<DoseChangeView> likewise, for each whose doses would change */
        public array $changed,
        /** @var value-of<Surface>|null where everybody lands; null: not said, and that counts as hard */
        public ?string $floor,
        public bool $can_undo,
        public SessionLifeView $life,
        /** @var list<string> */
        public array $cautions,
    ) {}
}
