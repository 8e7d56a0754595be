<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Devices\DeviceKind;
use App\Devices\SessionReadings;
use App\Devices\SimulatedDevice;
use App\People\Role;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use Database\Factories\SheetFactory;
use Database\Factories\TrainingSessionFactory;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Devices speak with a token of their own; what they saw is paired with what was tapped, nothing is dropped, nothing counts twice. */
#[Group('once')]
final class DevicesTest extends TestCase
{
    private Sheet $sheet;

    private string $readings;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->sheet = $this->sheetOf('Yuna');
        $this->readings = "/api/sessions/{$this->sheet->training_session_id}/readings";
    }

    public function test_what_is_sent_with_a_token_is_kept_once_and_what_cannot_be_is_told_with_its_place(): void
    {
        [$id, $token] = $this->device('speed_gun');
        $reading = $this->reading(-5, ['speed_ms' => 16.2]);
        $this->send('nothing', [$reading])->assertStatus(401);
        $this->send($token, [$reading])->assertOk()->assertExactJson(['taken' => 1, 'known' => 0, 'clock_off_s' => null]);
        $this->send($token, [$reading])->assertOk()->assertJsonPath('known', 1);
        $this->assertSame(1, DB::table('readings')->count());
        $wrong = [
            'readings.0.at' => $this->reading(86_400 * 365, ['speed_ms' => 16.0]),
            'readings.0.speed_ms' => $this->reading(-4, ['speed_ms' => 400]),
            'readings.0.id' => ['id' => 'seven'] + $this->reading(-4, ['speed_ms' => 16.0]),
            'readings.0.seq' => ['seq' => -1] + $this->reading(-4, ['speed_ms' => 16.0]),
        ];
        foreach ($wrong as $place => $each) {
            $this->send($token, [$each])->assertStatus(422)->assertJsonStructure(['errors' => [$place]]);
        }
        $this->send($token, [$this->reading(-4, ['contact_s' => 0.2])])->assertStatus(422)
            ->assertJsonPath('errors', ['readings.0.speed_ms' => ['A device of this kind sends speed_ms.']]);
        // Its clock is two hours behind, and it says so.
        $behind = Carbon::now()->subHours(2);
        $this->send($token, [$this->reading(-7200 - 3, ['speed_ms' => 15.0])], $behind->toIso8601String())->assertOk()
            ->assertJsonPath('clock_off_s', fn (float $off): bool => abs($off - 7200) < 2);
        $at = (float) DB::table('readings')->orderByDesc('at_s')->value('at_s');
        $this->assertEqualsWithDelta(Carbon::now()->timestamp - 3, $at, 3);
        $this->postJson("/api/devices/{$id}/revoke")->assertOk()->assertJsonPath('devices.0.in_use', false);
        $this->send($token, [$this->reading(-1, ['speed_ms' => 16.0])])->assertStatus(401);
        $this->assertSame(2, DB::table('readings')->count(), 'what it measured stays');
    }

    public function test_csv_is_read_by_its_titles_and_a_million_rows_are_asked_for_in_parts(): void
    {
        [, $token] = $this->device('landing_pad');
        $line = fn (int $seq): string => Str::uuid7().",{$seq},".Carbon::now()->subSeconds(60)->toIso8601String().',0.21,';
        $csv = fn (string $text): TestResponse => $this->call('POST', '/api/readings', server: [
            'HTTP_AUTHORIZATION' => "Bearer {$token}", 'CONTENT_TYPE' => 'text/csv', 'HTTP_ACCEPT' => 'application/json',
        ], content: $text);
        $titles = "\u{feff}id,seq,at,contact_s,height_m\r\n";
        $csv($titles.$line(1)."\r\n".$line(2)."\r\n")->assertOk()->assertJsonPath('taken', 2);
        $csv($titles.$line(3).",extra\r\n")->assertStatus(422)
            ->assertJsonPath('errors', ['readings.0' => ['Line 2 has 6 cells, the titles 5.']]);
        $csv($titles.implode("\r\n", array_map($line, range(1, 3000))))->assertStatus(422)
            ->assertJsonPath('errors', ['readings' => ['At most 500 readings at a time. Send them in parts.']]);
        $this->assertSame(2, DB::table('readings')->count());
    }

    public function test_readings_pair_with_taps_by_the_clock_and_by_hand_and_speed_is_told(): void
    {
        [$id, $token] = $this->device('speed_gun');
        $this->lend($id);
        $taps = $this->taps(12);
        $speeds = [17.0, 17.1, 16.9, 17.0, 16.8, 16.7, 16.5, 16.4, 16.2, 16.0, 15.8, 15.7];
        $readings = array_map(
            fn (int $i): array => $this->reading(-400 + 20 * $i - 2, ['speed_ms' => $speeds[$i]], $i < 6 ? $i : $i + 2), range(0, 11),
        );
        unset($readings[4]);
        $this->send($token, [...array_values($readings), $this->reading(-400 + 20 * 3 + 8, ['speed_ms' => 3.1], 90)])->assertOk();
        $seen = $this->getJson($this->readings)->assertOk()->json();
        $this->assertSame([12, 11], [$seen['devices'][0]['came'], $seen['devices'][0]['paired']]);
        $this->assertEqualsWithDelta(2.0, $seen['devices'][0]['delay_s'], 0.2);
        $alone = array_values(array_filter($seen['readings'], fn (array $each): bool => $each['tap'] === null));
        $this->assertSame([['3.1 m/s', null]], array_map(fn (array $each): array => [$each['said'], $each['paired']], $alone));
        $this->assertSame([$taps[4]], array_column($seen['taps'], 'id'), 'what the gun missed is shown');
        $told = $seen['speeds'][0];
        $this->assertEqualsWithDelta(15.8 / 17.0 - 1, $told['fade'], 0.01);
        $this->assertSame(['float-serve', 17.1, []], [$told['skill'], $told['fastest_ms'], $told['outliers_ms']]);
        $this->assertSame(6, $told['drops_after'], 'of eleven the last five are slow');
        // Held against the fastest on record, half effort was none.
        $mark = ['skill' => 'float-serve', 'longest_throw_m' => null, 'reference_speed_ms' => 18.0];
        $this->postJson("/api/athletes/{$this->sheet->athlete_id}/marks", [
            ...$mark, 'measured_on' => $this->sheet->day()->iso(),
        ])->assertOk();
        $held = $this->getJson($this->readings)->json('speeds.0');
        $this->assertEquals([18.0, 0.5], [$held['reference_ms'], $held['asked']]);
        $this->assertGreaterThan(0.7, $held['implied'], 'half was asked');

        $asked = ['readings' => [$alone[0]['id']], 'rep_id' => $taps[4], 'word' => null];
        $named = $this->postJson($this->readings, $asked)->assertOk()->json();
        $slow = array_filter($named['readings'], fn (array $each): bool => $each['said'] === '3.1 m/s');
        $this->assertSame(['hand'], array_column($slow, 'paired'));
        $this->assertSame([], $named['taps']);
        $this->postJson($this->readings, ['readings' => [$alone[0]['id']], 'rep_id' => null, 'word' => 'aside'])->assertOk()
            ->assertJsonPath('taps.0.id', $taps[4]);
        $nowhere = ['readings' => [$alone[0]['id']], 'rep_id' => (string) Str::uuid7(), 'word' => null];
        $this->postJson($this->readings, $nowhere)->assertNotFound();
        $this->postJson($this->readings, ['readings' => [(string) Str::uuid7()], 'rep_id' => null, 'word' => 'aside'])->assertNotFound();
        $this->getJson('/api/devices')->assertOk()->assertJsonPath('devices.0.gaps', ['4', '6–7', '14–89']);
        $this->actingAs($this->stranger(Role::Coach))->getJson($this->readings)->assertNotFound();
    }

    public function test_a_speed_raises_what_a_repetition_costs_and_never_lowers_it(): void
    {
        $athlete = $this->sheet->athlete_id;
        $this->postJson("/api/athletes/{$athlete}/marks", [
            'skill' => 'float-serve', 'longest_throw_m' => null, 'reference_speed_ms' => 20.0,
            'measured_on' => $this->sheet->day()->iso(),
        ])->assertOk();
        [$id, $token] = $this->device('speed_gun');
        $this->lend($id);
        $this->taps(3);
        $arm = fn (): float => round((float) DB::table('work_sets')->where('session', $this->sheet->id)->sum('arm'), 6);
        $felt = $arm();
        $this->assertGreaterThan(0.0, $felt);
        // Half effort is felt as 0.7 of full stress; 19 of 20 m/s is 0.9025 of it, 10 of 20 is less than was felt.
        $fast = $this->reading(-402, ['speed_ms' => 19.0], 1);
        $this->send($token, [$fast, $this->reading(-382, ['speed_ms' => 10.0], 2)])->assertOk();
        $this->assertEqualsWithDelta($felt / 3 * (2 + 0.9025 / 0.7), $arm(), 1e-5);
        $speeds = DB::table('work_sets')->where('session', $this->sheet->id)->pluck('speed_ms')->sort()->values()->all();
        $this->assertEquals([null, 10.0, 19.0], $speeds, 'each repetition has its own');
        $hard = (int) DB::table('work_sets')->where('session', $this->sheet->id)->sum('high_reps');
        $this->assertSame(1, $hard, 'nine tenths of the fastest');
        // Sent again, and rebuilt, it stays; what was no repetition takes its price along.
        $this->send($token, [$fast])->assertOk();
        $this->artisan('augendo:rebuild')->assertSuccessful();
        $this->assertEqualsWithDelta($felt / 3 * (2 + 0.9025 / 0.7), $arm(), 1e-5);
        $this->postJson($this->readings, ['readings' => [$fast['id']], 'rep_id' => null, 'word' => 'aside'])->assertOk();
        $this->assertSame($felt, $arm());
        $this->assertSame(1, DB::table('rep_speeds')->count());
    }

    public function test_what_was_measured_just_before_it_was_lent_is_theirs_and_earlier_readings_are_not(): void
    {
        [$id, $token] = $this->device('speed_gun');
        $came = [$this->reading(-600, ['speed_ms' => 16.0], 2), $this->reading(-3000, ['speed_ms' => 15.0], 1)];
        $this->send($token, $came)->assertOk();
        $squad = $this->sheet->trainingSession->squad_id;
        $this->postJson("/api/devices/{$id}/lend", ['squad' => $squad, 'athlete_id' => null])->assertOk();
        $this->assertSame([2], DB::table('readings')->whereNotNull('squad_id')->pluck('seq')->all());
        $this->taps(3);
        $this->assertSame(['16 m/s'], array_column($this->getJson($this->readings)->assertOk()->json('readings'), 'said'));
    }

    public function test_what_came_in_while_it_was_lent_elsewhere_is_not_paired(): void
    {
        [$id, $token] = $this->device('speed_gun');
        $other = $this->smallSquad('Kaito');
        $this->postJson("/api/devices/{$id}/lend", ['squad' => $other->id, 'athlete_id' => null])->assertOk();
        $stranger = ['squad' => $other->id, 'athlete_id' => $this->athlete('Dario')->id];
        $this->postJson("/api/devices/{$id}/lend", $stranger)->assertStatus(422);
        DB::table('device_loans')->update(['from_s' => Carbon::now()->timestamp - 3600]);
        $this->taps(3);
        $this->send($token, [$this->reading(-382, ['speed_ms' => 16.0])])->assertOk();
        $this->assertSame([], $this->getJson($this->readings)->assertOk()->json('readings'));
    }

    public function test_a_counter_that_saw_more_than_was_tapped_is_load_until_somebody_answers(): void
    {
        [$id, $token] = $this->device('wrist_counter');
        $this->lend($id, $this->athlete('Yuna')->id);
        $this->taps(6);
        $load = fn (): int => (int) DB::table('work_sets')->where('session', $this->sheet->id)->sum('reps');
        $this->assertSame(6, $load());
        $seen = array_map(fn (int $i): array => $this->reading(-400 + 20 * $i - 1, ['peak_deg_s' => 1400], $i), range(0, 5));
        $more = array_map(fn (int $i): array => $this->reading(-400 + 20 * $i + 9, ['peak_deg_s' => 1200], 10 + $i), range(0, 2));
        $this->send($token, [...$seen, ...$more])->assertOk();
        $this->assertSame(9, $load(), 'the larger number is the load');
        $asked = $this->getJson($this->readings)->assertOk()->json('asked');
        $this->assertSame([9, 6, 3], [$asked[0]['seen'], $asked[0]['tapped'], count($asked[0]['readings'])]);
        $this->assertStringContainsString('Until somebody says', $asked[0]['said']);
        // One of them is tapped late after all: it counts once.
        $this->taps(1, -400 + 9);
        $this->assertSame(9, $load());
        $open = $this->getJson($this->readings)->json('asked.0.readings');
        $this->postJson($this->readings, ['readings' => $open, 'rep_id' => null, 'word' => 'aside'])
            ->assertOk()
            ->assertJsonPath('asked', []);
        $this->assertSame(7, $load());
        $this->artisan('augendo:rebuild')->assertSuccessful();
        $this->assertSame(7, $load(), 'made anew it is the same');
    }

    public function test_what_a_counter_saw_outside_every_session_is_load_until_it_is_told_or_taken_for_none(): void
    {
        $athlete = $this->sheet->athlete_id;
        [$id, $token] = $this->device('wrist_counter');
        $this->lend($id, $athlete);
        [, $gun] = $this->device('speed_gun');
        // Practising alone two days ago before breakfast, while nobody was training.
        $early = Carbon::parse($this->sheet->day()->plus(-2)->iso().' 06:00', $this->coach()->workspace->timezone);
        DB::table('device_loans')->update(['from_s' => $early->timestamp - 3600]);
        $away = (int) Carbon::now()->diffInSeconds($early);
        $seen = array_map(fn (int $i): array => $this->reading($away + 10 * $i, ['peak_deg_s' => 1300], 50 + $i), range(0, 7));
        $load = fn (): array => DB::table('work_sets')
            ->where(['athlete_id' => $athlete, 'day' => $early->toDateString(), 'source' => 'device'])
            ->get(['reps', 'effort'])
            ->map(fn (object $set): array => [(int) $set->reps, $set->effort])
            ->all();
        $this->send($token, $seen)->assertOk();
        $this->assertSame([[8, null]], $load(), 'how hard is not known: it counts as full');
        $groups = $this->getJson('/api/devices/outside')->assertOk()->json('groups');
        $this->assertSame([[8, 8]], array_map(fn (array $group): array => [count($group['readings']), $group['load']], $groups));
        $this->assertStringContainsString('8 count as full effort', $groups[0]['said']);
        // Six of them are told of at home: the other two are load still.
        $told = [
            'id' => (string) Str::uuid7(), 'day' => $early->toDateString(), 'source' => 'home', 'skill' => 'float-serve', 'reps' => 6,
            'felt' => 'easy', 'distance_m' => null, 'side' => 'dominant',
        ];
        $this->postJson("/api/athletes/{$athlete}/logged-work", $told)->assertSuccessful();
        $this->assertSame([[2, null]], $load(), 'the larger number');
        $jumps = [...$told, 'id' => (string) Str::uuid7(), 'skill' => 'jump', 'reps' => 30];
        $this->postJson("/api/athletes/{$athlete}/logged-work", $jumps)->assertSuccessful();
        $this->assertSame([[2, null]], $load(), 'jumps are no throws');
        $this->postJson("/api/athletes/{$athlete}/logged-work/{$told['id']}/take-back", ['reason' => 'Another day'])->assertSuccessful();
        $this->assertSame([[8, null]], $load());
        $say = fn (array $ids, ?string $word): TestResponse => $this->postJson(
            '/api/devices/outside', ['readings' => $ids, 'word' => $word],
        );
        $ids = array_column($seen, 'id');
        $say([$ids[0], $ids[1]], 'aside')->assertOk()->assertJsonPath('groups.0.load', 6);
        $this->assertSame([[6, null]], $load());
        $say([(string) Str::uuid7()], 'aside')->assertNotFound();
        $say($ids, 'aside')->assertOk()->assertJsonPath('groups', []);
        $this->assertSame([], $load());
        // What a gun saw belongs to nobody: shown, and load of nobody.
        $this->send($gun, [$this->reading($away, ['speed_ms' => 14.0], 1)])->assertOk();
        $this->getJson('/api/devices/outside')->assertJsonPath('groups.0.fastest_ms', 14)->assertJsonPath('groups.0.load', 0);
        $this->assertSame([], $load());
        $this->actingAs($this->stranger(Role::Coach));
        $say($ids, null)->assertNotFound();
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    public function test_a_reading_is_of_one_session_where_two_follow_each_other(): void
    {
        [$id, $token] = $this->device('wrist_counter');
        $this->lend($id, $this->athlete('Yuna')->id);
        $this->taps(2);
        $first = $this->sheet->trainingSession;
        $starts = Carbon::parse("2027-01-01 {$first->starts_at}")->addMinutes(40)->format('H:i');
        $second = TrainingSessionFactory::new()->create([
            'squad_id' => $first->squad_id, 'held_on' => $first->held_on, 'starts_at' => $starts,
        ]);
        $also = SheetFactory::new()->create([
            'training_session_id' => $second->id, 'athlete_id' => $this->athlete('Yuna')->id, 'held_on' => $first->held_on,
        ]);
        $seen = array_map(fn (int $i): array => $this->reading(-400 + 20 * $i, ['peak_deg_s' => 1400], $i), range(0, 4));
        $this->send($token, $seen)->assertOk();
        $beyond = fn (Sheet $sheet): int => SessionReadings::counted($this->athlete('Yuna'), $sheet->refresh())->beyond();
        $this->assertLessThanOrEqual(5, 2 + $beyond($this->sheet) + $beyond($also), 'none of them twice');
        foreach ($this->getJson($this->readings)->assertOk()->json('readings') as $reading) {
            $there = array_column($this->getJson("/api/sessions/{$second->id}/readings")->json('readings'), 'id');
            $this->assertNotContains($reading['id'], $there);
        }
    }

    /**
     * Twelve athletes in turn, twelve repetitions each, six seconds apart; two phones without a connection, five devices whose clocks are
     * off and drift, that miss some and see some that were none; one of them is taken out of use half way.
     */
    public function test_an_afternoon_of_twelve_athletes_and_five_devices_counts_every_repetition_once(): void
    {
        mt_srand(15);
        $sheets = Sheet::query()->where('training_session_id', $this->sheet->training_session_id)->get()->all();
        $this->assertGreaterThanOrEqual(12, count($sheets));
        $sheets = array_slice($sheets, 0, 12);
        $worn = [$sheets[2]->athlete_id, $sheets[5]->athlete_id];
        $devices = [];
        foreach ([
            ['speed_gun', null, 3.0, 1.4], ['feeder', null, -1.5, 0.0], ['landing_pad', $sheets[8]->athlete_id, -2.0, 2.0],
            ['wrist_counter', $worn[0], 4.0, -1.0], ['wrist_counter', $worn[1], 0.5, 0.0],
        ] as [$kind, $athlete, $behind, $drift]) {
            [$id, $token] = $this->device($kind);
            $this->lend($id, $athlete);
            $devices[] = [$id, $token, $athlete, $drift, new SimulatedDevice(DeviceKind::from($kind), 0.1, 0.05, $behind)];
        }
        $phones = ['11111111-1111-4111-8111-111111111111', '22222222-2222-4222-8222-222222222222'];
        [$offline, $truth, $waiting] = [[], [], []];
        foreach (range(0, 143) as $nth) {
            $place = $nth % 12;
            $sheet = $sheets[$place];
            $at = Carbon::now()->addMilliseconds(-900_000 + 6_000 * $nth + mt_rand(-500, 500));
            $block = $sheet->blocks()->firstOrFail();
            // Whoever counts touches a little later than it happened.
            $rep = $this->tap($block, $nth, [
                'at' => $at->copy()->addMilliseconds(mt_rand(600, 1400))->format('Y-m-d\TH:i:s.vP'), 'device' => $phones[$place % 2],
                'verdict' => 'unobserved',
            ]);
            $offline[$sheet->id][] = $rep;
            foreach ($devices as $no => [, , $athlete, $drift, $device]) {
                if ($athlete !== null && $athlete !== $sheet->athlete_id) {
                    continue;
                }
                $measured = $at->copy()->addMilliseconds((int) ($drift * 6_000 * $nth / 3600));
                $readings = $device->repetition($measured);
                if ($readings !== [] && $readings[0]['at'] === $device->clock($measured)) {
                    $truth[$readings[0]['id']] = $rep['id'];
                }
                $waiting[$no] = [...$waiting[$no] ?? [], ...$readings];
            }
            if ($nth % 36 !== 35) {
                continue;
            }
            foreach ($waiting as $no => $readings) {
                [$id, $token, , , $device] = $devices[$no];
                if ($no === 4 && $nth > 72) {
                    // Taken out of use in the middle: what it measures from then on is not ours.
                    $this->send($token, $readings, $device->clock(Carbon::now()))->assertStatus(401);
                    $truth = array_diff_key($truth, array_flip(array_column($readings, 'id')));

                    continue;
                }
                // Nobody tells a device whether it was heard: it sends once more.
                $this->send($token, $readings, $device->clock(Carbon::now()))->assertOk()->assertJsonPath('taken', count($readings));
                $this->send($token, $readings, $device->clock(Carbon::now()))->assertOk()->assertJsonPath('taken', 0);
                if ($no === 4 && $nth === 71) {
                    $this->postJson("/api/devices/{$id}/revoke")->assertOk();
                }
            }
            $waiting = [];
        }
        // The phones are back in reach: in no order, and some of it twice.
        foreach (array_reverse($offline, true) as $sheet => $taps) {
            shuffle($taps);
            foreach ([$taps, array_slice($taps, 3, 5)] as $batch) {
                $this->postJson("/api/sheets/{$sheet}/events", ['events' => $batch])->assertOk()->assertJsonPath('refused', []);
            }
        }
        $seen = $this->getJson($this->readings)->assertOk()->json();
        $this->assertCount(5, $seen['devices']);
        foreach (collect($seen['readings'])->where('tap', '!=', null)->groupBy('device') as $own) {
            $this->assertSame($own->count(), $own->pluck('tap.id')->unique()->count(), 'no repetition twice');
        }
        $paired = collect($seen['readings'])->where('tap', '!=', null)
            ->mapWithKeys(fn (array $each): array => [$each['id'] => $each['tap']['id']]);

        $right = $paired->filter(fn (string $tap, string $reading): bool => ($truth[$reading] ?? null) === $tap)->count();
        $this->assertGreaterThanOrEqual(0.97, $right / $paired->count(), 'precision');
        $this->assertGreaterThanOrEqual(0.95, $right / count($truth), 'recall');
        // Every repetition is load once; where a counter saw more than was tapped, that many.
        $load = fn (Sheet $sheet): int => (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps');
        foreach ($sheets as $sheet) {
            $counter = (int) array_search($sheet->athlete_id, $worn, true);
            $counted = ! in_array($sheet->athlete_id, $worn, true) ? 0
                : DB::table('readings')->where('device_id', $devices[3 + $counter][0])->count();
            $this->assertSame(max(12, $counted), $load($sheet), $sheet->athlete_id);
        }
        $this->artisan('augendo:rebuild')->assertSuccessful();
    }

    /** @return array{string, string} id and token */
    private function device(string $kind): array
    {
        $id = (string) Str::uuid7();
        $made = $this->putJson('/api/devices', ['id' => $id, 'name' => "The {$kind}", 'kind' => $kind])->assertOk();
        $again = $this->putJson('/api/devices', ['id' => $id, 'name' => "The {$kind}", 'kind' => $kind])->assertOk();
        $this->assertNull($again->json('token'), 'shown once');

        return [$id, $made->json('token')];
    }

    private function lend(string $device, ?string $athlete = null): void
    {
        $squad = $this->sheet->trainingSession->squad_id;
        $this->postJson("/api/devices/{$device}/lend", ['squad' => $squad, 'athlete_id' => $athlete])->assertOk();
        DB::table('device_loans')->update(['from_s' => Carbon::now()->timestamp - 7200]);
    }

    /**
     * @param  array<string, mixed>  $measured
     * @return array<string, mixed>
     */
    private function reading(int $seconds, array $measured, int $seq = 1): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'seq' => $seq,
            'at' => Carbon::now()->addSeconds($seconds)->format('Y-m-d\TH:i:s.vP'),
            ...$measured,
        ];
    }

    /** @param  list<array<string, mixed>>  $readings */
    private function send(string $token, array $readings, ?string $clock = null): TestResponse
    {
        return $this->withHeader('Authorization', "Bearer {$token}")->postJson('/api/readings', [
            ...($clock === null ? [] : ['device_clock' => $clock]), 'readings' => $readings,
        ]);
    }

    /** @return list<string> ids of repetitions tapped every twenty seconds */
    private function taps(int $times, int $from = -400): array
    {
        $block = $this->sheet->blocks()->where('judged', true)->get()->firstOrFail(fn (SheetBlock $each): bool => $each->asked_reps > 0);
        $events = array_map(fn (int $i): array => [
            'id' => (string) Str::uuid7(), 'block_id' => $block->id, 'set_no' => 1, 'kind' => 'rep', 'verdict' => 'good',
            'side' => 'dominant', 'effort' => 0.5, 'at' => Carbon::now()->addSeconds($from + 20 * $i)->toIso8601String(), 'seq' => $i,
            'device' => (string) Str::uuid(),
        ], range(0, $times - 1));
        $this->postJson("/api/sheets/{$this->sheet->id}/events", ['events' => $events])->assertOk();

        return array_column($events, 'id');
    }
}
