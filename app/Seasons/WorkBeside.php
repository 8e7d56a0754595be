<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Seasons\Answers\WorkBesideView;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Planning\CountedMatches;
use Augendo\Core\Planning\Silence;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Strength, bands and sprints, planned like matches are and ticked when done; what nobody tells of counts as it was planned. */
final class WorkBeside
{
    public function __construct(private readonly Library $library, private readonly ExpectedWork $expected) {}

    /** @return list<WorkBesideView> of today and the last days, the latest first */
    public function due(AthleteDay $day): array
    {
        $fixtures = [...$day->load->fixtures->uncounted($day->athlete->id), ...$day->load->fixtures->ahead($day->athlete->id)];
        $due = array_filter(
            $fixtures,
            fn (Fixture $each): bool => $each->kind === Fixture::BESIDE && self::isAsked($each->day(), $day->on),
        );
        $names = $this->library->skillNames();

        return array_values(array_map(fn (Fixture $each): WorkBesideView => new WorkBesideView(
            id: $each->id,
            day: $each->day()->iso(),
            title: $each->title,
            sentence: Wording::expectedDoses($each->doses, $names),
            not_today: $each->day()->equals($day->on) ? $this->notToday($each, $day) : null,
        ), array_reverse($due)));
    }

    /**
     * @param  User|null  $by  null: on the personal page
     *
     * @throws Problem when it is ahead, over for long, of somebody else, or was told otherwise before
     */
    public function tell(Athlete $athlete, string $id, string $fixtureId, bool $done, Day $today, ?User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $fixtureId, $done, $today, $by): void {
            $fixture = Fixture::concerning([$athlete->id])->where('kind', Fixture::BESIDE)->whereKey($fixtureId)->first()
                ?? throw new Problem(ProblemType::NotFound, 'This is not planned any more.');
            $told = WorkBesideTold::query()->where('fixture_id', $fixture->id)->where('athlete_id', $athlete->id)->first();
            if ($told !== null && $told->done === $done) {
                return;
            }
            if ($told !== null && $told->done) {
                throw new Problem(ProblemType::ItStays, 'It is on record as done. The coach takes it back on the athlete’s page.');
            }
            if (! self::isAsked($fixture->day(), $today)) {
                throw new Problem(ProblemType::TooLate, $fixture->day()->isAfter($today)
                    ? 'It is planned for another day. Tell it on that day.'
                    : 'It is not asked for any more. What was done is entered on the athlete’s page.');
            }
            $this->keep($athlete, $id, $fixture, $told, $done, $by);
            AthletesChanged::one($athlete, $today);
        });
    }

    private function keep(Athlete $athlete, string $id, Fixture $fixture, ?WorkBesideTold $told, bool $done, ?User $by): void
    {
        $says = ['done' => $done, 'told_by' => $by?->id, 'told_at' => Carbon::now()];
        if ($told !== null) {
            $told->update($says);
        } else {
            WorkBesideTold::query()->create(['id' => $id, 'fixture_id' => $fixture->id, 'athlete_id' => $athlete->id, ...$says]);
        }
        if ($done) {
            $this->expected->take($athlete, $fixture, estimated: false);
        }
        if ($by !== null) {
            Audit::of($by, $athlete, 'work beside told', ['title' => $fixture->title, 'day' => $fixture->day()->iso(), 'done' => $done]);
        }
    }

    /** An entry was taken back. With the last of it, it was not done, and is not taken for granted again. */
    public static function wasTakenBack(Athlete $athlete, Fixture $fixture, User $by): void
    {
        $ofIt = DB::table('work_sets')->where('athlete_id', $athlete->id)->where('session', CountedMatches::session($fixture->id));
        if ($ofIt->exists()) {
            return;
        }
        WorkBesideTold::query()->updateOrCreate(
            ['fixture_id' => $fixture->id, 'athlete_id' => $athlete->id],
            ['done' => false, 'told_by' => $by->id, 'told_at' => Carbon::now()],
        );
    }

    private static function isAsked(Day $held, Day $today): bool
    {
        return ! $held->isAfter($today) && ! Silence::countsAsExpected($held, $today);
    }

    private function notToday(Fixture $fixture, AthleteDay $day): ?string
    {
        $throws = $day->athlete->throwing_side->bodySide(Side::Dominant);
        foreach ($this->skills($fixture) as $skill) {
            foreach ($day->returns->allOpen($day->athlete->id) as $return) {
                if (MatchReady::loadsAny($return->site->channels(), $skill)) {
                    return 'On the way back: strength for it is for whoever treats it to say. Leave it out until then.';
                }
            }
            if (! $day->readiness->forWork($skill->loadedChannels(), $throws)->allowsWork()) {
                return 'Leave it out today: too sore for this.';
            }
        }

        return null;
    }

    /** @return list<Skill> */
    private function skills(Fixture $fixture): array
    {
        return array_values(array_intersect_key($this->library->skills(), array_flip(array_column($fixture->doses, 'skill'))));
    }
}
