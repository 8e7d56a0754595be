<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Courtside\EnteredWork;
use App\Gates\Placement;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use App\Seasons\Answers\WeekElsewhereView;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\Silence;
use Augendo\Core\Planning\WeeklyDays;
use Illuminate\Support\Carbon;

/** Once a week it is asked what somebody did elsewhere; what nobody says counts as usual. */
final class WeeksElsewhere
{
    private const SOURCE = Fixture::SOURCES[Fixture::ELSEWHERE];

    /** Asked of everybody, whatever ladder they stand on: the ordinary throw of another club. */
    private const ANYBODY = ['overhand-throw', 'jump'];

    public function __construct(
        private readonly Library $library,
        private readonly EnteredWork $work,
        private readonly ExpectedWork $expected,
    ) {}

    public function view(AthleteDay $day): WeekElsewhereView
    {
        $athlete = $day->athlete;
        $week = Silence::weekAsked($day->on);
        $names = $this->library->skillNames();
        $usual = self::usual($athlete, $day->load->fixtures, $week);
        $told = WeekElsewhere::query()->where('athlete_id', $athlete->id)->where('week', $week->iso())->first();
        $skills = array_unique([
            ...array_merge([], ...array_map(fn (Fixture $each): array => array_column($each->doses, 'skill'), $usual)),
            ...array_values(array_map(
                fn (Placement $each): string => $day->ladders->ladder($each)->skill->id,
                $day->ladders->placementsOf($athlete),
            )),
            ...self::ANYBODY,
        ]);

        return new WeekElsewhereView(
            week: $week->iso(),
            usual: $told !== null ? [] : array_map(
                fn (Fixture $each): string => Wording::day($each->day()).", {$each->title}: ".Wording::expectedDoses($each->doses, $names),
                $usual,
            ),
            told: $told?->answer,
            skills: array_values(array_map(fn (string $id): NamedView => new NamedView($id, $names[$id]), $skills)),
            days: array_map(fn (int $nth): string => $week->plus($nth)->iso(), range(0, 6)),
        );
    }

    /**
     * @param  array{
     *     id: string, week: string, answer: 'usual'|'other'|'nothing',
     *     entries: list<array{id: string, day: string, skill: string, reps: int, felt: string|null}>,
     * }  $given  validated; sent before, it changes nothing
     * @param  User|null  $by  null: on the personal page
     *
     * @throws Problem when it is another week, or somebody told it already
     */
    public function tell(Athlete $athlete, array $given, Day $today, ?User $by): void
    {
        $week = Silence::weekAsked($today);
        if ($given['week'] !== $week->iso()) {
            throw new Problem(
                ProblemType::TooLate,
                'This week is not asked for any more. What was done is entered on the athlete’s page.',
            );
        }
        Alone::with($athlete->id, function () use ($athlete, $given, $week, $today, $by): void {
            if (Sent::before('weeks_elsewhere', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            if (WeekElsewhere::query()->where('athlete_id', $athlete->id)->where('week', $week->iso())->exists()) {
                throw new Problem(ProblemType::ChangedMeanwhile, 'Somebody told this week already. What is missing is entered on its day.');
            }
            if ($given['answer'] === 'usual') {
                foreach (self::usual($athlete, new Fixtures([$athlete->id], $today), $week) as $each) {
                    $this->expected->take($athlete, $each, estimated: false);
                }
            }
            foreach ($given['entries'] as $entry) {
                $this->enter($athlete, $entry, $week);
            }
            WeekElsewhere::query()->create([
                'id' => $given['id'], 'athlete_id' => $athlete->id, 'week' => $week->iso(), 'answer' => $given['answer'],
                'told_by' => $by?->id, 'told_at' => Carbon::now(),
            ]);
            if ($by !== null) {
                Audit::of($by, $athlete, 'week elsewhere told', ['week' => $week->iso(), 'answer' => $given['answer']]);
            }
            AthletesChanged::one($athlete, $today);
        });
    }

    /**
     * What nobody has told of for long is taken as it was expected, matches too. Coming twice it changes nothing.
     *
     * @param  list<string>  $athleteIds
     */
    public function settle(array $athleteIds, Day $today): void
    {
        $fixtures = new Fixtures($athleteIds, $today);
        foreach (Athlete::query()->whereIn('id', $athleteIds)->orderBy('id')->get() as $athlete) {
            $silent = array_filter(
                $fixtures->uncounted($athlete->id),
                fn (Fixture $each): bool => Silence::countsAsExpected($each->day(), $today),
            );
            if ($silent === []) {
                continue;
            }
            Alone::with($athlete->id, function () use ($athlete, $silent, $today): void {
                foreach ($silent as $each) {
                    $this->expected->take($athlete, $each, estimated: true);
                }
                AthletesChanged::one($athlete, $today);
            });
        }
    }

    /** What the record had taken for granted was not done: its week is told, so that nobody takes it for granted again. */
    public static function wasNothing(Athlete $athlete, Day $day, User $by): void
    {
        WeekElsewhere::query()->firstOrCreate(
            ['athlete_id' => $athlete->id, 'week' => WeeklyDays::monday($day)->iso()],
            ['answer' => 'nothing', 'told_by' => $by->id, 'told_at' => Carbon::now()],
        );
    }

    /** @return list<Fixture> training elsewhere in the week that nobody has told of */
    private static function usual(Athlete $athlete, Fixtures $fixtures, Day $week): array
    {
        return array_values(array_filter(
            $fixtures->uncounted($athlete->id),
            fn (Fixture $each): bool => $each->kind === Fixture::ELSEWHERE
                && ! $week->isAfter($each->day()) && ! $each->day()->isAfter($week->plus(6)),
        ));
    }

    /** @param  array{id: string, day: string, skill: string, reps: int, felt: string|null}  $entry */
    private function enter(Athlete $athlete, array $entry, Day $week): void
    {
        $day = Day::of($entry['day']);
        if ($week->isAfter($day) || $day->isAfter($week->plus(6))) {
            $why = 'Choose a day of that week.';
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, $why, ['entries' => [$why]]);
        }
        if (Sent::before('work_sets', $entry['id'], ['athlete_id' => $athlete->id], 'client_id')) {
            return;
        }
        $skill = $this->library->skills()[$entry['skill']];
        $effort = $entry['felt'] === null ? null : Felt::from($entry['felt'])->effort();
        $set = WorkSet::ordinarily($day, self::SOURCE." {$entry['id']}", $skill, $entry['reps'], $effort);
        $this->work->add($athlete, $entry['id'], $set, self::SOURCE, $skill->ordinaryImplement()->value);
    }
}
