<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Evaluator;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\Library;
use Augendo\Core\Returning\ProgrammeReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Of every figure that a file or a case may hold the edge itself is taken, and what lies beyond it is refused with its place. */
final class FileEdgesTest extends TestCase
{
    /** @return iterable<string, array{string, string, list<int|float>, list<int|float>}> example, path, taken, refused */
    public static function cases(): iterable
    {
        foreach ([
            ['load-step-and-ratio', '/history/0/reps', [0, 1], [-1]],
            ['load-step-and-ratio', '/history/0/effort', [0, 1], [-0.001, 1.001]],
            ['load-step-and-ratio', '/history/0/legs', [1, 2], [0, 3]],
            ['load-step-and-ratio', '/history/0/distance_m', [0, 0.01], [-1]],
            ['load-step-and-ratio', '/history/0/mass_kg', [0.01], [0]],
            ['load-step-and-ratio', '/history/0/drop_cm', [0, 200], [-1]],
            ['gate-advance', '/gate/window_sessions', [1, 2], [0]],
            ['gate-advance', '/gate/min_reps', [0, 1], [-1]],
            ['gate-advance', '/gate/min_sessions', [0, 1], [-1]],
            ['gate-advance', '/gate/streak', [0, 1], [-1]],
            ['gate-advance', '/gate/safety_window_reps', [1, 2], [0]],
            ['gate-advance', '/gate/max_safety_faults', [0, 1], [-1]],
            ['gate-advance', '/gate/soreness_days', [1, 2], [0]],
            ['gate-advance', '/gate/soreness_max', [0, 10], [-1, 11]],
            ['gate-advance', '/gate/max_age_days', [1, 2], [0]],
            ['gate-advance', '/gate/target_rate', [0, 1], [-0.001, 1.001]],
            ['gate-advance', '/gate/lower_bound', [0, 1], [-0.001, 1.001]],
            ['gate-advance', '/gate/max_fade', [0, 1], [-0.001, 1.001]],
            ['gate-advance', '/gate/step_back_rate', [0, 1], [-0.001, 1.001]],
            ['gate-advance', '/gate/confidence', [0.001, 0.999], [0, 1, -0.1, 1.1]],
            ['gate-advance', '/soreness/0/score', [0, 10], [-1, 11]],
            ['readiness-eased-and-rising', '/reports/0/score', [0, 1, 10], [-1, 11]],
            ['return-advance-needs-clearance-next', '/stages/0/passes', [1, 2], [0]],
            ['return-advance-needs-clearance-next', '/stages/0/min_gap_days', [0, 1], [-1]],
            ['return-advance-needs-clearance-next', '/attempts/0/during', [0, 10], [-1, 11]],
            ['return-advance-needs-clearance-next', '/attempts/0/next_morning', [0, 10], [-1, 11]],
            ['return-advance-needs-clearance-next', '/attempts/0/stage', [0, 5], [-1, 6]],
            ['return-advance-needs-clearance-next', '/stage', [0, 5], [-1, 6]],
            ['return-advance-needs-clearance-next', '/clearances/0/through_stage', [0, 5], [-1, 6]],
        ] as [$example, $path, $taken, $refused]) {
            yield "{$example} {$path}" => [$example, $path, $taken, $refused];
        }
    }

    /**
     * @param  list<int|float>  $taken
     * @param  list<int|float>  $refused
     */
    #[DataProvider('cases')]
    public function test_a_case_takes_the_edge_and_refuses_what_lies_beyond(
        string $example, string $path, array $taken, array $refused,
    ): void {
        $case = json_decode((string) file_get_contents(__DIR__."/examples/{$example}.json"))->case;
        foreach ($taken as $value) {
            $answer = Evaluator::answer(self::with($case, $path, $value));
            $this->assertArrayNotHasKey('error', $answer, "{$value}: ".json_encode($answer));
        }
        foreach ($refused as $value) {
            $answer = Evaluator::answer(self::with($case, $path, $value));
            $this->assertSame(['out_of_range', $path], [$answer['error']['code'] ?? null, $answer['error']['path'] ?? null], "{$value}");
        }
    }

    /** @return iterable<string, array{string, string, list<int|float>, list<int|float>}> folder and file, path, taken, refused */
    public static function files(): iterable
    {
        $throw = 'ladders/overhand-throw';
        $return = 'returns/serves-effort-first';
        foreach ([
            [$throw, '/version', [1, 9], [0]],
            [$throw, '/rungs/0/blocks/0/sets', [1, 20], [0, 21]],
            [$throw, '/rungs/0/blocks/0/reps', [200], [-1, 201]],
            [$throw, '/rungs/0/blocks/0/rest_s', [0, 900], [-1, 901]],
            [$throw, '/rungs/0/blocks/0/hold_s', [1, 120], [0, 121]],
            [$throw, '/rungs/0/blocks/0/legs', [1, 2], [0, 3]],
            [$throw, '/rungs/0/blocks/0/drop_cm', [0, 200], [-1, 201]],
            [$throw, '/rungs/0/blocks/0/effort', [1], [-0.1, 1.1]],
            [$return, '/version', [1, 9], [0]],
            [$return, '/stages/0/sets', [1, 20], [0, 21]],
            [$return, '/stages/0/reps', [1, 200], [0, 201]],
            [$return, '/stages/0/effort', [0, 1], [-0.1, 1.1]],
            [$return, '/stages/0/legs', [1, 2], [0, 3]],
            [$return, '/stages/0/rest_s', [0, 900], [-1, 901]],
            [$return, '/stages/0/passes', [1, 9], [0, 10]],
            [$return, '/stages/0/min_gap_days', [0, 30], [-1, 31]],
        ] as [$file, $path, $taken, $refused]) {
            yield "{$file} {$path}" => [$file, $path, $taken, $refused];
        }
    }

    /**
     * @param  list<int|float>  $taken
     * @param  list<int|float>  $refused
     */
    #[DataProvider('files')]
    public function test_a_library_file_takes_the_edge_and_refuses_what_lies_beyond(
        string $file, string $path, array $taken, array $refused,
    ): void {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $text = json_decode((string) file_get_contents($library->path("{$file}.json")));
        $read = function (int|float $value) use ($library, $file, $text, $path): ?string {
            $node = Node::parse(self::with($text, $path, $value));
            try {
                str_starts_with($file, 'ladders/') ? $library->readLadder($node) : ProgrammeReader::read($node);
            } catch (CaseError $error) {
                return $error->path;
            }

            return null;
        };
        foreach ($taken as $value) {
            $this->assertNull($read($value), "{$value} is taken");
        }
        foreach ($refused as $value) {
            $this->assertSame($path, $read($value), "{$value} is refused");
        }
    }

    public function test_a_stage_at_full_effort_stays_under_forty_repetitions(): void
    {
        $text = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/library/returns/serves-effort-first.json'));
        $text->stages[0]->effort = 1;
        $read = function (int $sets, int $reps) use ($text): bool {
            [$text->stages[0]->sets, $text->stages[0]->reps] = [$sets, $reps];
            try {
                ProgrammeReader::read(Node::parse((string) json_encode($text)));
            } catch (CaseError $error) {
                $this->assertSame('/stages/0/reps', $error->path);
                $this->assertStringContainsString('this one has '.$sets * $reps.'.', $error->getMessage());

                return false;
            }

            return true;
        };
        $this->assertSame([true, false, false, true], [$read(3, 13), $read(4, 10), $read(1, 40), $read(1, 39)]);
    }

    public function test_minutes_times_how_hard_it_felt_add_up_by_day(): void
    {
        $case = json_decode((string) file_get_contents(__DIR__.'/examples/load-step-and-ratio.json'))->case;
        $case->sessions = [
            (object) ['date' => $case->on, 'minutes' => 60, 'rpe' => 5], (object) ['date' => $case->on, 'minutes' => 30, 'rpe' => 8],
        ];
        $days = array_column(Evaluator::answer((string) json_encode($case))['days'], 'internal', 'date');
        $this->assertEqualsWithDelta(540.0, $days[$case->on], 1e-9);
    }

    /** @return string the same JSON with one figure put in */
    private static function with(\stdClass $of, string $path, int|float $value): string
    {
        $of = json_decode((string) json_encode($of));
        $at = &$of;
        foreach (explode('/', substr($path, 1)) as $key) {
            if (is_array($at)) {
                $at = &$at[(int) $key];
            } else {
                $at = &$at->{$key};
            }
        }
        $at = $value;

        return (string) json_encode($of);
    }
}
