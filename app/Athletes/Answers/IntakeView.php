<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

use App\Health\Answers\ConditionView;
use App\Library\Answers\OwnSizeView;
use App\People\Answers\LinkView;
use App\People\Answers\SharedView;

/** What is asked once. */
final readonly class IntakeView
{
    public function __construct(
        public AthleteCardView $athlete,
        public int $version,
        public ?string $birth_date,
        public ?string $sports,
        public ?string $past_injuries,
        public ?string $emergency_contact,
        public ?string $emergency_plan,
        /** @var list<UsualWorkView> what is done in a usual week */
        public array $usual_work,
        /** that week in units, and how much of it counts; null while nothing is declared */
        public ?string $usual_week,
        /** what counts until somebody says that a week far off the rest is right; null when nothing is asked */
        public ?string $usual_week_doubt,
        public ?string $usual_week_signed_by,
        public ?string $usual_week_on,
        public ?string $consent_record_by,
        public ?string $consent_record_on,
        /** @var list<MeasurementView> */
        public array $heights,
        /** @var list<MeasurementView> of the throwing hand, the latest first */
        public array $hand_spans,
        /** @var list<OwnSizeView> what is thrown, of each kind there are sizes of */
        public array $sizes,
        public ?float $growth_cm_a_month,
        public bool $growing_fast,
        /** @var list<SharedView> who sees the athlete without working with the squad */
        public array $shared,
        /** @var list<NamedView> who could be given the athlete as well */
        public array $may_share,
        /** @var list<LinkView> */
        public array $links,
        /** @var list<ConditionView> */
        public array $conditions,
        public string $given_name,
        public string $family_name,
        public ?string $turn_direction,
        /** @var list<MeasurementView> longest throws and reference speeds, the latest first */
        public array $marks,
        /** @var list<NamedView> of what a longest throw or a speed is measured, what is climbed first */
        public array $measured_skills,
        /** @var list<NamedView> where the athlete stands, by ladder */
        public array $ladders,
    ) {}
}
