<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

/** One rule that gave one place on the body a word. Wording for people is made at the edge. */
final readonly class Reason
{
    /**
     * @param  string  $rule  `report`, `warmup_worse`, `during`, `during_worse`, `eased`, `trend`, `cleared_today`,
     *         `referral`, `referral_elsewhere`, `known`, `holds_overnight`, `fever`, `ill`, `after_fever`, `counts_missing`,
     *         `nothing_sore`,
     *         `no_report`
     * @param  SorenessReport|null  $report  the report the rule looked at
     */
    public function __construct(public string $rule, public Word $word, public ?SorenessReport $report = null) {}

    /** Whether it counts for work with that side of the body; a referral counts on both. */
    public function countsOn(string $side): bool
    {
        return $this->report?->side === null || $this->report->side === $side
            || $this->rule === 'referral'
                || $this->rule === 'referral_elsewhere'
                || ($this->rule === 'trend' && $this->word === Word::Refer);
    }
}
