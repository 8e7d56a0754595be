<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Athletes\Athlete;
use App\Health\AbsenceKind;
use App\Health\AwayAndHurt;
use App\People\Role;
use App\Seasons\Fixture;
use App\Seasons\MatchTeam;
use App\Sessions\ChangeSession;
use App\Sessions\PlanSessions;
use App\Sessions\SessionState;
use App\Sessions\TrainingSession;
use App\Sessions\Venue;
use Augendo\Core\Limits\Covers;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\Silence;
use Database\Factories\FixtureFactory;
use Database\Factories\IncidentEntryFactory;
use Database\Factories\IncidentFactory;
use Database\Factories\TrainingSessionFactory;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** An invented coastal club: thirteen athletes of 8 to 41, together in every state a coach meets on Today. */
final class DemoSeeder extends Seeder
{
    private const SERVE = 'volleyball-float-serve';

    private const JAVELIN = 'javelin-throw';

    private const BLOCK = 'block-jump-landing';

    public function run(): void
    {
        $people = [
            'coach' => 'Anneke Duarte', 'assistant' => 'Felix Moreau', 'clinician' => 'Dr. Samira Lund',
            'guardian' => 'Leila Haddad', 'athlete' => 'Yuna Petrovic',
        ];
        DB::transaction(function () use ($people): void {
            $club = Club::found('Saltmarsh Throwing Club', 'Harbour squad', $people, 'saltmarsh.example', 'saltmarsh');
            Storyteller::tellSquad($club, $this->stories(), judgedAlong: ['Pia' => 3, 'Yuna' => 11], season: 'Mira');
            $this->calendar($club);
            $this->awayAndHurt($club);
            $this->lineUp($club);
            $this->elsewhere($club);
            Filmed::tell($club, 'Yuna');
        });
    }

    /** The throwers' own evening, weekly from the third week on, one of them moved; and one that a storm called off. */
    private function calendar(Club $club): void
    {
        $coach = $club->person(Role::Coach);
        $today = $club->workspace->today();
        $hall = ['name' => 'Harbour hall', 'length_m' => 24, 'width_m' => 12, 'floor' => 'sprung', 'balls' => 20];
        $field = ['name' => 'North field', 'length_m' => 90, 'width_m' => 60, 'floor' => 'firm', 'balls' => 12];
        foreach ([$hall, $field] as $venue) {
            Venue::query()->create([...$venue, 'workspace_id' => $club->workspace->id]);
        }
        $first = $today->plus(15);
        $made = app(PlanSessions::class)->plan($club->squad, [
            'day' => $first->iso(), 'starts_at' => '18:45', 'title' => 'Javelin evening', 'minutes' => 60, 'place' => 'North field',
            'ladders' => [self::JAVELIN], 'until' => $first->plus(35)->iso(), 'weekdays' => [SeasonAsk::weekday($first->ordinal)],
        ], $coach);
        $second = TrainingSession::query()->findOrFail($made->sessionIds[1]);
        app(ChangeSession::class)->change($second, [
            'version' => $second->version, 'scope' => 'one', 'day' => $second->day()->plus(1)->iso(), 'starts_at' => '18:15',
            'title' => $second->title, 'minutes' => $second->minutes, 'place' => $second->place,
        ], $coach);
        TrainingSessionFactory::new()->create([
            'squad_id' => $club->squad->id, 'held_on' => $today->plus(-6)->iso(), 'starts_at' => '18:45', 'title' => 'Javelin evening',
            'place' => 'North field', 'ladders' => [self::JAVELIN], 'has_sheets' => false,
            'state' => SessionState::CalledOff, 'reason' => 'Thunder over the field',
        ]);
    }

    /** A cup weeks ahead: three of the servers play, everybody else trains on. */
    private function lineUp(Club $club): void
    {
        $match = FixtureFactory::new()->create([
            'squad_id' => $club->squad->id, 'held_on' => $club->workspace->today()->plus(24)->iso(), 'title' => 'Lighthouse cup',
            'starts_at' => '14:00', 'created_by' => $club->person(Role::Coach)->id,
        ]);
        $players = $club->squad->athletes()->whereIn('given_name', ['Yuna', 'Dario', 'Kaito'])->pluck('athletes.id')->all();
        app(MatchTeam::class)->lineUp($match, $players, null, $club->person(Role::Coach));
    }

    /** One who serves in a works league, and lifts, as well: last week’s evening waits to be told of, and yesterday’s bands. */
    private function elsewhere(Club $club): void
    {
        $dario = $club->squad->athletes()->where('given_name', 'Dario')->firstOrFail();
        FixtureFactory::new()->elsewhere($dario, 'Works league', 'float-serve', 16)->create([
            'squad_id' => $club->squad->id, 'held_on' => Silence::weekAsked($club->workspace->today())->plus(2)->iso(),
            'created_by' => $club->person(Role::Coach)->id,
        ]);
        foreach ([-1, 6, 13] as $days) {
            FixtureFactory::new()->create([
                'squad_id' => $club->squad->id, 'athlete_id' => $dario->id, 'kind' => Fixture::BESIDE, 'title' => 'Bands and lifts',
                'held_on' => $club->workspace->today()->plus($days)->iso(), 'starts_at' => '07:30', 'doses' => [
                    ['skill' => 'shoulder-bands', 'reps' => 24, 'felt' => 'easy'],
                    ['skill' => 'squats-and-lifts', 'reps' => 30, 'felt' => 'middling'],
                ], 'created_by' => $club->person(Role::Coach)->id,
            ]);
        }
    }

    /** A school camp; and a fall with a swollen ankle: told at home, restricted by the clinician, not closed yet. */
    private function awayAndHurt(Club $club): void
    {
        $today = $club->workspace->today();
        $named = fn (string $name): Athlete => $club->squad->athletes()->where('given_name', $name)->firstOrFail();
        app(AwayAndHurt::class)->beAway($named('Ravi'), [
            'id' => (string) Str::uuid7(), 'kind' => AbsenceKind::Travel->value, 'fever' => false,
            'from_day' => $today->plus(2)->iso(), 'until_day' => $today->plus(6)->iso(), 'note' => 'School camp',
        ], $club->person(Role::Coach));
        $sofie = $named('Sofie');
        $fell = $today->plus(-2)->iso();
        IncidentFactory::new()
            ->has(IncidentEntryFactory::new()->state([
                'at' => "{$fell}T19:20:00Z", 'who' => 'her father', 'text' => 'By phone, he came at half past',
                'made_by' => $club->person(Role::Assistant)->id,
            ]), 'entries')
            ->create([
                'athlete_id' => $sofie->id, 'at' => "{$fell}T19:05:00Z", 'what' => 'Landed on a ball that had rolled under the net.',
                'opened_by' => $club->person(Role::Assistant)->id,
            ]);
        app(AwayAndHurt::class)->restrict($sofie, [
            'id' => (string) Str::uuid7(), 'covers' => Covers::Landings->value, 'from_day' => $today->iso(),
            'none_until' => $today->plus(6)->iso(), 'until_day' => $today->plus(20)->iso(), 'effort_max' => 0.6, 'reps_a_day' => 20,
            'clinician_name' => '', 'note' => 'Two feet first.',
        ], $club->person(Role::Clinician));
    }

    /** @return list<Story> */
    private function stories(): array
    {
        return [
            // Ready to advance: two weeks of good serves, checked in, nothing sore.
            new Story(
                'Mira', 'Okonjo', 17, 'right', self::SERVE, 'short', 'line', 20, 0.92, 'toss-behind',
                marks: ['float-serve' => [null, 19.0]], servesAlone: true,
            ),
            // Near a limit: javelin here, volleyball serves at another club, one arm.
            new Story(
                'Tomas', 'Brandvik', 15, 'right', self::JAVELIN, 'three-step', 'five-step', 18, 0.8, 'arm-early',
                marks: ['javelin' => [41.0, null]], fill: 0.96,
            ),
            // Short of evidence: new on the rung.
            new Story('Ilse', 'Varga', 13, 'left', self::SERVE, 'wall', 'short', 3, 0.85, 'off-centre'),
            // Not checked in; jumps and serves, two skills in one week.
            new Story(
                'Jonah', 'Adeyemi', 16, 'right', self::BLOCK, 'jump-stick', 'block', 16, 0.82, 'drift',
                today: null, alsoOn: [self::SERVE, 'short'],
            ),
            // Reduced: a shoulder that aches a little.
            new Story(
                'Yuna', 'Petrovic', 19, 'right', self::SERVE, 'line', 'thirds', 24, 0.78, 'off-centre',
                today: [['shoulder', 'right', 'muscle', 4]], sharedWith: [Role::Clinician, Role::Athlete],
            ),
            // None for the landings: a child’s knee; the rest of her may train.
            new Story(
                'Noor', 'Haddad', 12, 'right', self::BLOCK, 'stick', 'jump-stick', 15, 0.84, 'one-foot',
                today: [['knee', 'left', 'joint', 2]], heights: [[84, 148.0], [5, 150.6]], sharedWith: [Role::Clinician, Role::Guardian],
            ),
            // Refer: an ankle swelled two days ago and nobody has cleared it.
            new Story(
                'Sofie', 'Marchetti', 13, 'left', self::BLOCK, 'block', 'step-block', 14, 0.83, 'drift',
                referral: ['ankle', 'left', 'swelling', 3, 2], sharedWith: [Role::Clinician],
            ),
            // Stepping back: the old fault has returned.
            new Story('Kaito', 'Brennan', 11, 'right', self::SERVE, 'pose', 'wall', 22, 0.28, 'low-elbow'),
            // A weekly step broken by a tournament.
            new Story(
                'Dario', 'Nwosu', 28, 'right', self::SERVE, 'thirds', 'pace', 21, 0.75, 'toss-behind',
                today: [['shoulder', 'right', 'muscle', 2]], tournament: true,
            ),
            // Foot of the ladder, eight years old.
            new Story('Ravi', 'Castellan', 8, 'right', self::SERVE, null, 'toss', 25, 0.7, 'toss-high'),
            // Repeats: not yet good enough.
            new Story(
                'Pia', 'Lindgren', 10, 'right', self::JAVELIN, 'hold', 'kneel', 20, 0.62, 'pulls-down',
                marks: ['javelin' => [14.0, null]],
            ),
            // The eldest, left-handed, not checked in; on the way back and waiting for the clearance before full effort.
            new Story(
                'Henrike', 'Osei', 41, 'left', self::JAVELIN, 'five-step', 'lane', 60, 0.86, 'point-out',
                today: null, marks: ['javelin' => [33.0, null]], sharedWith: [Role::Clinician],
                return: [
                    'programme' => 'throws-distance-first', 'site' => 'elbow', 'opened' => 34, 'stage' => 5, 'cleared' => [33, 4],
                    'attempts' => [[30, 0], [27, 1], [24, 2], [21, 3], [18, 3], [13, 4], [9, 4], [3, 4]],
                ],
            ),
            // On the way back at stage three: one clean pass of two.
            new Story(
                'Luca', 'Ferreira', 22, 'right', self::SERVE, 'short', 'line', 60, 0.88, 'off-centre',
                marks: ['float-serve' => [null, 21.0]], sharedWith: [Role::Clinician],
                return: [
                    'programme' => 'serves-effort-first', 'site' => 'shoulder', 'opened' => 12, 'stage' => 2,
                    'cleared' => [11, 6], 'attempts' => [[8, 0], [5, 1], [2, 2]],
                ],
            ),
        ];
    }
}
