<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\LiveDatabase;
use Tests\TestCase;

/** Two processes do the same thing in the same instant: what guards a gate, a limit, a link or a version lets one through. */
#[Group('once')]
final class TwoAtOnceTest extends TestCase
{
    private const ROUNDS = 6;

    /** Each is tried by both at the same instant; `which` is 0 or 1. It answers a line, or throws what refuses it. */
    private const SCRIPT = <<<'PHP'
        require 'vendor/autoload.php';
        (require 'bootstrap/app.php')->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
        [$which, $folder, $rounds] = [(int) $argv[1], $argv[2], (int) $argv[3]];
        // Goes on when the other has come as far.
        $meet = function (int $point) use ($which, $folder): void {
            touch("{$folder}/{$point}-{$which}");
            for ($waited = 0; ! file_exists("{$folder}/{$point}-".(1 - $which)); $waited++) {
                $waited < 300_000 ? usleep(200) : throw new RuntimeException('The other did not come.');
                clearstatcache();
            }
        };
        $coach = App\People\User::query()->where('role', 'coach')->firstOrFail();
        $today = $coach->workspace->today();
        $mira = App\Athletes\Athlete::query()->where('given_name', 'Mira')->firstOrFail();
        $sheet = App\Sessions\Sheet::query()->where('athlete_id', $mira->id)->where('held_on', $today->iso())->firstOrFail();
        $place = fn () => App\Gates\Placement::standing()->where('athlete_id', $mira->id)
            ->orderByDesc('entered_at')->orderByDesc('id')->firstOrFail();
        $link = App\People\Link::query()->where('purpose', 'invitation')->firstOrFail();
        $doses = fn () => $sheet->blocks()->orderBy('position')->get()->map(fn ($block) => [
            'id' => $block->id, 'sets' => $block->sets, 'reps' => $block->reps, 'effort' => $block->effort,
            'distance_m' => $block->distance_m,
        ])->all();
        // Read by both before either writes: what a page shows to two people.
        $low = App\Gates\Placement::standing()->orderBy('entered_at')->orderBy('id')->get()
            ->keyBy(fn ($each) => "{$each->athlete_id} {$each->ladder}")
            ->first(fn ($each) => app(Augendo\Core\Library\Library::class)
            ->ladder($each->ladder)->before($each->rung) !== null);
        $climber = App\Athletes\Athlete::query()->findOrFail($low->athlete_id);
        $acts = [
            'step back' => fn () => app(App\Gates\DecideRung::class)->decide($climber, [
                'id' => (string) Illuminate\Support\Str::uuid7(), 'ladder' => $low->ladder, 'rung' => $low->rung,
                'action' => 'step_back', 'reason' => null,
            ], $coach),
            'the same decision sent twice' => fn () => app(App\Gates\DecideRung::class)->decide($mira, [
                'id' => '0198aaaa-0000-7000-8000-00000000dec1', 'ladder' => $place()->ladder, 'rung' => $place()->rung,
                'action' => 'hold', 'reason' => null,
            ], $coach),
            'a link used' => fn () => app(App\People\Links::class)->join($link, [
                'name' => "Person {$which}", 'email' => "person{$which}@lighthouse.example", 'password' => 'a long password',
            ]),
            'a sheet edited' => fn () => App\Sessions\EditSheet::save($sheet, $doses(), $sheet->version),
            'a season opened' => fn () => app(App\Seasons\Seasons::class)->open($mira, [
                'ladder' => $place()->ladder, 'goal_rung' => $place()->rung, 'starts_on' => $today->iso(),
                'goal_on' => $today->plus(28)->iso(), 'weekdays' => [1, 4], 'minutes' => 60, 'moves' => [], 'off' => [],
            ], $coach),
        ];
        $said = $why = [];
        foreach (array_keys($acts) as $i => $name) {
            $meet($i);
            try {
                $acts[$name]();
                $said[$name] = 'done';
            } catch (App\Http\Problem $problem) {
                $said[$name] = 'refused';
                $why[$name] = $problem->getMessage();
            }
        }
        // Many taps of both onto one sheet, some of them the same.
        $meet(count($acts));
        $block = $sheet->blocks()->where('reps', '>', 0)->firstOrFail();
        for ($round = 0; $round < $rounds; $round++) {
            $taps = array_map(fn (int $i): array => [
                'id' => sprintf('0198bbbb-0000-7000-8000-%012d', 10 * $round + $i + ($i < 5 ? 0 : 1000 * (1 + $which))),
                'block_id' => $block->id, 'set_no' => 1, 'kind' => 'rep', 'verdict' => 'good', 'side' => 'dominant', 'effort' => 0.5,
                'at' => sprintf('2026-01-01T10:%02d:%02d+00:00', $round, $i), 'seq' => 10 * $round + $i,
                'device' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c',
            ], range(0, 9));
            app(App\Courtside\RepLog::class)->append($sheet->refresh(), $taps, $coach);
        }
        // Somebody counts in a session while it is called off: what was done was done, and it is on the calendar.
        $squad = $mira->squads()->firstOrFail();
        if ($which === 0) {
            foreach (range(1, $rounds) as $nth) {
                app(App\Sessions\PlanSessions::class)->plan($squad, [
                    'day' => $today->plus(-20 - $nth)->iso(), 'starts_at' => '06:15', 'title' => 'Called off',
                ], $coach);
            }
        }
        $meet(count($acts) + 1);
        foreach (App\Sessions\TrainingSession::query()->with('squad.workspace')
            ->where('title', 'Called off')->orderBy('held_on')->get() as $nth => $session) {
            $counted = $session->sheets()->where('athlete_id', $mira->id)->firstOrFail();
            $block = $counted->blocks()->where('reps', '>', 0)->firstOrFail();
            $meet(count($acts) + 2 + $nth);
            try {
                $which === 0
                    ? app(App\Sessions\ChangeSession::class)->callOff($session, 'one', 'Rain', $coach)
                    : app(App\Courtside\RepLog::class)->append($counted, [[
                        'id' => (string) Illuminate\Support\Str::uuid7(), 'block_id' => $block->id, 'set_no' => 1, 'kind' => 'rep',
                        'verdict' => 'good', 'side' => 'dominant', 'effort' => 0.5,
                        'at' => "{$counted->held_on}T06:20:00+00:00", 'seq' => 1,
                        'device' => '3f2b8c0e-6a1d-4b7e-9c55-1d2e3f4a5b6c',
                    ]], $coach);
            } catch (App\Http\Problem $problem) {
                $why["called off {$nth}"] = $problem->getMessage();
            }
        }
        fwrite(STDERR, json_encode($why));
        echo json_encode($said);
        PHP;

    public function test_of_two_at_once_one_is_let_through_and_every_tap_counts_once(): void
    {
        $live = new LiveDatabase($this->folder());
        $this->assertSame(0, $live->artisan('migrate', '--force')[0]);
        $this->assertSame(0, $live->artisan('db:seed', '--class=Tests\\TestSquad', '--force')[0]);
        $pdo = $live->pdo();
        $pdo->exec(
            'insert into links (workspace_id, purpose, label, token_hash, expires_at, details, made_by)'
                ." select workspace_id, 'invitation', 'Somebody', 'nobody-knows', '2099-01-01 00:00:00',"
                ." '{\"role\":\"assistant\",\"squads\":[],\"athletes\":[]}', id from users where role = 'coach'",
        );
        $pdo->exec("update seasons set state = 'closed'");
        $processes = array_map(
            fn (int $which): Process => $live->run(['-r', self::SCRIPT, (string) $which, $live->folder, (string) self::ROUNDS]),
            [0, 1],
        );
        array_map(fn (Process $process) => $process->start(), $processes);
        $said = [];
        foreach ($processes as $process) {
            $this->assertSame(0, $process->wait(), $process->getErrorOutput().$process->getOutput());
            foreach (json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR) as $name => $how) {
                $said[$name][] = $how;
            }
        }
        foreach (['step back', 'a link used', 'a sheet edited', 'a season opened'] as $name) {
            $this->assertEqualsCanonicalizing(['done', 'refused'], $said[$name], $name.': '.$processes[0]->getErrorOutput());
        }
        // Sent twice it is one and the same, and told so to both.
        $this->assertSame(['done', 'done'], $said['the same decision sent twice']);
        $count = fn (string $of): int => (int) $pdo->query("select count(*) from {$of}")->fetchColumn();
        $this->assertSame(1, $count("decisions where id = '0198aaaa-0000-7000-8000-00000000dec1'"));
        $this->assertSame(1, $count("users where name like 'Person %'"));
        $this->assertSame(5 * self::ROUNDS + 2 * 5 * self::ROUNDS, $count("rep_events where cast(id as text) like '0198bbbb%'"));
        $tapped = 'exists (select 1 from rep_events where sheet_id = sheets.id)';
        $this->assertSame(0, $count("sheets where state = 'called_off' and {$tapped}"), $processes[0]->getErrorOutput());
        $standing = "training_sessions where title = 'Called off' and state = 'planned'";
        $this->assertSame(self::ROUNDS, $count($standing), 'Counted in, each of them took place.');
        $this->assertSame(0, $live->artisan('augendo:rebuild')[0], 'Totals are what the taps come to.');
        $live->drop();
    }
}
