<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use Augendo\Core\Library\Handedness;
use Augendo\Core\Spreadsheets\Cells;
use Augendo\Core\Spreadsheets\Column;
use Augendo\Core\Spreadsheets\DateOrder;
use Augendo\Core\Spreadsheets\Kind;
use Augendo\Core\Spreadsheets\LengthUnit;

/** What somebody said about the columns of a spreadsheet and the words in it. */
final readonly class ImportChoices
{
    /**
     * @param  array<int, Column>  $columns  by place in the row
     * @param  array<string, string|null>  $skills  by the word in the file; null: these rows are left out
     * @param  array<string, string|null>  $athletes  ids by the name in the file; null: likewise
     */
    private function __construct(
        public array $columns,
        public ?DateOrder $dateOrder,
        public ?LengthUnit $unit,
        public array $skills,
        public array $athletes,
        public ?int $squadId,
        public ?Handedness $throwingSide,
    ) {}

    /**
     * @param  list<string>  $header
     * @param  array<string, mixed>  $kept
     */
    public static function of(Kind $kind, array $header, array $kept): self
    {
        $columns = isset($kept['columns'])
            ? array_filter(array_map(
                fn (?string $column): ?Column => $column === null ? null : Column::from($column),
                array_values($kept['columns']),
            ))
            : Column::guess($kind, $header);
        $distance = array_search(Column::Distance, $columns, true);

        return new self(
            columns: $columns,
            dateOrder: DateOrder::tryFrom((string) ($kept['date_order'] ?? '')),
            unit: LengthUnit::tryFrom((string) ($kept['distance_unit'] ?? ''))
                ?? ($distance === false ? null : LengthUnit::told($header[$distance])),
            skills: $kept['skills'] ?? [],
            athletes: $kept['athletes'] ?? [],
            squadId: $kept['squad_id'] ?? null,
            throwingSide: Handedness::tryFrom((string) ($kept['throwing_side'] ?? '')),
        );
    }

    /** @param  list<string>  $cells */
    public function read(array $cells, ?DateOrder $told): Cells
    {
        return new Cells($cells, $this->columns, $this->dateOrder ?? $told ?? DateOrder::DayFirst, $this->unit ?? LengthUnit::Metres);
    }

    public function has(Column $column): bool
    {
        return in_array($column, $this->columns, true);
    }
}
