<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\Handedness;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Readiness\Readiness;

/** What is known of an athlete whose weeks ahead are planned, whatever the skill. */
final readonly class AthleteAhead
{
    /**
     * @param  LoadRecord  $record  up to the first day
     * @param  Readiness  $calm  nothing sore: the word taken for every day but the first
     * @param  list<CostedSet>  $otherPlans  planned beside the skills, from the first day on
     */
    public function __construct(
        public SetCost $price,
        public LoadRecord $record,
        public LimitCalendar $limits,
        public Handedness $throwing,
        public Readiness $calm,
        public array $otherPlans = [],
    ) {}

    /** @param  list<CostedSet>  $beside  planned for other skills */
    public function plan(SkillAsk $skill, SeasonAsk $ask, array $beside, bool $findsNearest): SeasonPlan
    {
        return SeasonPlanner::plan(
            ask: $ask,
            ladder: $skill->ladder,
            standing: $skill->standing,
            price: $this->price,
            record: $this->record,
            limits: $this->limits,
            throwing: $this->throwing,
            today: $skill->first,
            calm: $this->calm,
            return: $skill->return,
            otherPlans: [...$this->otherPlans, ...$beside],
            findsNearest: $findsNearest,
        );
    }
}
