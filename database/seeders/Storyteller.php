<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Courtside\RepLog;
use App\Gates\Placement;
use App\Health\HealthLog;
use App\Limits\AthleteLoads;
use App\People\Role;
use App\Seasons\Seasons;
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
use Database\Factories\AthleteFactory;
use Database\Factories\DecisionFactory;
use Database\Factories\FixtureFactory;
use Database\Factories\PlacementFactory;
use Database\Factories\PlayReturnFactory;
use Database\Factories\ReturnAttemptFactory;
use Database\Factories\ReturnClearanceFactory;
use Database\Factories\SeasonFactory;
use Database\Factories\SheetFactory;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Makes the record of a squad from stories: ten weeks that end today. The last four go through the same code as real taps and reports do.
 */
final class Storyteller
{
    /** Every chance is drawn from it. */
    private const SEED = 20_270_311;

    private const WEEKS = 10;

    private const TAPPED_DAYS = 28;

    /** Sessions were held so many days before today, in every week; today there is one too. */
    private const EVERY = [0, 2, 4];

    /** Evenings alone: once a week, the last so many days ago. */
    private const ALONE_EVERY_DAYS = 7;

    private const ALONE_UNTIL_DAYS = 10;

    private readonly Day $today;

    private int $told = 0;

    private function __construct(
        private readonly Club $club,
        private readonly Library $library,
        private readonly RepLog $log,
        private readonly HealthLog $health,
        private readonly AthleteLoads $loads,
    ) {
        $this->today = $club->workspace->today();
    }

    private static function of(Club $club): self
    {
        return new self($club, app(Library::class), app(RepLog::class), app(HealthLog::class), app(AthleteLoads::class));
    }

    /**
     * A whole squad, the same each time on the same day.
     *
     * @param  list<Story>  $stories  in running order
     * @param  array<string, int>  $judgedAlong  by given name: the assistant judged along and saw every so-many-th repetition differently
     * @param  string  $season  given name of the one whose weeks ahead are planned
     */
    public static function tellSquad(Club $club, array $stories, array $judgedAlong, string $season): void
    {
        mt_srand(self::SEED);
        $teller = self::of($club);
        array_map($teller->tell(...), $stories);
        foreach ($judgedAlong as $givenName => $every) {
            $teller->judgedAlong($givenName, $every);
        }
        $teller->planAhead();
        $teller->season($season);
        foreach (array_filter($stories, fn (Story $story): bool => $story->servesAlone) as $story) {
            $teller->eveningsAlone($story);
        }
        foreach ($stories as $story) {
            if ($story->alsoOn !== null) {
                $teller->secondLadder($story, ...$story->alsoOn);
            }
        }
    }

    /** Twenty a time on two evenings a week: told afterwards as well. */
    private function secondLadder(Story $story, string $ladder, string $rung): void
    {
        $athlete = $this->named($story->givenName);
        // Before the first ladder: what is asked about the latest one stays as it is.
        $this->place($athlete, $ladder, $rung, 7 * self::WEEKS, null);
        $skill = $this->library->ladder($ladder)->skill->id;
        for ($ago = 3; $ago < 7 * self::WEEKS; $ago += $ago % 7 === 3 ? 3 : 4) {
            $this->work($athlete, $this->today->plus(-$ago), 'entered', $skill, 20, 0.6, 'volleyball', null, 9.0);
        }
    }

    /** Sixty serves alone, and a sore shoulder on two mornings of three after them: told afterwards, so that chance falls as ever. */
    private function eveningsAlone(Story $story): void
    {
        $athlete = $this->club->squad->athletes()->where('given_name', $story->givenName)->firstOrFail();
        for ($ago = self::ALONE_UNTIL_DAYS; $ago < 7 * self::WEEKS; $ago += self::ALONE_EVERY_DAYS) {
            $this->work($athlete, $this->today->plus(-$ago), 'home', 'float-serve', 60, 0.7, 'volleyball', null, 9.0);
            if ($ago % 3 !== 0) {
                $this->report($athlete, $this->today->plus(1 - $ago), '08:30', 'morning', 'shoulder', $story->side, 'muscle', 4);
            }
        }
    }

    /** One athlete more in the squad, with all that is behind them. */
    private function tell(Story $story): void
    {
        $athlete = $this->athlete($story, $this->told++);
        if ($story->before !== null) {
            $this->place($athlete, $story->ladder, $story->before, 7 * self::WEEKS, null);
        }
        $this->place($athlete, $story->ladder, $story->rung, $story->enteredDaysAgo, $story->before);
        $idle = $story->return['opened'] ?? 0;
        for ($ago = 7 * self::WEEKS; $ago > $idle; $ago--) {
            $day = $this->today->plus(-$ago);
            $this->morning($athlete, $day, $story, $ago);
            if (! in_array($ago % 7, self::EVERY, true)) {
                continue;
            }
            $rung = $ago > $story->enteredDaysAgo ? ($story->before ?? $story->rung) : $story->rung;
            if ($ago > self::TAPPED_DAYS) {
                $this->oldWork($athlete, $story->ladder, $rung, $day);
            } else {
                // On the rung before, there was still something to learn.
                $rate = $rung === $story->rung ? $story->goodRate : $story->goodRate - 0.2;
                $this->session($athlete, $story->ladder, $rung, $day, $rate, $story->fault);
            }
        }
        if ($story->referral !== null) {
            [$site, $side, $kind, $score, $ago] = $story->referral;
            $this->report($athlete, $this->today->plus(-$ago), '18:20', 'during', $site, $side, $kind, $score);
            $this->report($athlete, $this->today->plus(-$ago), '19:40', 'after', $site, $side, $kind, 1);
        }
        foreach ($story->tournament ? [1, 2] : [] as $ago) {
            $this->work($athlete, $this->today->plus(-$ago), 'match', 'spike', 62, 0.95, 'volleyball', 'sprung', null);
            $this->work($athlete, $this->today->plus(-$ago), 'match', 'float-serve', 48, 0.95, 'volleyball', 'sprung', 9.0);
        }
        if ($story->return !== null) {
            $this->wayBack($athlete, $story->return, $story);
        }
        if ($story->fill !== null) {
            $this->fillWeek($athlete, $story->fill);
        }
        $this->thisMorning($athlete, $story->today);
    }

    /** The assistant judged the last two sessions along, and saw every so-many-th repetition differently. */
    private function judgedAlong(string $givenName, int $every): void
    {
        $sheets = Sheet::query()
            ->with(['blocks', 'events'])
            ->where('athlete_id', $this->named($givenName)->id)
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
            $this->log->append($sheet, $along, $this->club->person(Role::Assistant));
        }
    }

    /** Today’s session and the next two. */
    private function planAhead(): void
    {
        $athletes = $this->club->squad->athletes()->get();
        foreach ([0, 3, 5] as $ahead) {
            foreach ($athletes as $athlete) {
                $placement = Placement::query()->where('athlete_id', $athlete->id)->orderByDesc('entered_at')->firstOrFail();
                $this->sheet($athlete, $placement->ladder, $placement->rung, $this->today->plus($ahead));
            }
        }
    }

    /**
     * Weeks up to the pace of a rung: three behind the athlete with a session missed, two matches, and training at school on the same arm.
     */
    private function season(string $givenName): void
    {
        $athlete = $this->named($givenName);
        $coach = $this->club->person(Role::Coach);
        $fixture = FixtureFactory::new()->state([
            'squad_id' => $this->club->squad->id, 'athlete_id' => $athlete->id, 'created_by' => $coach->id,
        ]);
        $in = fn (int $days): array => ['held_on' => $this->today->plus($days)->iso()];
        $fixture->create(['title' => 'Home match'] + $in(10));
        $fixture->create(['title' => 'Away match'] + $in(38));
        foreach (range(0, 7) as $week) {
            $fixture->elsewhere($athlete, 'Handball at school', 'handball-standing-throw', 25)->create($in(2 + 7 * $week));
        }
        $planned = fn (int $reps, float $arm): array => [
            'title' => 'From the base line', 'match' => false, 'stage' => null, 'reps' => $reps, 'arm' => $arm, 'landings' => 0.0,
        ];
        $done = DB::table('daily_totals')
            ->where('athlete_id', $athlete->id)
            ->where('day', '>=', $this->today->plus(-20)->iso())
            ->where('day', '<', $this->today->iso())
            ->groupBy('day')
            ->selectRaw('day, sum(arm) as arm, sum(count_reps) as reps')
            ->orderBy('day')
            ->get();
        $agreed = [];
        foreach ($done as $row) {
            $agreed[substr($row->day, 0, 10)] = $planned((int) $row->reps, round(1.06 * $row->arm, 3));
        }
        foreach ([4, 6, 8, 9] as $ago) {
            $missed = $this->today->plus(-$ago)->iso();
            if (! isset($agreed[$missed])) {
                $agreed[$missed] = $planned(40, 22.0);
                break;
            }
        }
        ksort($agreed);
        $ask = [
            'goal_rung' => 'pace', 'goal_on' => $this->today->plus(66)->iso(), 'minutes' => null, 'moves' => [],
            // Never today, whatever day of the week it is told on: what Today shows is the rung's own dose.
            'off' => [$this->today->iso()],
            'weekdays' => array_map(fn (int $ahead): int => SeasonAsk::weekday($this->today->ordinal + $ahead), [1, 4, 6]),
        ];
        $season = SeasonFactory::new()->create([
            ...$ask, 'athlete_id' => $athlete->id, 'squad_id' => $this->club->squad->id, 'created_by' => $coach->id,
            'starts_on' => $this->today->plus(-20)->iso(), 'agreed' => $agreed, 'agreed_at' => $this->at($this->today->plus(-20), '18:00'),
        ]);
        app(Seasons::class)->change($season, [...$ask, 'version' => 1], $coach);
    }

    private function athlete(Story $story, int $position): Athlete
    {
        $athlete = AthleteFactory::new()->in($this->club->squad, $position)->create([
            'given_name' => $story->givenName, 'family_name' => $story->familyName, 'throwing_side' => $story->side,
            'turn_direction' => $story->side,
            'birth_date' => $this->today->plus(-(int) round(365.25 * $story->age) - 40 - 11 * $position)->iso(),
        ]);
        foreach ($story->sharedWith as $role) {
            $this->club->person($role)->boundAthletes()->attach($athlete->id);
        }
        $isChild = $story->age < 18;
        DB::table('intakes')->insert([
            'athlete_id' => $athlete->id, 'sports' => $this->club->workspace->name,
            'emergency_contact' => sprintf(
                $isChild ? 'A parent of %s, 555 01%02d' : 'A friend of %s, 555 02%02d', $story->givenName, $position,
            ),
            'consent_record_by' => $story->age < 16 ? "A parent of {$story->givenName}" : $athlete->name(),
            'consent_record_on' => $this->today->plus(-75)->iso(), 'created_at' => Carbon::now(), 'updated_at' => Carbon::now(),
        ]);
        foreach ($story->heights ?? ($story->age < 19 ? [[90, 140.0 + $story->age], [12, 140.6 + $story->age]] : []) as [$ago, $cm]) {
            DB::table('heights')->insert([
                'id' => (string) Str::uuid7(),
                'athlete_id' => $athlete->id,
                'measured_on' => $this->today->plus(-$ago)->iso(),
                'height_cm' => $cm,
                'recorded_by' => $this->club->person(Role::Coach)->id,
                'recorded_at' => Carbon::now(),
            ]);
        }
        foreach ($story->marks as $skill => [$longest, $speed]) {
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

    private function named(string $givenName): Athlete
    {
        return $this->club->squad->athletes()->where('given_name', $givenName)->firstOrFail();
    }

    private function place(Athlete $athlete, string $ladder, string $rung, int $daysAgo, ?string $from): void
    {
        $day = $this->today->plus(-$daysAgo)->iso();
        $decision = $from === null ? null : DecisionFactory::new()->create([
            'athlete_id' => $athlete->id, 'ladder' => $ladder, 'rung' => $from, 'to_rung' => $rung, 'day' => $day,
            'reason' => 'Carried over from the notebook.', 'decided_by' => $this->club->person(Role::Coach)->id,
        ]);
        PlacementFactory::new()->create([
            'athlete_id' => $athlete->id, 'ladder' => $ladder, 'rung' => $rung, 'entered_on' => $day, 'decision_id' => $decision?->id,
        ]);
    }

    private function morning(Athlete $athlete, Day $day, Story $story, int $ago): void
    {
        // People forget now and then; on the days after a session they are asked.
        if ($story->today === null ? mt_rand(0, 2) === 0 : $ago > 6 && mt_rand(0, 9) === 0) {
            return;
        }
        $usesArm = str_contains($story->ladder, 'serve') || str_contains($story->ladder, 'javelin');
        $sore = mt_rand(0, 6) === 0 && ($ago > 4);
        $this->report(
            $athlete, $day, '07:'.str_pad((string) mt_rand(0, 50), 2, '0', STR_PAD_LEFT), 'morning',
            $sore ? ($usesArm ? 'shoulder' : 'thigh') : 'none', $sore ? $story->side : null, 'muscle', $sore ? mt_rand(1, 2) : 0,
        );
    }

    /** @param  list<array{string, string|null, string, int}>|null  $reports null: nobody has answered today */
    private function thisMorning(Athlete $athlete, ?array $reports): void
    {
        foreach ($reports === [] ? [['none', null, 'muscle', 0]] : $reports ?? [] as [$site, $side, $kind, $score]) {
            $now = Carbon::now($this->club->workspace->timezone);
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
        ]], $this->club->person(Role::Coach));
    }

    /** Work kept before taps were: the rung’s own dose as single sets. */
    private function oldWork(Athlete $athlete, string $ladder, string $rung, Day $day): void
    {
        foreach ($this->library->ladder($ladder)->rung($rung)->blocks ?? [] as $dose) {
            if ($dose->reps > 0) {
                $reps = (int) round($dose->sets * $dose->reps * mt_rand(8, 11) / 10);
                $this->set(
                    $athlete, $day, 'entered', $dose->skill->id, $reps, $dose->effort, $dose->object->id,
                    $dose->surface?->value, $dose->distanceM, $dose->side,
                );
            }
        }
        DailyTotals::refresh($athlete->id, $day->iso());
    }

    private function work(
        Athlete $athlete, Day $day, string $source, string $skill, int $reps, float $effort, string $object,
        ?string $surface, ?float $distanceM,
    ): void {
        $this->set($athlete, $day, $source, $skill, $reps, $effort, $object, $surface, $distanceM);
        DailyTotals::refresh($athlete->id, $day->iso());
    }

    private function set(
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
    }

    private function sheet(Athlete $athlete, string $ladder, string $rung, Day $day): Sheet
    {
        $session = TrainingSession::query()->firstOrCreate(
            ['squad_id' => $this->club->squad->id, 'held_on' => $day->iso()], ['starts_at' => '17:00', 'title' => 'Evening session'],
        );

        return SheetFactory::new()->of($athlete, $session)->fitted()->create(['ladder' => $ladder, 'rung' => $rung]);
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
        $clock = Carbon::parse("{$day->iso()} 17:05", $this->club->workspace->timezone);
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
            $this->log->append($sheet, $events, $this->club->person(Role::Coach));
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

    /**
     * A return as far as it has come: cleared, tried every few days, each morning after reported.
     *
     * @param  array{
     *     programme: string, site: string, opened: int, stage: int, cleared: array{int, int}, attempts: list<array{int, int}>,
     * }  $way
     */
    private function wayBack(Athlete $athlete, array $way, Story $story): void
    {
        $opened = $this->today->plus(-$way['opened']);
        $coach = $this->club->person(Role::Coach);
        $clinician = $this->club->person(Role::Clinician);
        $usual = $this->loads->for([$athlete], $opened)[$athlete->id]->record->wholeSeries(Measure::Arm);
        $return = PlayReturnFactory::new()->create([
            'athlete_id' => $athlete->id, 'programme' => $way['programme'], 'ladder' => $story->ladder, 'site' => $way['site'],
            'side' => $story->side, 'stage' => $way['stage'], 'opened_on' => $opened->iso(), 'opened_by' => $coach->id,
            'usual_week' => $usual->sum($opened->ordinal - 28, $opened->ordinal - 1) / 4,
        ]);
        [$ago, $through] = $way['cleared'];
        ReturnClearanceFactory::new()->create([
            'return_id' => $return->id, 'through_stage' => $through, 'clinician_name' => $clinician->name,
            'document_date' => $this->today->plus(-$ago)->iso(), 'recorded_by' => $clinician->id,
            'recorded_at' => Carbon::now()->subDays($ago),
        ]);
        $ladder = $this->library->ladder($story->ladder);
        $own = $ladder->rungs[0]->ownDose();
        foreach ($way['attempts'] as [$ago, $stage]) {
            $day = $this->today->plus(-$ago);
            $given = $this->library->programme($way['programme'])->stages[$stage];
            $longest = $this->loads->profiles([$athlete], $day)[$athlete->id]->longestThrowM[$own->skill->id] ?? null;
            $object = $given->object === 'shadow' ? 'nothing' : $ladder->rung('lane')?->ownDose()->object->id ?? 'volleyball';
            $this->work(
                $athlete, $day, 'entered', $own->skill->id, $given->sets * $given->reps, $given->effort, $object,
                'firm', $given->distanceShare === null || $longest === null ? null : $given->distanceShare * $longest,
            );
            ReturnAttemptFactory::new()->create([
                'return_id' => $return->id, 'day' => $day->iso(), 'stage' => $stage, 'during' => $stage % 2, 'recorded_by' => $coach->id,
            ]);
            $this->report($athlete, $day, '16:40', 'before', 'none', null, 'muscle', 0);
            if ($story->today !== null || $ago > 1) {
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

    private function at(Day $day, string $time): string
    {
        return Carbon::parse("{$day->iso()} {$time}", $this->club->workspace->timezone)->toIso8601String();
    }
}
