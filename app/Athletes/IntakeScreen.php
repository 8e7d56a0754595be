<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\IntakeView;
use App\Athletes\Answers\MeasurementView;
use App\Athletes\Answers\NamedView;
use App\Athletes\Answers\UsualWorkView;
use App\Gates\Placement;
use App\Health\Answers\ConditionView;
use App\Library\Answers\LadderChoiceView;
use App\Library\Answers\OwnSizeView;
use App\Library\Ladders;
use App\Limits\AthleteLoads;
use App\People\Link;
use App\People\PeopleScreen;
use App\People\Shares;
use App\People\User;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\OwnSize;
use Augendo\Core\Library\Rung;
use Augendo\Core\Library\SizeTable;
use Augendo\Core\Limits\Adjustment;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\UsualWeek;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Site;
use Illuminate\Support\Facades\DB;

/** What is asked once, who may be called, how fast she grows, and which links lead to her page. */
final class IntakeScreen
{
    private const DECLARED_WEEKS = UsualWeek::DECLARED_DAYS / 7;

    public function __construct(
        private readonly Library $library,
        private readonly Ladders $shelf,
        private readonly Shares $shares,
        private readonly AthleteLoads $loads,
    ) {}

    public function view(User $user, Athlete $athlete): IntakeView
    {
        $on = $user->workspace->today();
        $kept = DB::table('intakes')->where('athlete_id', $athlete->id)->first();
        $week = Intake::week($kept?->usual_week);
        $growth = (new AthleteDay($athlete, $on))->limitBook->growthCmAMonth($athlete->id);
        $day = fn (string $column): ?string => $kept?->{$column} === null ? null : substr($kept->{$column}, 0, 10);

        return new IntakeView(
            athlete: Cards::athlete($athlete, $on),
            version: (int) ($kept->version ?? 0),
            birth_date: $athlete->birth_date === null ? null : substr($athlete->birth_date, 0, 10),
            sports: $kept?->sports,
            past_injuries: $kept?->past_injuries,
            emergency_contact: $kept?->emergency_contact,
            emergency_plan: $kept?->emergency_plan,
            usual_work: array_map(
                fn (array $of): UsualWorkView => new UsualWorkView($of['skill'], $of['reps'], $of['felt']),
                json_decode($kept->usual_work ?? '[]', true),
            ),
            usual_week: $week === null ? null : $this->weekInWords($athlete, $week),
            usual_week_doubt: self::doubtOfWeek(Intake::week($kept?->usual_week_until_sure)),
            usual_week_signed_by: $kept?->usual_week_signed_by,
            usual_week_on: $day('usual_week_on'),
            consent_record_by: $kept?->consent_record_by,
            consent_record_on: $day('consent_record_on'),
            heights: $this->measurements('heights', $athlete, fn (object $row): string => Wording::number((float) $row->height_cm).' cm'),
            hand_spans: $this->handSpans($athlete),
            sizes: $this->sizes($athlete, $on),
            growth_cm_a_month: $growth,
            growing_fast: Adjustment::isGrowingFast($growth, $athlete->ageOn($on)),
            shared: $user->role->decides() ? $this->shares->of($athlete) : [],
            may_share: $user->role->decides() ? $this->shares->others($athlete, $user) : [],
            links: $user->role->decides()
                ? Link::query()
                    ->where('athlete_id', $athlete->id)
                    ->tap(Link::live(...))
                    ->orderByDesc('id')
                    ->get()
                    ->map(PeopleScreen::link(...))
                    ->all()
                : [],
            conditions: DB::table('known_conditions')
                ->join('users', 'users.id', '=', 'known_conditions.set_by')
                ->where('athlete_id', $athlete->id)
                ->orderByDesc('set_at')
                ->get(['known_conditions.*', 'users.name'])
                ->map(fn (object $row): ConditionView => new ConditionView(
                    $row->id,
                    ucfirst(trim("{$row->side} ".Wording::site(Site::from($row->site)))).', '.Wording::kind(Kind::from($row->kind))
                        ." up to {$row->up_to_score}, until ".Wording::day(Day::of(substr($row->until_day, 0, 10)))
                        .". Set by {$row->name}.",
                    substr($row->until_day, 0, 10), $row->ended_at !== null || substr($row->until_day, 0, 10) < $on->iso(),
                ))->all(),
            given_name: $athlete->given_name,
            family_name: $athlete->family_name,
            turn_direction: $athlete->turn_direction,
            marks: $this->marks($athlete),
            measured_skills: $this->measuredSkills($athlete),
            ladders: $this->standing($athlete),
        );
    }

    /** @return list<LadderChoiceView> */
    public function ladders(User $user): array
    {
        return array_map(function (string $id): LadderChoiceView {
            $ladder = $this->library->ladder($id);

            return new LadderChoiceView(
                $id,
                $ladder->name,
                $ladder->skill->id,
                array_map(fn (Rung $rung): NamedView => new NamedView($rung->id, $rung->name), $ladder->rungs),
            );
        }, $this->shelf->ids($user->workspace_id));
    }

    /** @return list<NamedView> */
    private function measuredSkills(Athlete $athlete): array
    {
        $names = $this->library->skillNames();
        $flies = array_keys(array_filter($this->library->skills(), fn (Skill $skill): bool => $skill->flies()));
        $climbed = array_values(array_intersect($this->climbedSkills($athlete), $flies));

        return array_map(
            fn (string $id): NamedView => new NamedView($id, $names[$id]), [...$climbed, ...array_diff($flies, $climbed)],
        );
    }

    /** @return list<string> */
    private function climbedSkills(Athlete $athlete): array
    {
        return array_values(array_unique(array_map(
            fn (NamedView $standing): string => $this->library->ladder($standing->id)->skill->id, $this->standing($athlete),
        )));
    }

    /** @return list<OwnSizeView> of the ladders that are climbed, and of what was chosen */
    private function sizes(Athlete $athlete, Day $on): array
    {
        $profile = $this->loads->profiles([$athlete], $on)[$athlete->id];
        $climbed = $this->climbedSkills($athlete);
        $own = array_map(fn (SizeTable $table): OwnSize => $table->of($profile, $on), array_values($profile->sizes->tables ?? []));
        $asked = array_filter(
            $own, fn (OwnSize $size): bool => $size->chosen !== null || array_intersect($size->table->skills, $climbed) !== [],
        );

        return array_values(array_map(OwnSizeView::of(...), $asked));
    }

    /** @return list<MeasurementView> the latest first: it is the one that counts */
    private function handSpans(Athlete $athlete): array
    {
        $said = fn (object $row): string => Wording::number((float) $row->value).' cm';

        return $this->measurements('body_measures', $athlete, $said, ['what' => HandSpans::WHAT]);
    }

    /** @return list<MeasurementView> */
    private function marks(Athlete $athlete): array
    {
        $names = $this->library->skillNames();

        return $this->measurements('skill_marks', $athlete, fn (object $row): string => (
            $names[$row->skill] ?? $row->skill
        ).': '.implode(', ', array_filter([
            $row->longest_throw_m === null ? null : 'longest '.Wording::number((float) $row->longest_throw_m).' m',
            $row->reference_speed_ms === null ? null : 'reference '.Wording::number((float) $row->reference_speed_ms).' m/s',
        ])));
    }

    /**
     * @param  'heights'|'skill_marks'|'body_measures'  $table
     * @param  callable(object): string  $what
     * @param  array<string, string>  $of  what its rows have to be besides
     * @return list<MeasurementView> the latest first
     */
    private function measurements(string $table, Athlete $athlete, callable $what, array $of = []): array
    {
        return DB::table($table)
            ->leftJoin('users', 'users.id', '=', "{$table}.withdrawn_by")
            ->where('athlete_id', $athlete->id)
            ->where($of)
            ->orderByDesc('measured_on')
            ->orderByDesc("{$table}.recorded_at")
            ->get(["{$table}.*", 'users.name as taker'])->map(fn (object $row): MeasurementView => new MeasurementView(
                (string) $row->id, $what($row).', '.Wording::day(Day::of(substr($row->measured_on, 0, 10))),
                ($row->doubted ?? false) && $row->withdrawn_at === null
                    ? 'Far off the others. Until somebody says that it is right, the safer value counts.'
                    : null,
                $row->withdrawn_at === null
                    ? null
                    : "Taken back by {$row->taker}, ".Wording::day(Day::of(substr($row->withdrawn_at, 0, 10))).'.',
            ))->all();
    }

    /** @param  array<string, float>  $week  units by measure */
    private function weekInWords(Athlete $athlete, array $week): string
    {
        $counted = DB::table('work_sets')
            ->where('athlete_id', $athlete->id)
            ->where('source', 'declared')
            ->selectRaw('sum(arm) as arm, sum(landings) as landings')
            ->first();
        $units = fn (float $arm, float $landings): string => Wording::number($arm).' arm units and '.Wording::number($landings)
            .' landing units';

        return 'That is '.$units($week['arm'], $week['landings']).' a week. Counted, as declared: '
            .$units((float) ($counted->arm ?? 0.0) / self::DECLARED_WEEKS, (float) ($counted->landings ?? 0.0) / self::DECLARED_WEEKS).'.';
    }

    /** @param  array<string, float>|null  $untilSure  units a week by measure */
    private static function doubtOfWeek(?array $untilSure): ?string
    {
        return $untilSure === null ? null : 'Far off what was declared before.'
            .' Until somebody says that it is right, the smaller counts: '.Wording::number($untilSure['arm']).' arm units and '
            .Wording::number($untilSure['landings']).' landing units a week.';
    }

    /** @return list<NamedView> */
    private function standing(Athlete $athlete): array
    {
        return Placement::standing()->where(
            'athlete_id',
            $athlete->id,
        )->orderBy('entered_at')->get()->keyBy('ladder')->map(function (Placement $placement): NamedView {
            $ladder = $this->library->ladder($placement->ladder);

            return new NamedView($ladder->id, "{$ladder->name}: ".($ladder->rung($placement->rung)->name ?? $placement->rung));
        })->values()->all();
    }
}
