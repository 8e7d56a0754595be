<?php

declare(strict_types=1);

namespace Augendo\Core\Spreadsheets;

/** What the rows of a spreadsheet are. */
enum Kind: string
{
    case Athletes = 'athletes';
    case Work = 'work';

    /** @return list<Column> that a row may have, as they are offered */
    public function columns(): array
    {
        return match ($this) {
            self::Athletes => [Column::Name, Column::GivenName, Column::FamilyName, Column::BirthDate, Column::ThrowingSide],
            self::Work => [
                Column::Day, Column::Name, Column::GivenName, Column::FamilyName, Column::Skill, Column::Sets, Column::Reps,
                Column::Effort, Column::Distance, Column::Side, Column::Where,
            ],
        };
    }

    /**
     * @param  list<Column>  $chosen
     * @return list<Column> without which no row can be used
     */
    public function missing(array $chosen): array
    {
        $named = in_array(Column::Name, $chosen, true)
            || (in_array(Column::GivenName, $chosen, true) && in_array(Column::FamilyName, $chosen, true));
        $needed = match ($this) {
            self::Athletes => [],
            self::Work => [Column::Day, Column::Skill, Column::Reps],
        };
        $missing = array_values(array_filter($needed, fn (Column $column): bool => ! in_array($column, $chosen, true)));

        return $named ? $missing : [Column::Name, ...$missing];
    }
}
