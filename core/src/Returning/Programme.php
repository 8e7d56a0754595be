<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Family;

/** An ordered way back for a skill. */
final readonly class Programme
{
    /**
     * @param  list<Family>  $families  skills it is for
     * @param  Channel  $channel  the channel that is returning
     * @param  list<string>  $cautions
     * @param  non-empty-list<ProgrammeStage>  $stages
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $name,
        public string $summary,
        public array $families,
        public Channel $channel,
        public array $cautions,
        public array $stages,
    ) {}

    /** @return non-empty-list<Stage> what the engine looks at */
    public function engineStages(): array
    {
        return array_map(
            fn (ProgrammeStage $stage): Stage => new Stage($stage->passes, $stage->minGapDays, $stage->needsClearance),
            $this->stages,
        );
    }
}
