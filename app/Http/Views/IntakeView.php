<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What is asked once. */
#[OA\Schema]
final readonly class IntakeView
{
    public function __construct(
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public ?string $birth_date,
        #[OA\Property]
        public ?string $sports,
        #[OA\Property]
        public ?string $past_injuries,
        #[OA\Property]
        public ?string $emergency_contact,
        #[OA\Property]
        public ?string $emergency_plan,
        #[OA\Property(ref: UsualWeekView::class, nullable: true)]
        public ?UsualWeekView $usual_week,
        /** what counts until somebody says that a week far off the rest is right; null when nothing is asked */
        #[OA\Property]
        public ?string $usual_week_doubt,
        #[OA\Property]
        public ?string $usual_week_signed_by,
        #[OA\Property]
        public ?string $usual_week_on,
        #[OA\Property]
        public ?string $consent_record_by,
        #[OA\Property]
        public ?string $consent_record_on,
        #[OA\Property]
        public ?string $consent_film_by,
        #[OA\Property]
        public ?string $consent_film_on,
        /** @var list<MeasurementView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MeasurementView::class))]
        public array $heights,
        #[OA\Property]
        public ?float $growth_cm_a_month,
        #[OA\Property]
        public bool $growing_fast,
        /** @var list<LinkView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LinkView::class))]
        public array $links,
        /** @var list<ConditionView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ConditionView::class))]
        public array $conditions,
        #[OA\Property]
        public string $given_name,
        #[OA\Property]
        public string $family_name,
        #[OA\Property]
        public ?string $turn_direction,
        /** @var list<MeasurementView> longest throws and reference speeds, the latest first */
        #[OA\Property(type: 'array', items: new OA\Items(ref: MeasurementView::class))]
        public array $marks,
        /** @var list<NamedView> where the athlete stands, by ladder */
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))]
        public array $ladders,
    ) {}
}
