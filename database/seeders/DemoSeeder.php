<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Courtside\DailyTotals;
use App\Courtside\RepLog;
use App\Gates\Decision;
use App\Gates\Placement;
use App\Health\HealthLog;
use App\Limits\AthleteLoads;
use App\People\Role;
use App\People\User;
use App\People\Workspace;
use App\Returns\PlayReturn;
use App\Returns\ReturnAttempt;
use App\Returns\ReturnClearance;
use App\Seasons\Fixture;
use App\Seasons\Season;
use App\Seasons\Seasons;
use App\Sessions\FitSheet;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use App\Sessions\TrainingSession;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Day;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\SeasonAsk;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * An invented coastal club: thirteen athletes of 8 to 41 with ten weeks of record, together in every state a coach meets on Today.
 * Dates are relative to the day it is loaded. The last four weeks go through the same code as real taps do.
 */
final class DemoSeeder extends Seeder
{
    private const WEEKS = 10;

    private const TAPPED_DAYS = 28;

    /** Sessions are held on these days before today; today there is one too. */
    private const EVERY = [2, 4, 7];

    private Workspace $workspace;

    private Squad $squad;

    private User $coach;

    private User $assistant;

    private User $clinician;

    private User $guardian;

    private User $grown;

    private Day $today;

    public function __construct(
        private readonly Library $library,
        private readonly RepLog $log,
        private readonly HealthLog $health,
        private readonly AthleteLoads $loads,
    ) {}

    public function run(): void
    {
        mt_srand(20_270_311);
        DB::transaction(function (): void {
            $this->people();
            foreach ($this->scenario() as $position => $story) {
                $athlete = $this->athlete($story, $position);
                $this->tell($athlete, $story);
            }
            $this->judgedAlong('Pia', 3);
            $this->judgedAlong('Yuna', 11);
            $this->planAhead();
            $this->season();
        });
    }

    /** @return list<array<string, mixed>> */
    private function scenario(): array
    {
        $serve = 'volleyball-float-serve';
        $javelin = 'javelin-throw';
        $block = 'block-jump-landing';

        return [
            // Ready to advance: two weeks of good serves, checked in, nothing sore.
            [
                'Mira',
                'Okonjo',
                17,
                'right',
                [[$serve, 'short', 'line', 20, 0.92, 'toss-behind']],
                'marks' => ['float-serve' => [null, 19.0]],
                'today' => [],
            ],
            // Near a limit: javelin here, volleyball serves at another club, one arm.
            [
                'Tomas',
                'Brandvik',
                15,
                'right',
                [[$javelin, 'three-step', 'five-step', 18, 0.8, 'arm-early']],
                'marks' => ['javelin' => [41.0, null]],
                'today' => [],
                'fill' => 0.96,
            ],
            // Short of evidence: new on the rung.
            ['Ilse', 'Varga', 13, 'left', [[$serve, 'wall', 'short', 3, 0.85, 'off-centre']], 'today' => []],
            // Not checked in.
            ['Jonah', 'Adeyemi', 16, 'right', [[$block, 'jump-stick', 'block', 16, 0.82, 'drift']], 'today' => null],
            // Reduced: a shoulder that aches a little.
            [
                'Yuna',
                'Petrovic',
                19,
                'right',
                [[$serve, 'line', 'thirds', 24, 0.78, 'off-centre']],
                'today' => [['shoulder', 'right', 'muscle', 4]],
            ],
            // None for the landings: a child’s knee; the rest of her may train.
            [
                'Noor',
                'Haddad',
                12,
                'right',
                [[$block, 'stick', 'jump-stick', 15, 0.84, 'one-foot']],
                'today' => [['knee', 'left', 'joint', 2]],
            ],
            // Refer: an ankle swelled two days ago and nobody has cleared it.
            [
                'Sofie',
                'Marchetti',
                13,
                'left',
                [[$block, 'block', 'step-block', 14, 0.83, 'drift']],
                'today' => [],
                'referral' => ['ankle', 'left', 'swelling', 3, 2],
            ],
            // Stepping back: the old fault has returned.
            ['Kaito', 'Brennan', 11, 'right', [[$serve, 'pose', 'wall', 22, 0.28, 'low-elbow']], 'today' => []],
            // A weekly step broken by a tournament.
            [
                'Dario',
                'Nwosu',
                28,
                'right',
                [[$serve, 'thirds', 'pace', 21, 0.75, 'toss-behind']],
                'today' => [['shoulder', 'right', 'muscle', 2]],
                'tournament' => true,
            ],
            // Foot of the ladder, eight years old.
            ['Ravi', 'Castellan', 8, 'right', [[$serve, null, 'toss', 25, 0.7, 'toss-high']], 'today' => []],
            // Repeats: not yet good enough.
            [
                'Pia',
                'Lindgren',
                10,
                'right',
                [[$javelin, 'hold', 'kneel', 20, 0.62, 'pulls-down']],
                'marks' => ['javelin' => [14.0, null]],
                'today' => [],
            ],
            // The eldest, left-handed, not checked in; on the way back and waiting for the clearance before full effort.
            ['Henrike', 'Osei', 41, 'left', [
                [$javelin, 'five-step', 'lane', 60, 0.86, 'point-out'],
            ], 'marks' => ['javelin' => [33.0, null]], 'today' => null, 'return' => [
                'programme' => 'throws-distance-first', 'site' => 'elbow', 'opened' => 34, 'stage' => 5, 'cleared' => [33, 4],
                'attempts' => [[30, 0], [27, 1], [24, 2], [21, 3], [18, 3], [13, 4], [9, 4], [3, 4]],
            ]],
            // On the way back at stage three: one clean pass of two.
            ['Luca', 'Ferreira', 22, 'right', [
                [$serve, 'short', 'line', 60, 0.88, 'off-centre'],
            ], 'marks' => ['float-serve' => [null, 21.0]], 'today' => [], 'return' => [
                'programme' => 'serves-effort-first', 'site' => 'shoulder', 'opened' => 12, 'stage' => 2,
                'cleared' => [11, 6], 'attempts' => [[8, 0], [5, 1], [2, 2]],
            ]],
        ];
    }

    private function people(): void
    {
        $this->workspace = Workspace::query()->create(['name' => 'Saltmarsh Throwing Club', 'timezone' => 'Europe/Lisbon']);
        $this->today = $this->workspace->today();
        $user = fn (string $name, string $login, Role $role): User => User::query()->create([
            'workspace_id' => $this->workspace->id, 'name' => $name, 'email' => "{$login}@saltmarsh.example",
            'password' => 'saltmarsh', 'role' => $role,
        ]);
        $this->coach = $user('Anneke Duarte', 'coach', Role::Coach);
        $this->assistant = $user('Felix Moreau', 'assistant', Role::Assistant);
        $this->clinician = $user('Dr. Samira Lund', 'clinician', Role::Clinician);
        $this->guardian = $user('Leila Haddad', 'guardian', Role::Guardian);
        $this->grown = $user('Yuna Petrovic', 'athlete', Role::Athlete);
        $this->workspace->update(['head_id' => $this->coach->id]);
        $this->clinician->update([
            'invited_by' => $this->coach->id,
            'confirmed_at' => Carbon::now()->subDays(70),
            'confirmed_by' => $this->coach->id,
        ]);
        $this->squad = Squad::query()->create([
            'workspace_id' => $this->workspace->id,
            'name' => 'Harbour squad',
            'rule_set' => 'starter',
            'floor' => 'sprung',
        ]);
        $this->assistant->squads()->attach($this->squad->id);
    }

    /** @param  array<int|string, mixed>  $story */
    private function athlete(array $story, int $position): Athlete
    {
        [$given, $family, $age, $side] = $story;
        $athlete = Athlete::query()->create([
            'workspace_id' => $this->workspace->id, 'given_name' => $given, 'family_name' => $family,
            'birth_date' => $this->today->plus(-(int) round(365.25 * $age) - 40 - 11 * $position)->iso(),
            'throwing_side' => $side, 'turn_direction' => $side,
        ]);
        $athlete->squads()->attach($this->squad->id, ['position' => $position]);
        // Shared with the clinician: who is referred, sore or on the way back. The guardian and the grown athlete see their own.
        if (isset($story['referral']) || isset($story['return']) || in_array($given, ['Noor', 'Yuna'], true)) {
            $this->clinician->boundAthletes()->attach($athlete->id);
        }
        if ($given === 'Noor') {
            $this->guardian->boundAthletes()->attach($athlete->id);
        }
        if ($given === 'Yuna') {
            $this->grown->boundAthletes()->attach($athlete->id);
        }
        DB::table('intakes')->insert([
            'athlete_id' => $athlete->id, 'sports' => 'Saltmarsh Throwing Club',
            'emergency_contact' => $age < 18
                ? "A parent of {$given}, 555 01".str_pad((string) $position, 2, '0', STR_PAD_LEFT)
                : "A friend of {$given}, 555 02".str_pad((string) $position, 2, '0', STR_PAD_LEFT),
            'consent_record_by' => $age < 16 ? "A parent of {$given}" : "{$given} {$family}",
            'consent_record_on' => $this->today->plus(-75)->iso(), 'created_at' => Carbon::now(),
            'updated_at' => Carbon::now(),
        ]);
        $heights = match (true) {
            $given === 'Noor' => [[84, 148.0], [5, 150.6]],
            $age < 19 => [[90, 140.0 + $age], [12, 140.6 + $age]],
            default => [],
        };
        foreach ($heights as [$ago, $cm]) {
            DB::table('heights')->insert([
                'id' => (string) Str::uuid7(),
                'athlete_id' => $athlete->id,
                'measured_on' => $this->today->plus(-$ago)->iso(),
                'height_cm' => $cm,
                'recorded_by' => $this->coach->id,
                'recorded_at' => Carbon::now(),
            ]);
        }
        foreach ($story['marks'] ?? [] as $skill => [$longest, $speed]) {
            DB::table('skill_marks')->insert([
                'athlete_id' => $athlete->id,
                'skill' => $skill,
                'longest_throw_m' => $longest,
                'reference_speed_ms' => $speed,
                'measured_on' => $this->today->plus(-75)->iso(),
            ]);
        }

        return $athlete;
    }

    /** @param  array<int|string, mixed>  $story */
    private function tell(Athlete $athlete, array $story): void
    {
        $idle = $story['return']['opened'] ?? 0;
        foreach ($story[4] as [$ladder, $before, $current, $enteredDaysAgo]) {
            if ($before !== null) {
                $this->place($athlete, $ladder, $before, 70, null);
            }
            $this->place($athlete, $ladder, $current, $enteredDaysAgo, $before);
        }
        for ($ago = 7 * self::WEEKS; $ago >= 1; $ago--) {
            $day = $this->today->plus(-$ago);
            if ($ago > $idle) {
                $this->morning($athlete, $day, $story, $ago);
            }
            if ($ago <= $idle || ! in_array($ago % 7, [self::EVERY[0], self::EVERY[1], 0], true)) {
                continue;
            }
            foreach ($story[4] as [$ladder, $before, $current, $enteredDaysAgo, $rate, $fault]) {
                $rung = $ago > $enteredDaysAgo ? ($before ?? $current) : $current;
                if ($ago > self::TAPPED_DAYS) {
                    $this->oldWork($athlete, $ladder, $rung, $day);
                } else {
                    // On the rung before, she was still learning.
                    $this->session($athlete, $ladder, $rung, $day, $rung === $current ? $rate : $rate - 0.2, $fault);
                }
            }
        }
        if (isset($story['referral'])) {
            [$site, $side, $kind, $score, $ago] = $story['referral'];
            $this->report($athlete, $this->today->plus(-$ago), '18:20', 'during', $site, $side, $kind, $score);
            $this->report($athlete, $this->today->plus(-$ago), '19:40', 'after', $site, $side, $kind, 1);
        }
        if (isset($story['tournament'])) {
            foreach ([1, 2] as $ago) {
                $this->work($athlete, $this->today->plus(-$ago), 'match', 'spike', 62, 0.95, 'volleyball', 'sprung', null);
                $this->work($athlete, $this->today->plus(-$ago), 'match', 'float-serve', 48, 0.95, 'volleyball', 'sprung', 9.0);
            }
        }
        if (isset($story['return'])) {
            $this->wayBack($athlete, $story['return'], $story[4][0][0], $story[3], $story['today'] !== null);
        }
        if (isset($story['fill'])) {
            $this->fillWeek($athlete, $story['fill']);
        }
        $this->thisMorning($athlete, $story['today']);
    }

    private function place(Athlete $athlete, string $ladder, string $rung, int $daysAgo, ?string $from): void
    {
        $day = $this->today->plus(-$daysAgo);
        $decision = $from === null ? null : Decision::query()->create([
            'athlete_id' => $athlete->id, 'ladder' => $ladder, 'ladder_version' => 1, 'rung' => $from,
            'action' => 'advance', 'to_rung' => $rung,
            'evidence' => ['v' => 2],
            'overridden' => [], 'reason' => 'Carried over from the notebook.', 'day' => $day->iso(),
            'decided_by' => $this->coach->id, 'decided_at' => Carbon::parse($day->iso()),
        ]);
        Placement::query()->create([
            'athlete_id' => $athlete->id, 'ladder' => $ladder, 'ladder_version' => 1, 'rung' => $rung, 'entered_on' => $day->iso(),
            'entered_at' => $this->at($day, '06:00'), 'decision_id' => $decision?->id,
        ]);
    }

    /** @param  array<int|string, mixed>  $story */
    private function morning(Athlete $athlete, Day $day, array $story, int $ago): void
    {
        // People forget now and then; on the days after a session they are asked.
        if ($story['today'] === null ? mt_rand(0, 2) === 0 : $ago > 6 && mt_rand(0, 9) === 0) {
            return;
        }
        $isServe = str_contains($story[4][0][0], 'serve') || str_contains($story[4][0][0], 'javelin');
        $sore = mt_rand(0, 6) === 0 && ($ago > 4);
        $this->report(
            $athlete, $day, '07:'.str_pad((string) mt_rand(0, 50), 2, '0', STR_PAD_LEFT), 'morning',
            $sore ? ($isServe ? 'shoulder' : 'thigh') : 'none', $sore ? $story[3] : null, 'muscle', $sore ? mt_rand(1, 2) : 0,
        );
    }

    /** @param  list<array{string, string, string, int}>|null  $reports null: nobody has answered today */
    private function thisMorning(Athlete $athlete, ?array $reports): void
    {
        if ($reports === null) {
            return;
        }
        foreach ($reports === [] ? [['none', null, 'muscle', 0]] : $reports as [$site, $side, $kind, $score]) {
            $now = Carbon::now($this->workspace->timezone);
            $time = min('07:10', $now->copy()->subMinutes(3)->isSameDay($now) ? $now->copy()->subMinutes(3)->format('H:i') : '00:00');
            $this->report($athlete, $this->today, $time, 'morning', $site, $side, $kind, $score);
        }
    }

    private function report(
        Athlete $athlete, Day $day, string $time, string $moment, string $site, ?string $side, string $kind, int $score,
    ): void {
        $this->health->report($athlete, [[
            'id' => (string) Str::uuid7(), 'at' => $this->at($day, $time), 'moment' => $moment, 'site' => $site,
            'side' => $side, 'kind' => $kind, 'score' => $score,
        ]], $this->coach);
    }

    /** Work kept before taps were: the rung’s own dose as single sets. */
    private function oldWork(Athlete $athlete, string $ladder, string $rung, Day $day): void
    {
        foreach ($this->library->ladder($ladder)->rung($rung)->blocks ?? [] as $dose) {
            if ($dose->reps > 0) {
                $reps = (int) round($dose->sets * $dose->reps * mt_rand(8, 11) / 10);
                $this->work(
                    $athlete, $day, 'entered', $dose->skill->id, $reps, $dose->effort, $dose->object->id,
                    $dose->surface?->value, $dose->distanceM, $dose->side,
                );
            }
        }
    }

    private function work(
        Athlete $athlete, Day $day, string $source, string $skill, int $reps, float $effort, string $object,
        ?string $surface, ?float $distanceM, Side $side = Side::Dominant,
    ): void {
        $item = $this->library->objects()[$object];
        $set = new WorkSet(
            $day, "{$source} {$day->iso()}", $this->library->skills()[$skill], $reps, $effort, $item->implement, $distanceM, null,
            $item->massKg, $item->referenceMassKg, $side, $surface === null ? null : Surface::from($surface),
        );
        $price = new SetCost($this->loads->profiles([$athlete], $day)[$athlete->id]);
        DB::table('work_sets')->insert(RepLog::row($athlete->id, $set, $source, $object, null) + DailyTotals::toColumns($price->of($set)));
        DailyTotals::refresh($athlete->id, $day->iso());
    }

    private function sheet(Athlete $athlete, string $ladder, string $rung, Day $day): Sheet
    {
        $session = TrainingSession::query()->firstOrCreate(
            ['squad_id' => $this->squad->id, 'held_on' => $day->iso()], ['starts_at' => '17:00', 'title' => 'Evening session'],
        );
        $sheet = Sheet::query()->create([
            'training_session_id' => $session->id, 'athlete_id' => $athlete->id, 'held_on' => $day->iso(),
            'ladder' => $ladder, 'ladder_version' => 1,
            'rung' => $rung, 'trims' => [], 'state' => 'planned', 'version' => 0,
        ]);
        FitSheet::now($sheet);

        return $sheet->refresh();
    }

    /** A session as it was tapped: good repetitions spread evenly at the athlete’s rate, one fault leading the others. */
    private function session(Athlete $athlete, string $ladder, string $rung, Day $day, float $rate, string $fault): void
    {
        $sheet = $this->sheet($athlete, $ladder, $rung, $day);
        $named = array_filter(
            $this->library->ladder($ladder)->rung($sheet->rung)->faults ?? [],
            fn (Fault $each): bool => ! $each->safety || $each->id === $fault,
        );
        $faults = array_values(array_map(fn (Fault $each): string => $each->id, $named));
        $clock = Carbon::parse("{$day->iso()} 17:05", $this->workspace->timezone);
        $device = (string) Str::uuid();
        $events = [];
        foreach ($sheet->blocks as $block) {
            $events = [
                ...$events,
                ...$this->taps(
                    $block, $clock, $device, count($events), $rate,
                    in_array($fault, $faults, true) ? $fault : $faults[0], $faults,
                ),
            ];
        }
        if ($events !== []) {
            $this->log->append($sheet, $events, $this->coach);
        }
        $sheet->refresh()->update([
            'state' => 'finished',
            'finished_at' => $clock->toIso8601String(),
            'minutes' => 55,
            'session_rpe' => mt_rand(3, 6),
        ]);
    }

    /**
     * @param  list<string>  $faults
     * @return list<array<string, mixed>>
     */
    private function taps(SheetBlock $block, Carbon $clock, string $device, int $seq, float $rate, string $fault, array $faults): array
    {
        $events = [];
        $done = 0;
        $phase = mt_rand(0, 100) / 100;
        foreach ($block->plan($this->library)->repsBySet() as $set => $reps) {
            for ($i = 0; $i < $reps; $i++, $done++) {
                $good = floor($phase + ($done + 1) * $rate) > floor($phase + $done * $rate);
                $verdict = ! $block->judged ? 'unobserved' : ($good ? 'good' : 'not_good');
                $events[] = [
                    'id' => (string) Str::uuid7($clock), 'block_id' => $block->id, 'set_no' => $set + 1,
                    'kind' => 'rep', 'verdict' => $verdict,
                    'fault' => $verdict === 'not_good' ? ($done % 3 === 2 ? $faults[$done % count($faults)] : $fault) : null,
                    'side' => $block->side->value, 'effort' => $block->effort, 'distance_m' => $block->distance_m,
                    'at' => $clock->addSeconds(9)->toIso8601String(), 'seq' => $seq + $done, 'device' => $device,
                ];
            }
            $clock->addSeconds($block->rest_s);
        }

        return $events;
    }

    /** The assistant judged the last two sessions along, and saw every so-many-th repetition differently. */
    private function judgedAlong(string $givenName, int $every): void
    {
        $sheets = Sheet::query()
            ->with(['blocks', 'events'])
            ->whereHas('athlete', fn ($query) => $query->where('given_name', $givenName))
            ->where('state', 'finished')
            ->orderByDesc('held_on')
            ->limit(2)
            ->get();
        foreach ($sheets as $sheet) {
            $device = (string) Str::uuid();
            $fault = $this->library->ladder($sheet->ladder)->rung($sheet->rung)->faults[1] ?? null;
            $along = [];
            foreach (TapFold::standing($sheet->taps()) as $i => $rep) {
                $verdict = $rep->verdict === 'unobserved' || $i % $every !== 1
                    ? $rep->verdict
                    : ($rep->verdict === 'good' ? 'not_good' : 'good');
                $along[] = [
                    'id' => (string) Str::uuid7(Carbon::parse($rep->at->text)), 'block_id' => $rep->blockId,
                    'set_no' => $rep->setNo, 'kind' => 'second', 'verdict' => $verdict,
                    'fault' => $verdict !== 'not_good' ? null : ($verdict === $rep->verdict ? $rep->fault : $fault?->id),
                    'side' => $rep->side, 'at' => $rep->at->text, 'seq' => $i, 'device' => $device,
                ];
            }
            $this->log->append($sheet, $along, $this->assistant);
        }
    }

    /**
     * A return as far as it has come: cleared, tried every few days, each morning after reported.
     *
     * @param  array<string, mixed>  $way
     */
    private function wayBack(Athlete $athlete, array $way, string $ladder, string $side, bool $reports): void
    {
        $programme = $this->library->programme($way['programme']);
        $load = $this->loads->for([$athlete], $this->today->plus(-$way['opened']))[$athlete->id];
        $return = PlayReturn::query()->create([
            'athlete_id' => $athlete->id, 'programme' => $programme->id, 'programme_version' => $programme->version,
            'definition' => (string) file_get_contents($this->library->path("returns/{$programme->id}.json")),
            'ladder' => $ladder, 'site' => $way['site'], 'side' => $side, 'stage' => $way['stage'],
            'usual_week' => $load->record
                ->wholeSeries(Measure::Arm)
                ->sum($this->today->ordinal - $way['opened'] - 28, $this->today->ordinal - $way['opened'] - 1) / 4,
            'opened_on' => $this->today->plus(-$way['opened'])->iso(), 'opened_by' => $this->coach->id,
        ]);
        [$ago, $through] = $way['cleared'];
        ReturnClearance::query()->create([
            'return_id' => $return->id,
            'through_stage' => $through,
            'clinician_name' => $this->clinician->name,
            'clinician_role' => 'Sports physician',
            'document_date' => $this->today->plus(-$ago)->iso(),
            'recorded_by' => $this->clinician->id,
            'recorded_at' => Carbon::now()->subDays($ago),
        ]);
        $own = $this->library->ladder($ladder)->rungs[0]->ownDose();
        foreach ($way['attempts'] as [$ago, $stage]) {
            $day = $this->today->plus(-$ago);
            $given = $programme->stages[$stage];
            $longest = $this->loads->profiles([$athlete], $day)[$athlete->id]->longestThrowM[$own->skill->id] ?? null;
            $object = $given->object === 'shadow'
                ? 'nothing'
                : $this->library->ladder($ladder)->rung('lane')?->ownDose()->object->id ?? 'volleyball';
            $this->work(
                $athlete, $day, 'entered', $own->skill->id, $given->sets * $given->reps, $given->effort, $object,
                'firm', $given->distanceShare === null || $longest === null ? null : $given->distanceShare * $longest,
            );
            ReturnAttempt::query()->create([
                'return_id' => $return->id, 'day' => $day->iso(), 'stage' => $stage, 'completed' => true,
                'during' => $stage % 2, 'eased' => false, 'joint_sore' => false, 'red_flag' => false,
                'morning_entered' => 0, 'recorded_by' => $this->coach->id, 'recorded_at' => Carbon::parse("{$day->iso()} 18:00"),
            ]);
            $this->report($athlete, $day, '16:40', 'before', 'none', null, 'muscle', 0);
            if ($reports || $ago > 1) {
                $this->report($athlete, $day->plus(1), '07:20', 'morning', 'none', null, 'muscle', 0);
            }
        }
    }

    /** Serves at another club, until the arm’s week stands at the wanted share of its step limit. */
    private function fillWeek(Athlete $athlete, float $share): void
    {
        $load = $this->loads->for([$athlete], $this->today)[$athlete->id];
        foreach (
            (new LimitCalendar($this->library->ruleSet('starter')->limits, $load->profile))
                ->board($this->today, $load->record)
                ->states([]) as $state
        ) {
            if (str_starts_with($state->limit->id, 'arm-step') && str_ends_with($state->limit->id, 'dominant')) {
                $serve = $this->library->skills()['float-serve'];
                $oneServe = $load->price->of(new WorkSet($this->today, 'x', $serve, 1, 0.75, Implement::Standard, 9.0))->cost['arm'];
                // The dose of today’s rung comes on top of what is filled in.
                $reps = (int) floor(($share * (float) $state->max - (float) $state->used - 24) / $oneServe);
                foreach ([1, 3, 5] as $ago) {
                    $this->work(
                        $athlete, $this->today->plus(-$ago), 'other club', 'float-serve', intdiv($reps, 3), 0.75,
                        'volleyball', 'sprung', 9.0,
                    );
                }
            }
        }
    }

    /** Today’s session and the next two. */
    private function planAhead(): void
    {
        $athletes = $this->squad->athletes()->get();
        foreach ([0, 3, 5] as $ahead) {
            foreach ($athletes as $athlete) {
                $placement = Placement::query()->where('athlete_id', $athlete->id)->orderByDesc('entered_at')->firstOrFail();
                $this->sheet($athlete, $placement->ladder, $placement->rung, $this->today->plus($ahead));
            }
        }
    }

    /**
     * Mira’s weeks up to the thirds of the court: three behind her with a session missed, a match in ten days, handball
     * at school on the same arm.
     */
    private function season(): void
    {
        $mira = Athlete::query()->where('given_name', 'Mira')->firstOrFail();
        $fixture = fn (string $kind, int $ahead, string $title, string $skill, int $reps, string $felt) => Fixture::query()->create([
            'squad_id' => $this->squad->id, 'athlete_id' => $mira->id, 'kind' => $kind,
            'held_on' => $this->today->plus($ahead)->iso(), 'starts_at' => $kind === Fixture::MATCH ? '15:00' : '10:00',
            'title' => $title, 'doses' => [['skill' => $skill, 'reps' => $reps, 'felt' => $felt]], 'created_by' => $this->coach->id,
        ]);
        $fixture(Fixture::MATCH, 10, 'Home match', 'float-serve', 35, 'hard');
        $fixture(Fixture::MATCH, 38, 'Away match', 'float-serve', 35, 'hard');
        foreach (range(0, 7) as $week) {
            $fixture(Fixture::ELSEWHERE, 2 + 7 * $week, 'Handball at school', 'handball-standing-throw', 25, 'middling');
        }
        $agreed = [];
        foreach (
            DB::table('daily_totals')
                ->where('athlete_id', $mira->id)
                ->where('day', '>=', $this->today->plus(-20)->iso())
                ->where('day', '<', $this->today->iso())
                ->groupBy('day')
                ->selectRaw('day, sum(arm) as arm, sum(count_reps) as reps')
                ->orderBy('day')
                ->get() as $row
        ) {
            $agreed[substr($row->day, 0, 10)] = [
                'title' => 'From the base line',
                'match' => false,
                'stage' => null,
                'reps' => (int) $row->reps,
                'arm' => round(1.06 * $row->arm, 3),
                'landings' => 0.0,
            ];
        }
        foreach ([4, 6, 8, 9] as $ago) {
            $missed = $this->today->plus(-$ago)->iso();
            if (! isset($agreed[$missed])) {
                $agreed[$missed] = [
                    'title' => 'From the base line',
                    'match' => false,
                    'stage' => null,
                    'reps' => 40,
                    'arm' => 22.0,
                    'landings' => 0.0,
                ];
                break;
            }
        }
        ksort($agreed);
        $ask = [
            'goal_rung' => 'pace', 'goal_on' => $this->today->plus(66)->iso(), 'minutes' => null, 'moves' => [], 'off' => [],
            // Never today, whatever day of the week the demo is made on.
            'weekdays' => array_map(fn (int $ahead): int => SeasonAsk::weekday($this->today->ordinal + $ahead), [1, 4, 6]),
        ];
        $season = Season::query()->create([
            ...$ask, 'athlete_id' => $mira->id, 'squad_id' => $this->squad->id, 'ladder' => 'volleyball-float-serve',
            'starts_on' => $this->today->plus(-20)->iso(),
            'agreed' => $agreed, 'agreed_at' => $this->at($this->today->plus(-20), '18:00'), 'version' => 1,
            'created_by' => $this->coach->id,
        ]);
        app(Seasons::class)->change($season, [...$ask, 'version' => 1], $this->coach);
    }

    private function at(Day $day, string $time): string
    {
        return Carbon::parse("{$day->iso()} {$time}", $this->workspace->timezone)->toIso8601String();
    }
}
