<?php

declare(strict_types=1);

namespace App\Limits\Answers;

use App\Athletes\Answers\SquadView;

/** Which bounds hold, from whom, and who is close to what. */
final readonly class LimitsView
{
    public function __construct(
        public string $date,
        public SquadView $squad,
        /** @var list<SquadView> */
        public array $squads,
        public string $rule_set,
        public int $version,
        public string $notice,
        /** @var list<LimitRuleView> */
        public array $rules,
        /** @var list<SquadLimitRowView> the closest first */
        public array $rows,
        /** id of the rule set in force */
        public string $rule_set_id,
        /** @var list<LimitShareView> what single athletes have of a limit */
        public array $shares,
    ) {}
}
