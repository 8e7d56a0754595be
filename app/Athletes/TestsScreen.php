<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\MeasuredView;
use App\Athletes\Answers\SideMeasureView;
use App\Athletes\Answers\TestsView;
use App\Athletes\Answers\TestView;
use App\Gates\Placement;
use App\Wording\TestWording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\SideMeasure;
use Augendo\Core\Library\TestTable;
use Illuminate\Support\Collection;

/** How far, how fast, how high; how strong and how far either side goes; and when that was last asked. */
final class TestsScreen
{
    private const SHOWN = 8;

    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, Day $today): TestsView
    {
        $table = $this->library->tests();

        return new TestsView(
            athlete: Cards::athlete($athlete, $today),
            date: $today->iso(),
            tests: $this->tests($athlete, $table, $today),
            sides: array_values(array_map(
                fn (SideMeasure $of): SideMeasureView => $this->side($athlete, $table, $of, $today),
                $table->sides,
            )),
            source: $table->source,
        );
    }

    /** @return list<TestView> */
    private function tests(Athlete $athlete, TestTable $table, Day $today): array
    {
        $ladders = Placement::standing()->where('athlete_id', $athlete->id)->orderBy('entered_at')->pluck('ladder')->unique();
        $mayBe = $this->library->doses()->at($athlete->ageOn($today))->askForFullEffort();
        $tests = [];
        foreach ($ladders->intersect($this->library->ladderIds()) as $id) {
            $ladder = $this->library->ladder($id);
            $protocol = $table->for($ladder->skill);
            if ($protocol === null) {
                continue;
            }
            $taken = TestsTaken::of($athlete->id, $ladder->skill->id, $protocol, $today);
            $last = TestsTaken::lastThatHolds($athlete->id, $ladder->skill->id, $protocol, $today);
            $tests[] = new TestView(
                skill: $ladder->skill->id,
                ladder_name: $ladder->name,
                name: $protocol->name,
                measures: $protocol->measures,
                unit: TestWording::unit($protocol->measures),
                text: $protocol->text,
                due: $mayBe ? TestWording::due($table, $last, $taken->isNotEmpty(), $today) : TestWording::tooYoung(),
                lapsed: $last === null && $taken->isNotEmpty(),
                measured: self::measured($taken),
            );
        }

        return $tests;
    }

    private function side(Athlete $athlete, TestTable $table, SideMeasure $of, Day $today): SideMeasureView
    {
        $taken = TestsTaken::body($athlete->id, $of->id, $today)->orderByDesc('measured_on')->orderByDesc('id')->get();
        $left = $taken->firstWhere('side', 'left');
        $right = $taken->firstWhere('side', 'right');
        $behind = $left === null || $right === null ? null : $table->behind((float) $left->value, (float) $right->value);

        return new SideMeasureView(
            id: $of->id,
            name: $of->name,
            unit: $of->unit,
            text: $of->text,
            differs: $behind === null || $left === null || $right === null
                ? null
                : TestWording::behind($left->value < $right->value ? 'left' : 'right', $behind),
            measured: self::measured($taken),
        );
    }

    /**
     * @param  Collection<int, \stdClass>  $taken
     * @return list<MeasuredView>
     */
    private static function measured(Collection $taken): array
    {
        return $taken->take(self::SHOWN)->map(fn (\stdClass $row): MeasuredView => new MeasuredView(
            id: (string) $row->id,
            date: substr($row->measured_on, 0, 10),
            value: (float) $row->value,
            side: $row->side ?? null,
        ))->values()->all();
    }
}
