<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\Evaluator;
use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A case that cannot be used says what is wrong and where. */
final class CaseErrorsTest extends TestCase
{
    /** @return iterable<string, array{string, Closure(\stdClass): mixed, string, string}> */
    public static function mistakes(): iterable
    {
        yield 'a typing mistake' => ['load', fn ($c) => $c->histroy = [], 'unknown_key', '/histroy'];
        yield 'a key inside' => ['load', fn ($c) => $c->history[0]->distance = 3, 'unknown_key', '/history/0/distance'];
        yield 'a parameter of another kind' => ['load', fn ($c) => $c->limits[0]->max_days = 3, 'unknown_key', '/limits/0/max_days'];
        yield 'a key is missing' => ['load', function ($c) {
            unset($c->limits[0]->source);
        }, 'missing_key', '/limits/0/source'];
        yield 'no kind' => ['load', function ($c) {
            unset($c->kind);
        }, 'missing_key', '/kind'];
        yield 'another kind' => ['load', fn ($c) => $c->kind = 'lode', 'out_of_range', '/kind'];
        yield 'a word for a number' => ['load', fn ($c) => $c->history[0]->reps = 'ten', 'wrong_type', '/history/0/reps'];
        yield 'half a repetition' => ['load', fn ($c) => $c->history[0]->reps = 2.5, 'wrong_type', '/history/0/reps'];
        yield 'fewer than none' => ['load', fn ($c) => $c->history[0]->reps = -1, 'out_of_range', '/history/0/reps'];
        yield 'more than all' => ['load', fn ($c) => $c->history[0]->effort = 1.01, 'out_of_range', '/history/0/effort'];
        yield 'an unlisted word' => ['load', fn ($c) => $c->history[0]->object = 'ball', 'out_of_range', '/history/0/object'];
        yield 'a day that is none' => ['load', fn ($c) => $c->history[0]->date = '2027-02-30', 'wrong_type', '/history/0/date'];
        yield 'history of tomorrow' => ['load', fn ($c) => $c->history[0]->date = '2099-01-01', 'future_date', '/history/0/date'];
        yield 'a plan of yesterday' => [
            'load',
            fn ($c) => $c->plan[] = (object) (['date' => '2001-01-01'] + (array) $c->history[0]),
            'future_date',
            '',
        ];
        yield 'a skill nobody described' => ['load', fn ($c) => $c->history[0]->skill = 'yodel', 'unknown_reference', '/history/0/skill'];
        yield 'a filter on such a skill' => [
            'load',
            fn ($c) => $c->limits[0]->filter = (object) ['skills' => ['yodel']],
            'unknown_reference',
            '/limits/0/filter/skills/0',
        ];
        yield 'a throw of no length' => [
            'load',
            fn ($c) => $c->athlete->longest_throw_m = (object) [array_key_first((array) $c->skills) => 0],
            'out_of_range',
            '',
        ];
        yield 'nothing sore at four' => [
            'readiness',
            fn ($c) => [$c->reports[0]->site = 'none', $c->reports[0]->score = 4],
            'out_of_range',
            '/reports/0/score',
        ];
        yield 'a report of tomorrow' => [
            'readiness',
            fn ($c) => $c->reports[0]->at = '2099-01-01T08:00:00Z',
            'future_date',
            '/reports/0/at',
        ];
        yield 'a time without an offset' => [
            'readiness',
            fn ($c) => $c->reports[0]->at = '2027-05-03T08:00:00',
            'wrong_type',
            '/reports/0/at',
        ];
        yield 'a rep of tomorrow' => ['gate', fn ($c) => $c->reps[0]->at = '2099-01-01T08:00:00Z', 'future_date', '/reps/0/at'];
        yield 'good is yes, no or not seen' => ['gate', fn ($c) => $c->reps[0]->good = 'yes', 'wrong_type', '/reps/0/good'];
        yield 'a ball of no mass' => ['flight', fn ($c) => $c->ball->mass_kg = 0, 'out_of_range', '/ball/mass_kg'];
        yield 'air nobody breathes' => ['flight', fn ($c) => $c->air->altitude_m = 9001, 'out_of_range', '/air/altitude_m'];
        yield 'steeper than upright' => ['flight', fn ($c) => $c->release->elevation_deg = 91, 'out_of_range', '/release/elevation_deg'];
        yield 'a spin about one axis' => ['flight', fn ($c) => $c->release->spin_rad_s = [1], 'out_of_range', '/release/spin_rad_s'];
        yield 'it never comes down' => ['flight', fn ($c) => $c->ground_m = 90, 'out_of_range', '/release'];
        yield 'an elevation for a window' => [
            'serve_window',
            fn ($c) => $c->release->elevation_deg = 3,
            'unknown_key',
            '/release/elevation_deg',
        ];
        yield 'left is right of right' => ['serve_window', fn ($c) => $c->court->left_m = -5, 'out_of_range', '/court/left_m'];
        yield 'a scatter of nothing' => ['serve_window', fn ($c) => $c->scatter->across_deg = 0, 'out_of_range', '/scatter/across_deg'];
        yield 'further than anybody throws' => ['throw_check', fn ($c) => $c->distance_m = 900, 'out_of_range', '/distance_m'];
        yield 'a joint nobody has' => ['frame', fn ($c) => $c->landmarks->left_ear = [1, 2], 'unknown_key', '/landmarks/left_ear'];
        yield 'a point in space' => ['frame', fn ($c) => $c->landmarks->ball = [1, 2, 3], 'out_of_range', '/landmarks/ball'];
        yield 'a plumb line of one point' => ['frame', fn ($c) => $c->plumb = [[1, 2], [1, 2]], 'out_of_range', '/plumb'];
        yield 'a scale of nothing' => ['frame', fn ($c) => $c->scale->metres = 0, 'out_of_range', '/scale/metres'];
        yield 'a stage that is not there' => ['return', fn ($c) => $c->stage = 99, 'out_of_range', '/stage'];
    }

    /** @param  Closure(\stdClass): mixed  $break */
    #[DataProvider('mistakes')]
    public function test_the_mistake_is_named(string $kind, Closure $break, string $code, string $path): void
    {
        $example = [
            'load' => 'load-one-arm-two-sports',
            'readiness' => 'readiness-eased-and-rising',
            'gate' => 'gate-advance',
            'return' => 'return-sore-next-morning',
            'flight' => 'flight-with-spin',
            'serve_window' => 'serve-window',
            'throw_check' => 'throw-check',
            'frame' => 'frame',
        ][$kind];
        $case = json_decode((string) file_get_contents(__DIR__."/examples/{$example}.json"), flags: JSON_THROW_ON_ERROR)->case;
        $break($case);
        $error = Evaluator::answer((string) json_encode($case))['error'] ?? [];

        $this->assertSame($code, $error['code'] ?? null, (string) json_encode($error));
        if ($path !== '') {
            $this->assertSame($path, $error['path']);
        }
        $this->assertNotSame('', $error['message']);
    }

    public function test_a_line_that_is_not_json(): void
    {
        $this->assertSame(
            ['invalid_json', ''],
            array_values(array_intersect_key(Evaluator::answer('{"kind": ')['error'], ['code' => 0, 'path' => 0])),
        );
        $this->assertSame('wrong_type', Evaluator::answer('[1]')['error']['code']);
    }
}
