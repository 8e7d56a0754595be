<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use Augendo\Core\Spreadsheets\Column;
use Augendo\Core\Spreadsheets\DateOrder;
use Augendo\Core\Spreadsheets\RowFault;
use Augendo\Core\Spreadsheets\Verdict;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The rows of one spreadsheet, and what was found out about each. */
final readonly class ImportRows
{
    /** Lines a statement names: fewer than either database takes variables. */
    private const AT_ONCE = 500;

    /** Different words that are asked about; a column with more is the wrong one. */
    private const MOST_WORDS = 200;

    public function __construct(private Import $import) {}

    public function query(): Builder
    {
        return DB::table('import_rows')->where('import_id', $this->import->id);
    }

    /** @return iterable<int, list<string>> cells by line, in order */
    public function cells(): iterable
    {
        foreach ($this->query()->orderBy('line')->select('line', 'cells')->cursor() as $row) {
            yield (int) $row->line => json_decode($row->cells, true);
        }
    }

    /**
     * Which number of its dates is the day.
     *
     * @return DateOrder|null|false as DateOrder::told
     */
    public function dateOrder(ImportChoices $choices): DateOrder|null|false
    {
        $isDate = fn (Column $column): bool => in_array($column, [Column::Day, Column::BirthDate], true);
        $at = array_keys(array_filter($choices->columns, $isDate));
        $dates = function () use ($at): iterable {
            foreach ($at === [] ? [] : $this->cells() as $cells) {
                yield $cells[$at[0]] ?? '';
            }
        };

        return DateOrder::told($dates());
    }

    /** @param  list<int>  $lines */
    public function judge(array $lines, Verdict $verdict, ?string $why = null): void
    {
        foreach (array_chunk($lines, self::AT_ONCE) as $some) {
            $this->query()->whereIn('line', $some)->update(['verdict' => $verdict->value, 'why' => $why]);
        }
    }

    /** Nothing is judged yet. */
    public function forget(): void
    {
        DB::table('import_sets')->where('import_id', $this->import->id)->delete();
        $this->query()->update(['verdict' => null, 'why' => null]);
    }

    /** @return array<string, int> rows by verdict */
    public function counts(): array
    {
        $counts = $this->query()->groupBy('verdict')->selectRaw('verdict, count(*) as n')->pluck('n', 'verdict');

        return $counts->map(fn ($n): int => (int) $n)->all();
    }

    public static function why(RowFault $fault): string
    {
        return (string) json_encode(['column' => $fault->column->value, 'fault' => $fault->fault->value, 'cell' => $fault->cell]);
    }

    /**
     * @param  array<string, int>  $words  how often by the word
     * @return array<string, int> the most frequent first
     */
    public static function mostFrequent(array $words): array
    {
        arsort($words);

        return array_slice($words, 0, self::MOST_WORDS, true);
    }
}
