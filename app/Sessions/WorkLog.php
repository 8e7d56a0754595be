<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Courtside\EnteredWork;
use App\Devices\OutsideLoad;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Link;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use App\Seasons\Fixture;
use App\Seasons\WeeksElsewhere;
use App\Seasons\WorkBeside;
use Augendo\Core\Day;
use Augendo\Core\Devices\SeenAndTapped;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\CountedMatches;
use Augendo\Core\Planning\Homework;

/** Work that nobody planned is load too: here, at home, in a match, at another club. */
final class WorkLog
{
    public const HOME = 'home';

    private const MATCH = 'match';

    /** Where it was done. */
    public const SOURCES = [self::HERE, self::HOME, self::MATCH, 'other club'];

    /** With the squad, beside what was planned: throw-backs, feeding, showing it to the others. */
    private const HERE = 'here';

    public function __construct(
        private readonly Library $library,
        private readonly EnteredWork $work,
        private readonly OutsideLoad $outside,
    ) {}

    /** @param  array<string, mixed>  $given  validated; sent before, it changes nothing */
    public function add(Athlete $athlete, array $given, User $by): void
    {
        $this->keep($athlete, $given, $by->workspace->today(), $by);
    }

    /**
     * Practice at home, told on the personal page.
     *
     * @param  array{id: string, day: string, skill: string, reps: int, felt: string|null, heard?: int|null}  $given  validated
     */
    public function addByLink(Athlete $athlete, array $given, Link $link): void
    {
        $today = $link->workspace()->firstOrFail()->today();
        if (! in_array($given['day'], array_map(fn (Day $each): string => $each->iso(), Homework::toldOf($today)), true)) {
            $why = 'Choose today or one of the last days.';
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, $why, ['day' => [$why]]);
        }
        $heard = SeenAndTapped::of([(int) ($given['heard'] ?? 0)], $given['reps']);
        $of = ['reps' => $heard->load(), 'source' => self::HOME, 'side' => Side::Dominant->value, 'distance_m' => null];
        $this->keep($athlete, [...$given, ...$of], $today, null);
    }

    /** @param  array<string, mixed>  $given */
    private function keep(Athlete $athlete, array $given, Day $today, ?User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $today, $by): void {
            if (Sent::before('work_sets', $given['id'], ['athlete_id' => $athlete->id], 'client_id')) {
                return;
            }
            $skill = $this->library->skills()[$given['skill']];
            $day = Day::of($given['day']);
            $effort = $given['felt'] === null ? null : Felt::from($given['felt'])->effort();
            $session = $this->matchOf($athlete, $given) ?? "{$given['source']} {$given['id']}";
            $side = Side::from($given['side']);
            $set = WorkSet::ordinarily($day, $session, $skill, $given['reps'], $effort, $given['distance_m'], $side);
            $this->work->add($athlete, $given['id'], $set, $given['source'], $skill->ordinaryImplement()->value);
            $this->outside->of($athlete, $day);
            // Who holds a link has no account to name; the entry itself is on the athlete's page.
            if ($by !== null) {
                Audit::of($by, $athlete, 'work logged', ['day' => $day->iso(), 'source' => $given['source'], 'reps' => $given['reps']]);
            }
            AthletesChanged::one($athlete, $today);
        });
    }

    /**
     * What was counted without a connection stays, also when its match was taken off the calendar meanwhile.
     *
     * @param  array<string, mixed>  $given
     */
    private function matchOf(Athlete $athlete, array $given): ?string
    {
        $isPlayed = ($given['fixture'] ?? null) !== null && $given['source'] === self::MATCH && Fixture::concerning([$athlete->id])
            ->whereKey($given['fixture'])
            ->where('kind', Fixture::MATCH)
            ->where('held_on', $given['day'])
            ->exists();

        return $isPlayed ? CountedMatches::session($given['fixture']) : null;
    }

    /** Takes an entry back; what it said stays in the log of who did what. */
    public function takeBack(Athlete $athlete, string $id, string $reason, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $reason, $by): void {
            $gone = $this->work->takeBack($athlete, $id, [...self::SOURCES, ...array_values(Fixture::SOURCES)], $reason, $by)
                ?? throw new Problem(ProblemType::NotFound, 'This entry is not there any more.');
            $this->outside->of($athlete, Day::of($gone->day));
            $beside = Fixture::query()->where('kind', Fixture::BESIDE)->find(CountedMatches::named($gone->session));
            if ($beside !== null) {
                WorkBeside::wasTakenBack($athlete, $beside, $by);
            } elseif ($gone->estimated) {
                WeeksElsewhere::wasNothing($athlete, Day::of($gone->day), $by);
            }
            Audit::of(
                $by,
                $athlete,
                'logged work taken back',
                [...array_diff_key((array) $gone, ['session' => '']), 'reason' => $reason],
            );
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }
}
