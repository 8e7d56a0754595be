<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Seasons\Fixture;
use App\Sessions\FitTheDay;
use App\Sessions\SessionChange;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Day;
use Carbon\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/**
 * Random weeks of one athlete: sessions planned, moved, called off and taken back, counted, entered late, put right, scored, practised at
 * home; matches with line-ups, days away and ill, what a clinician restricts; a sore wrist, the work of the day swapped, sheets put
 * together. Whatever order it comes in, the record holds what was counted by hand, every screen says the same, and nothing planned is
 * over a hard limit. More of them: AUGENDO_RECORDS=10 vendor/bin/phpunit --testsuite feature --filter OneRecordTest
 */
#[Group('once')]
final class OneRecordTest extends TestCase
{
    private const ACTS = 45;

    private Athlete $mira;

    private int $squad;

    private Day $today;

    /** @var array<string, int> repetitions by day, counted by hand */
    private array $counted = [];

    /** @var list<array{string, string, int}> what can be taken back: path, day, repetitions */
    private array $entries = [];

    /** @var list<array{string, int, string, int}> spreadsheets on record: id, version, day, repetitions */
    private array $imports = [];

    private int $seq = 0;

    public static function seeds(): array
    {
        return array_map(fn (int $seed): array => [$seed], range(1, (int) (getenv('AUGENDO_RECORDS') ?: 1)));
    }

    #[DataProvider('seeds')]
    public function test_the_record_is_what_was_counted_by_hand(int $seed): void
    {
        mt_srand($seed);
        $this->actingAs($this->coach());
        $this->mira = $this->athlete('Mira');
        $this->squad = $this->smallSquad('Mira')->id;
        $this->today = $this->coach()->workspace->today();
        foreach (DB::table('work_sets')->where('athlete_id', $this->mira->id)->get(['day', 'reps']) as $row) {
            $this->done(substr($row->day, 0, 10), (int) $row->reps);
        }
        $acts = [
            'plan', 'plan', 'tapSome', 'tapSome', 'tapSome', 'withdrawTap', 'putRight',
            'score', 'practise', 'bringIn', 'takeImportBack', 'takeBackEntry', 'move', 'callOff', 'undo', 'away', 'thereAgain', 'restrict',
            'declareMatch', 'lineUp', 'playMatch', 'takeUp', 'takeUp', 'takeUp', 'eases', 'editSheet',
        ];
        $this->plan();
        $this->postJson("/api/squads/{$this->squad}/sessions", [
            'day' => $this->today->iso(), 'starts_at' => '21:00', 'title' => 'To be swapped',
        ]);
        for ($i = 0; $i < self::ACTS; $i++) {
            $this->{$acts[mt_rand(0, count($acts) - 1)]}();
        }
        FitTheDay::dispatchSync($this->coach()->workspace_id);

        $kept = DB::table('daily_totals')->where('athlete_id', $this->mira->id)->groupBy('day')
            ->selectRaw('day, sum(count_reps + shadow) as reps')->pluck('reps', 'day');
        $kept = $kept->mapWithKeys(fn ($reps, string $day): array => [substr($day, 0, 10) => (int) $reps])->filter()->all();
        $counted = array_filter($this->counted);
        ksort($kept);
        ksort($counted);
        $this->assertSame($counted, $kept);
        foreach (array_slice(array_keys($counted), -6) as $day) {
            $sets = $this->getJson("/api/athletes/{$this->mira->id}/days/{$day}")->assertOk()->json('sets');
            $this->assertSame($counted[$day], (int) array_sum(array_column($sets, 'reps')), "{$day} on the page of the load");
        }
        foreach ($this->sheets()->where('state', 'planned')->where('held_on', '>=', $this->today->iso())->get() as $sheet) {
            $this->assertSame([], $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->json('broken'), $sheet->day()->iso());
        }
        // A session of the calendar says of its athletes what their sheets hold.
        $span = "from={$this->today->plus(-20)->iso()}&to={$this->today->plus(20)->iso()}";
        $rows = $this->getJson("/api/calendar?squad={$this->squad}&{$span}")->json('sessions');
        foreach ($rows as $row) {
            $done = DB::table('work_sets')
                ->whereIn('session', Sheet::query()->where('training_session_id', $row['id'])->pluck('id'))
                ->sum('reps');
            $this->assertSame((int) $done, $row['done_reps']);
        }
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    private function done(string $day, int $reps): void
    {
        $this->counted[$day] = ($this->counted[$day] ?? 0) + $reps;
    }

    /** @return \Illuminate\Database\Eloquent\Builder<Sheet> */
    private function sheets(): \Illuminate\Database\Eloquent\Builder
    {
        return Sheet::query()->where('athlete_id', $this->mira->id)->orderBy('held_on')->orderBy('id');
    }

    private function oneSheet(): Sheet
    {
        $sheets = $this->sheets()->where('state', '!=', Sheet::CALLED_OFF)->whereBetween('held_on', [
            $this->today->plus(-12)->iso(), $this->today->iso(),
        ])->get();

        return $sheets[mt_rand(0, count($sheets) - 1)]->load('events', 'blocks');
    }

    private function oneSession(): ?TrainingSession
    {
        $sessions = TrainingSession::standing($this->squad)->where('held_on', '>=', $this->today->plus(-3)->iso())->orderBy('id')->get();

        return $sessions->isEmpty() ? null : $sessions[mt_rand(0, count($sessions) - 1)];
    }

    private function plan(): void
    {
        $this->may($this->postJson("/api/squads/{$this->squad}/sessions", [
            'day' => $this->today->plus(mt_rand(-8, 9))->iso(), 'starts_at' => sprintf('%02d:00', mt_rand(8, 20)), 'title' => 'Drawn',
        ]));
    }

    /** A wrist that hurt is well again. */
    private function eases(): void
    {
        $well = $this->report('wrist', 'right', 'joint', 0);
        $this->may($this->postJson("/api/athletes/{$this->mira->id}/reports", ['reports' => [$well]]));
    }

    /** A wrist hurts, and what is left of today is taken up instead. */
    private function takeUp(): void
    {
        $sheet = $this->sheets()->where('held_on', $this->today->iso())->whereIn('state', ['planned', 'running'])->first();
        if ($sheet === null) {
            return;
        }
        $hurts = $this->report('wrist', 'right', 'joint', 3);
        $this->may($this->postJson("/api/athletes/{$this->mira->id}/reports", ['reports' => [$hurts]]));
        $this->may($this->postJson("/api/sheets/{$sheet->id}/swap", [
            'id' => (string) Str::uuid7(), 'version' => $sheet->refresh()->version,
        ]));
    }

    /** A block less, a drill more, the others in another order. */
    private function editSheet(): void
    {
        $sheet = $this->oneSheet();
        $shown = $this->getJson("/api/sheets/{$sheet->id}")->json();
        $of = array_flip(['id', 'sets', 'reps', 'effort', 'distance_m']);
        $blocks = array_map(fn (array $block): array => array_intersect_key($block, $of), $shown['blocks']);
        unset($blocks[mt_rand(0, count($blocks) - 1)]);
        $blocks[] = [
            'id' => (string) Str::uuid7(), 'add' => 'drill/one-leg-stand', 'sets' => 1, 'reps' => 4, 'effort' => 0.3, 'distance_m' => null,
        ];
        $blocks = array_reverse(array_values($blocks));
        $this->may($this->putJson("/api/sheets/{$sheet->id}", ['version' => $shown['version'], 'blocks' => $blocks]));
    }

    private function tapSome(): void
    {
        $sheet = $this->oneSheet();
        $blocks = $sheet->blocks()->where('asked_reps', '>', 0)->get();
        $block = $blocks[mt_rand(0, count($blocks) - 1)];
        $at = $sheet->day()->equals($this->today)
            ? Carbon::now('Europe/Lisbon')
            : Carbon::parse("{$sheet->day()->iso()} 12:00", 'Europe/Lisbon');
        $taps = array_map(fn (): array => $this->tapOf($block, $at), range(1, mt_rand(1, 9)));
        $kept = $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $taps])->assertOk()->json('kept');
        $this->done($sheet->day()->iso(), count($kept));
    }

    /** @return array<string, mixed> */
    private function tapOf(\App\Sessions\SheetBlock $block, Carbon $at): array
    {
        return $this->tap($block, ++$this->seq, [
            'at' => $at->toIso8601String(),
            ...(mt_rand(0, 6) === 0
                ? ['kind' => 'fall', 'verdict' => null]
                : ['verdict' => ['good', 'not_good', 'unobserved'][mt_rand(0, 2)]]),
        ]);
    }

    private function withdrawTap(): void
    {
        $sheet = $this->oneSheet();
        $standing = TapFold::standing($sheet->taps());
        if ($standing === []) {
            return;
        }
        $rep = $standing[mt_rand(0, count($standing) - 1)];
        $block = $sheet->blocks()->findOrFail($rep->blockId);
        $of = ['kind' => 'withdraw', 'target_id' => $rep->id, 'verdict' => null, 'at' => $rep->at->text];
        $gone = $this->tap($block, ++$this->seq, $of);
        $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => [$gone]])->assertOk()->assertJsonCount(1, 'kept');
        $this->done($sheet->day()->iso(), -1);
    }

    private function putRight(): void
    {
        $sheet = $this->oneSheet();
        $block = $sheet->blocks()->where('asked_reps', '>', 0)->firstOrFail();
        $before = count(array_filter(TapFold::standing($sheet->taps()), fn ($rep): bool => $rep->blockId === $block->id));
        $after = mt_rand(0, 30);
        $entry = [
            'id' => (string) Str::uuid7(), 'reason' => 'Counted again from the film', 'minutes' => null, 'session_rpe' => null,
            'blocks' => [['id' => $block->id, 'reps' => $after]],
        ];
        $this->postJson("/api/sheets/{$sheet->id}/counts", $entry)->assertNoContent();
        $this->postJson("/api/sheets/{$sheet->id}/counts", $entry)->assertNoContent();
        $this->done($sheet->day()->iso(), $after - $before);
    }

    private function score(): void
    {
        $throws = mt_rand(3, 12);
        $counted = mt_rand(0, 2) === 0;
        $this->postJson("/api/athletes/{$this->mira->id}/scores", [
            'id' => $id = (string) Str::uuid7(), 'kind' => 'clear_targets', 'name' => 'Drawn', 'goal' => null, 'ladder' => null,
            'counted' => $counted, 'skill' => 'float-serve', 'seen' => ['throws' => $throws, 'targets' => 3],
        ])->assertOk();
        $reps = $counted ? 0 : $throws;
        $this->done($this->today->iso(), $reps);
        $this->entries[] = ["/api/athletes/{$this->mira->id}/scores/{$id}/withdraw", $this->today->iso(), $reps];
    }

    private function practise(): void
    {
        $day = $this->today->plus(-mt_rand(0, 6))->iso();
        $reps = mt_rand(1, 25);
        $this->postJson("/api/athletes/{$this->mira->id}/logged-work", [
            'id' => $id = (string) Str::uuid7(), 'day' => $day, 'source' => ['home', 'here', 'other club'][mt_rand(0, 2)],
            'skill' => 'float-serve', 'reps' => $reps, 'felt' => 'easy', 'distance_m' => null, 'side' => 'dominant',
        ])->assertNoContent();
        $this->done($day, $reps);
        $this->entries[] = ["/api/athletes/{$this->mira->id}/logged-work/{$id}/take-back", $day, $reps];
    }

    /** A row of a spreadsheet: on record when nothing is known of the day, else only when somebody says that it is other work. */
    private function bringIn(): void
    {
        $day = $this->today->plus(-mt_rand(0, 12))->iso();
        $reps = mt_rand(1, 30);
        $id = (string) Str::uuid7();
        $this->postJson('/api/imports', ['id' => $id, 'kind' => 'work', 'file_name' => 'drawn.csv', 'parts' => 1])->assertOk();
        $file = "Date,Name,What,Reps\n{$day},Mira Okonjo,Pass,{$reps}\n";
        $read = $this->putJson("/api/imports/{$id}/parts/0", ['base64' => base64_encode($file)])->assertOk()->json();
        $judged = $this->putJson("/api/imports/{$id}/choices", [
            'version' => $read['version'], 'columns' => ['day', 'name', 'skill', 'reps'], 'date_order' => null, 'distance_unit' => null,
            'squad_id' => null, 'throwing_side' => null, 'skills' => [], 'athletes' => [],
        ])->assertOk()->json();
        $differs = array_column($judged['counts'], 'rows', 'verdict')['differs'] === 1;
        $also = $differs && mt_rand(0, 1) === 1 ? [2] : [];
        $taken = $this->postJson("/api/imports/{$id}/take", [
            'version' => $judged['version'], 'also' => $also, 'without_unusable' => false,
        ]);
        if ($taken->status() === 200) {
            $this->assertSame('taken', $taken->json('state'));
            $this->done($day, $reps);
            $this->imports[] = [$id, $taken->json('version'), $day, $reps];
        }
    }

    private function takeImportBack(): void
    {
        [$id, $version, $day, $reps] = array_pop($this->imports) ?? [null, 0, '', 0];
        if ($id !== null) {
            $this->postJson("/api/imports/{$id}/take-back", ['version' => $version, 'reason' => 'Drawn'])->assertOk();
            $this->done($day, -$reps);
        }
    }

    private function takeBackEntry(): void
    {
        $entry = array_pop($this->entries);
        if ($entry !== null) {
            $this->assertLessThan(300, $this->postJson($entry[0], ['reason' => 'Drawn'])->getStatusCode());
            $this->done($entry[1], -$entry[2]);
        }
    }

    private function move(): void
    {
        $session = $this->oneSession();
        $session === null || $this->may($this->postJson("/api/sessions/{$session->id}/change", [
            'version' => $session->version, 'scope' => 'one', 'day' => $this->today->plus(mt_rand(-1, 9))->iso(),
            'starts_at' => sprintf('%02d:30', mt_rand(8, 20)), 'title' => $session->title, 'minutes' => null, 'place' => null,
        ]));
    }

    private function callOff(): void
    {
        $reason = mt_rand(0, 1) === 0 ? null : 'Rain';
        $session = $this->oneSession();
        $of = ['scope' => 'one', 'reason' => $reason];
        $session === null || $this->may($this->postJson("/api/sessions/{$session->id}/call-off", $of));
    }

    private function undo(): void
    {
        $changes = SessionChange::query()->whereNull('taken_back_at')->orderBy('id')->pluck('id');
        if ($changes->isNotEmpty()) {
            $this->may($this->postJson("/api/session-changes/{$changes[mt_rand(0, count($changes) - 1)]}/take-back"));
        }
    }

    private function declareMatch(): void
    {
        $this->may($this->postJson("/api/squads/{$this->squad}/fixtures", [
            'id' => (string) Str::uuid7(), 'kind' => mt_rand(0, 3) === 0 ? 'elsewhere' : 'match', 'athlete_id' => null, 'weeks' => 1,
            'day' => $this->today->plus(mt_rand(0, 8))->iso(), 'starts_at' => sprintf('%02d:15', mt_rand(8, 20)), 'title' => 'Drawn',
            'doses' => [['skill' => 'float-serve', 'reps' => mt_rand(5, 40), 'felt' => 'hard']],
        ]));
    }

    private function lineUp(): void
    {
        $matches = Fixture::query()->where('squad_id', $this->squad)->where('kind', Fixture::MATCH)->orderBy('id')->get();
        if ($matches->isNotEmpty()) {
            $match = $matches[mt_rand(0, count($matches) - 1)];
            $this->may($this->putJson("/api/fixtures/{$match->id}/line-up", ['athletes' => mt_rand(0, 1) === 0 ? [] : [$this->mira->id]]));
        }
    }

    /** What a match took is the record; what it was expected to take is none of it. */
    private function playMatch(): void
    {
        $matches = Fixture::query()->where('squad_id', $this->squad)->where('kind', Fixture::MATCH)
            ->where('held_on', $this->today->iso())->orderBy('id')->get();
        if ($matches->isEmpty()) {
            return;
        }
        $reps = mt_rand(1, 20);
        $this->postJson("/api/athletes/{$this->mira->id}/logged-work", [
            'id' => $id = (string) Str::uuid7(), 'day' => $this->today->iso(), 'source' => 'match', 'skill' => 'float-serve',
            'reps' => $reps, 'felt' => 'hard', 'distance_m' => null, 'side' => 'dominant',
            'fixture' => $matches[mt_rand(0, count($matches) - 1)]->id,
        ])->assertNoContent();
        $this->done($this->today->iso(), $reps);
        $this->entries[] = ["/api/athletes/{$this->mira->id}/logged-work/{$id}/take-back", $this->today->iso(), $reps];
    }

    private function away(): void
    {
        $from = mt_rand(-2, 8);
        $this->may($this->postJson("/api/athletes/{$this->mira->id}/absences", [
            'id' => (string) Str::uuid7(), 'kind' => ['exams', 'travel', 'ill'][mt_rand(0, 2)], 'fever' => mt_rand(0, 1) === 1,
            'note' => null,
            'from_day' => $this->today->plus($from)->iso(), 'until_day' => $this->today->plus($from + mt_rand(0, 3))->iso(),
        ]));
    }

    private function thereAgain(): void
    {
        foreach ($this->mira->absences()->whereNull('withdrawn_at')->orderBy('id')->pluck('id') as $id) {
            $this->may($this->postJson("/api/athletes/{$this->mira->id}/absences/{$id}/take-back"));
        }
    }

    private function restrict(): void
    {
        $none = $this->today->plus(mt_rand(0, 3));
        $this->may($this->postJson("/api/athletes/{$this->mira->id}/restrictions", [
            'id' => (string) Str::uuid7(), 'covers' => ['overhead', 'landings', 'all'][mt_rand(0, 2)], 'from_day' => $this->today->iso(),
            'none_until' => mt_rand(0, 1) === 0 ? null : $none->iso(), 'until_day' => $none->plus(4)->iso(),
            'effort_max' => 0.6, 'reps_a_day' => 25, 'clinician_name' => 'Dr. Kim Reed', 'note' => null,
        ]));
    }

    /** Done, or refused with a word: never broken. */
    private function may(TestResponse $answer): void
    {
        $this->assertContains($answer->getStatusCode(), [200, 204, 409, 422], (string) $answer->getContent());
    }
}
