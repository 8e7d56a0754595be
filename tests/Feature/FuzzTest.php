<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Health\SorenessReport;
use App\People\Link;
use App\People\User;
use App\Returns\PlayReturn;
use App\Seasons\Season;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\Fuzz\Fuzzer;
use Tests\TestCase;

/** Whatever is sent, nothing breaks, and every refusal says what is wrong. A small run of bench/fuzz.php, which does twenty thousand. */
final class FuzzTest extends TestCase
{
    private const REQUESTS = 500;

    #[Group('once')]
    public function test_no_request_breaks_anything_and_every_refusal_names_its_place(): void
    {
        $seed = (int) (getenv('FUZZ_SEED') ?: 20_261_126);
        $requests = (int) (getenv('FUZZ_REQUESTS') ?: self::REQUESTS);
        $athletes = [$this->athlete('Mira'), $this->athlete('Luca'), $this->athlete('Noor')];
        $this->actingAs($this->coach());
        $link = $this->postJson("/api/athletes/{$athletes[0]->id}/links", ['label' => 'phone'])->json('token');
        $fuzzer = new Fuzzer($seed, [
            'athlete' => array_column($athletes, 'id'),
            'sheet' => array_map(fn (string $name): string => $this->sheetOf($name)->id, ['Mira', 'Luca', 'Noor']),
            'session' => [$this->sheetOf('Mira')->training_session_id],
            'squad' => ['1'], 'return' => PlayReturn::query()->pluck('id')->all(),
            'attempt' => DB::table('return_attempts')->limit(3)->pluck('id')->all(),
            'report' => SorenessReport::query()->limit(3)->pluck('id')->all(),
            'fixture' => DB::table('fixtures')->limit(2)->pluck('id')->all(),
            'season' => Season::query()->pluck('id')->all(), 'ladder' => ['volleyball-float-serve', 'javelin-throw'],
            'limit' => ['arm-week:19-120:dominant', 'arm-week:17-18:dominant'],
            'day' => [$this->coach()->workspace->today()->iso()],
            'person' => User::query()->limit(4)->pluck('id')->map(strval(...))->all(),
            'link' => Link::query()->limit(2)->pluck('id')->map(strval(...))->all(), 'id' => ['1', '2'],
        ]);
        $routes = Fuzzer::routes();
        $wrong = [];
        $answered = [];
        for ($i = 0; $i < $requests; $i++) {
            // Every route in its turn, so that none is left out by chance.
            [$method, $pattern] = $routes[$i % count($routes)];
            [$method, $path, $body] = $fuzzer->request($method, $pattern);
            $role = $fuzzer->role();
            $raw = $method === 'GET' ? null : $fuzzer->raw();
            Cache::flush();
            $this->nobodySignedIn();
            $this->flushSession();
            $origin = $fuzzer->pick([...array_fill(0, 19, config('app.url')), '']);
            $this->withHeader('Referer', $origin);
            $answer = Fuzzer::apart(function () use ($role, $method, $path, $body, $raw, $link, $origin) {
                if ($role !== null) {
                    $this->actingAs($this->person($role));
                }
                $headers = [...(str_contains($path, '/link/') ? ['X-Link-Token' => $link] : []), 'Referer' => $origin];

                return $raw === null ? $this->json($method, $path, $body, $headers) : $this->call(
                    $method,
                    $path,
                    server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json', 'HTTP_REFERER' => $origin],
                    content: $raw,
                );
            });
            $answered[$answer->getStatusCode()] = ($answered[$answer->getStatusCode()] ?? 0) + 1;
            $what = Fuzzer::wrongWith($answer);
            if ($what !== null) {
                $wrong[] = "{$method} {$path} as "
                    .($role->value ?? 'nobody')
                    .' '
                    .substr((string) ($raw ?? json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR)), 0, 400)
                    ."\n    {$what}"
                    .(
                        $answer->exception === null
                            ? ''
                            : "\n    "
                                .$answer->exception::class
                                .': '
                                .substr($answer->exception->getMessage(), 0, 200)
                                .' at '
                                .$answer->exception
                                    ->getFile().':'.$answer->exception
                                    ->getLine()
                    );
            }
        }
        ksort($answered);
        if (getenv('FUZZ_REQUESTS') !== false) {
            fwrite(
                STDERR,
                "\nseed {$seed}, {$requests} requests, answers "
                    .json_encode($answered)
                    .', '
                    .count($wrong)
                    ." wrong\n"
                    .implode("\n", $wrong)
                    ."\n",
            );
        }
        $this->assertSame([], array_slice($wrong, 0, 20), "seed {$seed}");
        $this->assertGreaterThan(0.05 * $requests, $answered[200] ?? 0, 'some of it has to get through, or nothing is tried');
    }
}
