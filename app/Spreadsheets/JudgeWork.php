<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\Athletes\Athlete;
use App\Courtside\DailyTotals;
use App\Limits\AthleteLoads;
use App\Records\Alone;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Spreadsheets\CellFault;
use Augendo\Core\Spreadsheets\Cells;
use Augendo\Core\Spreadsheets\Column;
use Augendo\Core\Spreadsheets\DateOrder;
use Augendo\Core\Spreadsheets\RowFault;
use Augendo\Core\Spreadsheets\Verdict;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Which rows are work that is not on record yet, each priced for its athlete on its day. */
final class JudgeWork
{
    private const OLDEST_DAYS = 3653;

    private const AT_ONCE = 500;

    /** @var array<string, string>|null skill ids by the word */
    private ?array $words = null;

    public function __construct(private readonly Library $library, private readonly AthleteLoads $loads) {}

    /** @return array<string, mixed> what was found out about the whole file */
    public function judge(Import $import, ?DateOrder $told): array
    {
        $rows = new ImportRows($import);
        $known = KnownNames::of($import->maker);
        $choices = $import->choices();
        $today = $import->maker->workspace->today();
        $unknown = ['skills' => [], 'athletes' => []];
        $unusable = $leftOut = $byDay = [];
        foreach ($rows->cells() as $line => $cells) {
            $row = $choices->read($cells, $told);
            try {
                $day = $row->day(Column::Day, Day::fromOrdinal($today->ordinal - self::OLDEST_DAYS), $today);
                $athlete = $this->athlete($row, $known, $choices->athletes, $unknown['athletes']);
                $skill = $this->skill($row, $choices->skills, $unknown['skills']);
                if ($athlete === null || $skill === null) {
                    $leftOut[] = $line;

                    continue;
                }
                $byDay[$day->iso()][] = [$line, $athlete, $this->set($import, $row, $day, $athlete, $skill), $row->place()];
            } catch (RowFault $fault) {
                $unusable[ImportRows::why($fault)][] = $line;
            }
        }
        $rows->judge($leftOut, Verdict::LeftOut);
        foreach ($unusable as $why => $lines) {
            $rows->judge($lines, Verdict::Unusable, $why);
        }
        $this->price($import, $byDay);
        $this->compare($import, $rows);
        $ids = DB::table('import_sets')->where('import_id', $import->id)->distinct()->pluck('athlete_id')->all();

        return [
            'unknown_skills' => ImportRows::mostFrequent($unknown['skills']),
            'unknown_athletes' => ImportRows::mostFrequent($unknown['athletes']),
            'athletes' => count($ids),
            'revision' => self::revision($ids),
        ];
    }

    /**
     * What the record of some athletes was like: any change of it raises the sum.
     *
     * @param  list<string>  $athleteIds
     */
    public static function revision(array $athleteIds): int
    {
        return array_sum(array_map(
            fn (array $some): int => (int) DB::table('athletes')->whereIn('id', $some)->sum('revision'),
            array_chunk($athleteIds, self::AT_ONCE),
        ));
    }

    /**
     * @param  array<string, string|null>  $chosen  ids by name
     * @param  array<string, int>  $unknown  how often by name
     * @return Athlete|null null: somebody said to leave them out
     *
     * @throws RowFault
     */
    private function athlete(Cells $row, KnownNames $known, array $chosen, array &$unknown): ?Athlete
    {
        [$given, $family] = $row->name();
        $name = trim("{$given} {$family}");
        if (array_key_exists($name, $chosen)) {
            return $chosen[$name] === null
                ? null
                : $known->withId($chosen[$name]) ?? throw new RowFault(Column::Name, CellFault::UnknownName, $name);
        }
        $named = $known->named($given, $family);
        if (count($named) === 1) {
            return $named[0];
        }
        $unknown[$name] = ($unknown[$name] ?? 0) + 1;
        throw new RowFault(Column::Name, $named === [] ? CellFault::UnknownName : CellFault::TwoOfThatName, $name);
    }

    /**
     * @param  array<string, string|null>  $chosen  ids by word
     * @param  array<string, int>  $unknown  how often by word
     * @return string|null null: somebody said to leave it out
     *
     * @throws RowFault
     */
    private function skill(Cells $row, array $chosen, array &$unknown): ?string
    {
        $word = $row->text(Column::Skill);
        if ($word === '') {
            throw new RowFault(Column::Skill, CellFault::Missing, '');
        }
        if (array_key_exists($word, $chosen)) {
            return $chosen[$word];
        }
        $plain = rtrim(Str::lower(str_replace('-', ' ', $word)), 's');
        $skill = $this->words()[$plain] ?? null;
        if ($skill === null) {
            $unknown[$word] = ($unknown[$word] ?? 0) + 1;
            throw new RowFault(Column::Skill, CellFault::UnknownWord, $word);
        }

        return $skill;
    }

    /** @return array<string, string> */
    private function words(): array
    {
        if ($this->words === null) {
            $this->words = [];
            foreach ($this->library->skillNames() as $id => $name) {
                foreach ([$id, $name] as $word) {
                    $this->words[rtrim(Str::lower(str_replace('-', ' ', $word)), 's')] = $id;
                }
            }
        }

        return $this->words;
    }

    /** @throws RowFault */
    private function set(Import $import, Cells $row, Day $day, Athlete $athlete, string $skill): WorkSet
    {
        return WorkSet::ordinarily(
            $day,
            "import {$import->id} {$day->iso()}",
            $this->library->skills()[$skill],
            $row->reps(),
            $row->effort(),
            $row->distanceM(),
            $row->side($athlete->throwing_side),
        );
    }

    /** @param  array<string, list<array{0: int, 1: Athlete, 2: WorkSet, 3: string}>>  $byDay */
    private function price(Import $import, array $byDay): void
    {
        $done = 0;
        $priced = [];
        foreach ($byDay as $iso => $sets) {
            $athletes = array_column(array_map(fn (array $of): Athlete => $of[1], $sets), null, 'id');
            $profiles = $this->loads->profiles(array_values($athletes), Day::of($iso));
            foreach ($sets as [$line, $athlete, $set, $place]) {
                $priced[] = [
                    'import_id' => $import->id, 'line' => $line, 'client_id' => (string) Str::uuid7(), 'athlete_id' => $athlete->id,
                    'day' => $iso, 'session' => $set->session, 'source' => $place, 'skill' => $set->skill->id, 'reps' => $set->reps,
                    'effort' => $set->effort, 'object' => $set->skill->ordinaryImplement()->value, 'implement' => $set->implement->value,
                    'side' => $set->side->value, 'distance_m' => $set->distanceM, 'legs' => $set->legs,
                    ...DailyTotals::toColumns((new SetCost($profiles[$athlete->id]))->of($set)),
                ];
            }
            if (count($priced) >= self::AT_ONCE) {
                $done += $this->write($import, $priced, $done);
                $priced = [];
            }
        }
        $this->write($import, $priced, $done);
    }

    /** @param  list<array<string, mixed>>  $priced */
    private function write(Import $import, array $priced, int $done): int
    {
        Alone::inClub($import->workspace_id, function () use ($import, $priced, $done): void {
            foreach (array_chunk($priced, self::AT_ONCE) as $some) {
                DB::table('import_sets')->insert($some);
            }
            $import->update(['done' => min($import->rows, $done + count($priced))]);
        });

        return count($priced);
    }

    /** The work of one athlete, day, skill and side, in the file and on record. */
    private function compare(Import $import, ImportRows $rows): void
    {
        $rows->query()
            ->whereIn('line', DB::table('import_sets')->where('import_id', $import->id)->select('line'))
            ->update(['verdict' => Verdict::Fresh->value]);
        $groups = DB::table('import_sets as s')
            ->where('import_id', $import->id)
            ->groupBy('s.athlete_id', 's.day', 's.skill', 's.side')
            ->select('s.athlete_id', 's.day', 's.skill', 's.side')
            ->selectRaw('sum(s.reps) as in_file')
            ->selectSub(
                DB::table('work_sets as w')
                    ->whereColumn('w.athlete_id', 's.athlete_id')
                    ->whereColumn('w.day', 's.day')
                    ->whereColumn('w.skill', 's.skill')
                    ->whereColumn('w.side', 's.side')
                    ->where('w.source', '!=', 'declared')
                    ->selectRaw('coalesce(sum(w.reps), 0)'),
                'on_record',
            )
            ->get();
        $lines = [];
        foreach ($groups as $group) {
            $verdict = Verdict::ofWork((int) $group->on_record, (int) $group->in_file);
            if ($verdict === Verdict::Fresh) {
                continue;
            }
            $why = (string) json_encode(['on_record' => (int) $group->on_record, 'in_file' => (int) $group->in_file]);
            $of = DB::table('import_sets')
                ->where('import_id', $import->id)
                ->where('athlete_id', $group->athlete_id)
                ->where('day', $group->day)
                ->where('skill', $group->skill)
                ->where('side', $group->side)
                ->pluck('line')
                ->all();
            $lines[$verdict->value][$why] = [...$lines[$verdict->value][$why] ?? [], ...$of];
        }
        foreach ($lines as $verdict => $by) {
            foreach ($by as $why => $of) {
                $rows->judge($of, Verdict::from($verdict), $why);
            }
        }
    }
}
