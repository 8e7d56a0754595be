<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Intake;
use App\People\Role;
use App\Spreadsheets\Import;
use Augendo\Core\Day;
use Database\Factories\UserFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\SpreadsheetFiles;
use Tests\TestCase;

/** What a club has is a spreadsheet: it comes in after a look at every row, as a whole, and goes as a whole. */
#[Group('once')]
final class SpreadsheetTest extends TestCase
{
    private const MESSY = <<<'CSV'
        Session date;Player;Exercise;Sets;Reps;How hard;Distance;Where;Coach says
        %1$s;Okonjo, Mira;Float serves;3;12;75 %%;9 m;hall;toss
        %1$s;mira okonjo;float serve;1;4;7;;hall;seven of ten?
        %2$s;Dario Nwosu;Throws;2;10;easy;30 yd;home;
        %2$s;Dario Nwosu;Float serve;;1.000;;;match;thousands
        31.02.2027;Dario Nwosu;Float serve;1;10;;;;
        %3$s;Dario Nwosu;Float serve;1;10;;;;tomorrow
        %2$s;Somebody Else;Float serve;1;10;;;;
        %2$s;Dario Nwosu;Float serve;1;10;120;;;

        %2$s;Dario Nwosu;Float serve;2;10;hard;;Moon;
        CSV;

    private Day $today;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->today = $this->coach()->workspace->today();
    }

    public function test_a_messy_file_is_judged_row_by_row_with_the_place_and_the_way_out(): void
    {
        $import = $this->bring('work', $this->messy());
        $this->assertSame('read', $import['state']);
        $this->assertSame(
            ['day', 'name', 'skill', 'sets', 'reps', 'effort', 'distance', 'where', null],
            array_column($import['columns'], 'column'),
        );
        $before = $this->footprint();
        $judged = $this->choose($import, ['distance_unit' => 'm'])->assertOk()->json();
        $this->assertSame(['new' => 1, 'same' => 0, 'differs' => 0, 'unusable' => 8, 'left out' => 0], $this->counts($judged));
        $this->assertSame(['Throws'], array_column($judged['skills'], 'word'));
        $this->assertSame(['Somebody Else'], array_column($judged['athletes'], 'word'));
        $said = collect($this->rows($import['id'], 'unusable'))->pluck('sentence', 'line')->all();
        $this->assertSame([
            3 => 'Effort: “7” may be seven of ten or a percentage. Write 70 % or 0.7.',
            4 => 'What was done: “Throws” is not known here. Say what it means.',
            5 => 'Repetitions: “1.000” is no number. Write it without spaces and without a mark for thousands.',
            6 => 'Day: “31.02.2027” is no day of the calendar. Write it like 2027-05-31.',
            7 => 'Day: “'.$this->written($this->today->plus(1)).'” has not come yet.',
            8 => 'Name: nobody here is called “Somebody Else”. Say who it is, or add them first.',
            9 => 'Effort: “120” cannot be. Effort lies above 0 and goes to 100 %.',
            11 => 'Where: “Moon” is not known here. Write here, home, match or other club.',
        ], $said);
        $this->assertSame($before, $this->footprint(), 'looking changes nothing');

        $judged = $this->choose($judged, [
            'distance_unit' => 'm',
            'skills' => [['word' => 'Throws', 'means' => 'overhand-throw']],
            'athletes' => [['word' => 'Somebody Else', 'means' => null]],
        ])->assertOk()->json();
        $this->assertSame(['new' => 2, 'same' => 0, 'differs' => 0, 'unusable' => 6, 'left out' => 1], $this->counts($judged));
        $this->take($judged)->assertStatus(422)->assertJsonPath('errors.without_unusable.0', 'Say that they stay out.');
        $taken = $this->take($judged, ['without_unusable' => true])->assertOk()->json();
        $this->assertSame('taken', $taken['state']);
        $throws = DB::table('work_sets')->where('import_id', $import['id'])->where('skill', 'overhand-throw')->first();
        $this->assertSame([20, 'home', 27.43], [(int) $throws->reps, $throws->source, (float) $throws->distance_m]);
        $this->assertEqualsWithDelta(0.4, (float) $throws->effort, 1e-9, 'easy');
        $this->assertSame(0, DB::table('import_rows')->where('import_id', $import['id'])->count(), 'strangers’ names do not stay');
        $after = $this->footprint();
        $this->artisan('augendo:rebuild')->assertSuccessful();
        $this->assertSame($after, $this->footprint(), 'the days are the sums of their sets');
    }

    public function test_work_comes_in_once_is_the_load_of_its_day_and_goes_as_a_whole(): void
    {
        $mira = $this->athlete('Mira');
        $day = $this->today->plus(-200);
        $before = $this->footprint();
        $file = "Date,Name,What,Reps,Effort\n{$day->iso()},Mira Okonjo,Float serve,30,0.75\n{$day->iso()},Mira Okonjo,Float serve,10,\n";
        $taken = $this->take($this->choose($this->bring('work', $file))->json())->assertOk()->json();
        $this->assertSame('On record: 2 rows.', $taken['sentence']);
        $reps = DB::table('daily_totals')->where('athlete_id', $mira->id)->where('day', $day->iso())->sum('count_reps');
        $this->assertEqualsWithDelta(40.0, (float) $reps, 1e-9);
        $again = $this->choose($this->bring('work', $file))->json();
        $this->assertSame(['new' => 0, 'same' => 2, 'differs' => 0, 'unusable' => 0, 'left out' => 0], $this->counts($again));
        $this->take($again)->assertStatus(422);

        $less = $this->choose($this->bring('work', str_replace(',30,', ',20,', $file)))->json();
        $this->assertSame(2, $this->counts($less)['differs']);
        $this->assertSame(
            'On record on that day: 40 repetitions. The file says 30.',
            $this->rows($less['id'], 'differs')[0]['sentence'],
        );
        $this->take($less)->assertStatus(422);
        $more = $this->take($less, ['also' => [2]])->assertOk()->json();
        $this->assertSame('taken', $more['state']);
        $reps = DB::table('daily_totals')->where('athlete_id', $mira->id)->where('day', $day->iso())->sum('count_reps');
        $this->assertEqualsWithDelta(60.0, (float) $reps, 1e-9, 'beside what was there, never instead of it');

        foreach ([$more, $taken] as $each) {
            $path = "/api/imports/{$each['id']}/take-back";
            $this->postJson($path, ['version' => $each['version'], 'reason' => ''])->assertStatus(422);
            $this->postJson($path, ['version' => $each['version'], 'reason' => 'The wrong season'])->assertOk()
                ->assertJsonPath('sentence', 'Taken back: The wrong season');
        }
        $this->assertSame($before, $this->footprint());
        $log = DB::table('activity_log')->where('subject_id', $mira->id)->where('description', 'like', 'work brought in%')->count();
        $this->assertSame(4, $log);
    }

    public function test_what_changed_since_the_look_stops_it_before_anything_is_on_record(): void
    {
        $day = $this->today->plus(-100)->iso();
        $file = "Date,Name,What,Reps\n{$day},Mira Okonjo,Float serve,30\n{$day},Dario Nwosu,Float serve,30\n";
        $judged = $this->choose($this->bring('work', $file))->json();
        $mira = $this->athlete('Mira');
        $this->postJson("/api/athletes/{$mira->id}/logged-work", [
            'id' => (string) Str::uuid7(), 'day' => $day, 'source' => 'home', 'skill' => 'float-serve', 'reps' => 12,
            'felt' => 'easy', 'distance_m' => null, 'side' => 'dominant',
        ])->assertNoContent();
        $before = $this->footprint();
        $stopped = $this->take($judged)->assertOk()->json();
        $this->assertSame(['judged', true], [$stopped['state'], $stopped['stopped']]);
        $this->assertSame(['new' => 1, 'same' => 0, 'differs' => 1, 'unusable' => 0, 'left out' => 0], $this->counts($stopped));
        $this->assertSame($before, $this->footprint());
        $this->take($judged)->assertStatus(409);
        $this->take($stopped)->assertOk()->assertJsonPath('state', 'taken');
    }

    #[DataProvider('dates')]
    public function test_dates_are_read_as_they_tell_and_asked_about_when_they_do_not(array $dates, ?string $said, array $days): void
    {
        $file = "When,Who,What,Count\n".implode("\n", array_map(fn (string $date): string => "\"{$date}\",Mira Okonjo,Pass,5", $dates));
        $answer = $this->choose($this->bring('work', $file), ['date_order' => $said])->assertOk()->json();
        if ($days === []) {
            $this->assertSame('read', $answer['state']);
            $this->assertSame('The dates may begin with the day or with the month: say which.', $answer['sentence']);

            return;
        }
        $this->assertSame($days, DB::table('import_sets')->where('import_id', $answer['id'])->orderBy('line')->pluck('day')->all());
    }

    public static function dates(): iterable
    {
        yield 'the day first, as one of them tells' => [['3/4/2026', '25/4/2026'], null, ['2026-04-03', '2026-04-25']];
        yield 'the month first, as one of them tells' => [['3/4/2026', '4/25/2026'], null, ['2026-03-04', '2026-04-25']];
        yield 'no date tells' => [['3/4/2026', '5/6/2026'], null, []];
        yield 'somebody says it' => [['3/4/2026', '5/6/26'], 'month first', ['2026-03-04', '2026-05-06']];
        yield 'some one, some the other' => [['13/4/2026', '4/13/2026'], null, []];
        yield 'nothing to ask' => [
            ['2026-04-03', '3.4.2026', 'Fri 3 April 2026', 'Apr 3, 2026'], null, array_fill(0, 4, '2026-04-03'),
        ];
    }

    public function test_an_xlsx_file_is_read_with_its_days_and_percentages(): void
    {
        $day = $this->today->plus(-150);
        $file = SpreadsheetFiles::xlsx([
            ['Date', 'First name', 'Surname', 'What', 'Reps', 'Effort', 'Distance (ft)', 'Arm'],
            // 25569 is 1970-01-01.
            [[25569 + $day->ordinal, 1], 'Mira', 'Okonjo', 'Overhand throw', 25, [0.6, 2], 30, 'left'],
        ], $this->folder().'/work.xlsx');
        $judged = $this->choose($this->bring('work', $file))->assertOk()->json();
        $this->assertSame(['new' => 1, 'same' => 0, 'differs' => 0, 'unusable' => 0, 'left out' => 0], $this->counts($judged));
        $set = DB::table('import_sets')->where('import_id', $judged['id'])->first();
        $this->assertSame([$day->iso(), 25, 'other'], [substr($set->day, 0, 10), (int) $set->reps, $set->side]);
        $this->assertEqualsWithDelta(9.14, (float) $set->distance_m, 1e-9);
        $this->assertEqualsWithDelta(0.6, (float) $set->effort, 1e-9);
    }

    public function test_what_is_no_spreadsheet_is_refused_with_what_helps(): void
    {
        $no = ['This is no CSV and no XLSX file. Open it in a spreadsheet program and save it as one of them.', 'failed'];
        foreach (["PK\x03\x04broken", "\xD0\xCF\x11\xE0\0\0an older form"] as $file) {
            $import = $this->bring('work', $file);
            $this->assertSame($no, [$import['sentence'], $import['state']]);
        }
        $this->assertStringStartsWith('There is no row below the titles.', $this->bring('work', "Date,Name\n")['sentence']);
        $old = mb_convert_encoding("Name;Throws\nZoë Ångström;right\n", 'Windows-1252', 'UTF-8');
        $this->assertSame('Zoë Ångström', $this->bring('athletes', $old)['columns'][0]['samples'][0]);
        $this->postJson('/api/imports/'.$this->bring('work', 'x')['id'].'/drop')->assertOk();
    }

    public function test_athletes_come_in_once_and_go_again_while_they_have_no_record(): void
    {
        $squad = $this->coach()->visibleSquads()->firstOrFail()->id;
        $file = "Full name,Born,Hand\nLena Quist,14.3.2012,left\nOle Quist,,\nMira Okonjo,,right\nMira Okonjo,,right\nLone,,right\n";
        $judged = $this->choose($this->bring('athletes', $file), ['squad_id' => $squad])->json();
        $said = collect($this->rows($judged['id'], 'unusable'))->pluck('sentence', 'line')->all();
        $this->assertSame([
            3 => 'Throwing side: nothing stands there. Write right or left.',
            5 => 'Name: “Mira Okonjo” stands in the file twice.',
            6 => 'Family name: nothing stands there.',
        ], $said);
        $judged = $this->choose($judged, ['squad_id' => $squad, 'throwing_side' => 'right'])->json();
        $this->assertSame(['new' => 2, 'same' => 1, 'differs' => 0, 'unusable' => 2, 'left out' => 0], $this->counts($judged));
        $taken = $this->take($judged, ['without_unusable' => true])->assertOk()->json();
        $this->assertSame('On record: 2 athletes.', $taken['sentence']);
        $lena = $this->athlete('Lena');
        $this->assertSame(['Quist', '2012-03-14', 'left'], [
            $lena->family_name, substr((string) $lena->birth_date, 0, 10), $lena->throwing_side->value,
        ]);
        $this->assertSame([$squad], $lena->squads()->pluck('squads.id')->all());

        $work = "Date,Name,What,Reps\n{$this->today->iso()},Lena Quist,Pass,5\n";
        $with = $this->take($this->choose($this->bring('work', $work))->json())->assertOk()->json();
        $back = fn (array $of) => $this->postJson("/api/imports/{$of['id']}/take-back", [
            'version' => Import::query()->findOrFail($of['id'])->version, 'reason' => 'Another club',
        ])->assertOk();
        $back($taken)->assertJsonPath('state', 'taken')->assertJsonPath('stopped', true);
        $this->assertNotNull($this->athlete('Lena'));
        $back($with)->assertJsonPath('state', 'taken back');
        $back($taken)->assertJsonPath('state', 'taken back');
        $this->assertSame(0, DB::table('athletes')->where('family_name', 'Quist')->count());
    }

    public function test_it_is_nobody_elses_and_a_squad_of_ones_own_is_all_one_reaches(): void
    {
        $import = $this->bring('work', "Date,Name,What,Reps\n{$this->today->plus(-90)->iso()},Mira Okonjo,Pass,5\n");
        $squad = $this->smallSquad('Dario');
        $coach = UserFactory::new()->create(['workspace_id' => $squad->workspace_id, 'role' => Role::Coach]);
        $coach->squads()->attach($squad->id);
        foreach ([$coach, $this->stranger(Role::Coach)] as $other) {
            $this->actingAs($other);
            $this->getJson("/api/imports/{$import['id']}")->assertNotFound();
            $this->putJson("/api/imports/{$import['id']}/parts/0", ['base64' => 'eA=='])->assertNotFound();
        }
        $this->actingAs($coach);
        $day = $this->today->plus(-90)->iso();
        $file = "Date,Name,What,Reps\n{$day},Mira Okonjo,Pass,5\n{$day},Dario Nwosu,Pass,5\n";
        $judged = $this->choose($this->bring('work', $file))->json();
        $this->assertSame(['new' => 1, 'same' => 0, 'differs' => 0, 'unusable' => 1, 'left out' => 0], $this->counts($judged));
        $known = [['word' => 'Mira Okonjo', 'means' => $this->athlete('Mira')->id]];
        $judged = $this->choose($judged, ['athletes' => $known])->json();
        $this->assertSame(1, $this->counts($judged)['unusable'], 'an id of somebody out of reach names nobody');
        $this->actingAs($this->person(Role::Assistant));
        $this->getJson('/api/imports')->assertForbidden();
    }

    public function test_a_declared_week_gives_way_to_the_work_that_was_really_done_then(): void
    {
        $mira = $this->athlete('Mira');
        $first = Day::of(substr((string) DB::table('work_sets')->where('athlete_id', $mira->id)->min('day'), 0, 10));
        DB::table('intakes')->updateOrInsert(['athlete_id' => $mira->id], [
            'usual_week' => json_encode(['arm' => 70.0, 'landings' => 35.0]), 'version' => 1,
            'sports' => '[]', 'past_injuries' => '[]', 'created_at' => now(), 'updated_at' => now(),
        ]);
        app(Intake::class)->declareAgain($mira, $this->today);
        $declared = fn (): array => DB::table('work_sets')->where('athlete_id', $mira->id)->where('source', 'declared')
            ->selectRaw('min(day) as a, max(day) as b')
            ->get()
            ->map(fn (object $row): array => [substr($row->a, 0, 10), substr($row->b, 0, 10)])[0];
        $this->assertSame([$first->plus(-28)->iso(), $first->plus(-1)->iso()], $declared());
        $day = $first->plus(-10);
        $this->take($this->choose($this->bring('work', "Date,Name,What,Reps\n{$day->iso()},Mira Okonjo,Pass,5\n"))->json())->assertOk();
        $this->assertSame([$day->plus(-28)->iso(), $day->plus(-1)->iso()], $declared(), 'never both on one day');
    }

    private function messy(): string
    {
        return sprintf(
            self::MESSY,
            $this->written($this->today->plus(-120)),
            $this->written($this->today->plus(-119)),
            $this->written($this->today->plus(1)),
        );
    }

    private function written(Day $day): string
    {
        return implode('.', array_reverse(explode('-', $day->iso())));
    }

    /** @return array<string, mixed> */
    private function bring(string $kind, string $file): array
    {
        $id = (string) Str::uuid7();
        $parts = str_split($file, max(1, (int) ceil(strlen($file) / 2)));
        $given = ['id' => $id, 'kind' => $kind, 'file_name' => "{$kind}.csv", 'parts' => count($parts)];
        $this->postJson('/api/imports', $given)->assertOk();
        foreach ($parts as $no => $part) {
            foreach ([1, 2] as $_) {
                $this->putJson("/api/imports/{$id}/parts/{$no}", ['base64' => base64_encode($part)])->assertOk();
            }
        }
        $this->postJson('/api/imports', $given)->assertOk();

        return $this->getJson("/api/imports/{$id}")->assertOk()->json();
    }

    /**
     * @param  array<string, mixed>  $import
     * @param  array<string, mixed>  $with
     */
    private function choose(array $import, array $with = []): TestResponse
    {
        return $this->putJson("/api/imports/{$import['id']}/choices", [
            'version' => $import['version'], 'columns' => array_column($import['columns'], 'column'), 'date_order' => null,
            'distance_unit' => $import['distance_unit'], 'squad_id' => null, 'throwing_side' => null, 'skills' => [], 'athletes' => [],
            ...$with,
        ]);
    }

    /**
     * @param  array<string, mixed>  $import
     * @param  array<string, mixed>  $with
     */
    private function take(array $import, array $with = []): TestResponse
    {
        return $this->postJson("/api/imports/{$import['id']}/take", [
            'version' => $import['version'], 'also' => [], 'without_unusable' => false, ...$with,
        ]);
    }

    /** @return list<array<string, mixed>> */
    private function rows(string $id, string $verdict): array
    {
        return $this->getJson("/api/imports/{$id}/rows?verdict={$verdict}")->assertOk()->json('rows');
    }

    /**
     * @param  array<string, mixed>  $import
     * @return array<string, int>
     */
    private function counts(array $import): array
    {
        return array_column($import['counts'], 'rows', 'verdict');
    }

    /** All that is load, in one line. */
    private function footprint(): string
    {
        $all = DB::table('daily_totals')->orderByRaw('athlete_id, day, skill, side, implement')->get();

        return hash('xxh128', $all->map(fn (object $row): string => json_encode(array_map(
            fn ($value) => is_numeric($value) ? round((float) $value, 6) : $value, (array) $row,
        )))->implode("\n"));
    }
}
