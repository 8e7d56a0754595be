<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use Augendo\Core\Day;
use Augendo\Core\Spreadsheets\CellFault;
use Augendo\Core\Spreadsheets\Column;
use Augendo\Core\Spreadsheets\DateOrder;
use Augendo\Core\Spreadsheets\RowFault;
use Augendo\Core\Spreadsheets\Verdict;

/** Who in a list is new to the club, who is there already, and of whom it says something else. */
final class JudgeAthletes
{
    private const OLDEST = 100 * 366;

    /** @return array<string, mixed> what was found out about the whole file */
    public function judge(Import $import, ?DateOrder $told): array
    {
        $rows = new ImportRows($import);
        $known = KnownNames::of($import->maker);
        $seen = [];
        $lines = [];
        foreach ($rows->cells() as $line => $cells) {
            try {
                $person = $this->person($import, $cells, $told);
                $name = KnownNames::plain($person['given_name'], $person['family_name']);
                if (isset($seen[$name])) {
                    throw new RowFault(Column::Name, CellFault::TwiceInTheFile, "{$person['given_name']} {$person['family_name']}");
                }
                $seen[$name] = true;
                $same = $known->named($person['given_name'], $person['family_name'])[0] ?? null;
                $born = $same?->birth_date === null ? null : substr((string) $same->birth_date, 0, 10);
                $verdict = $same === null ? Verdict::Fresh : Verdict::ofPerson($born, $person['birth_date']);
                $lines[$verdict->value][(string) json_encode($verdict === Verdict::Differs ? ['born' => $born] : null)][] = $line;
            } catch (RowFault $fault) {
                $lines[Verdict::Unusable->value][ImportRows::why($fault)][] = $line;
            }
        }
        foreach ($lines as $verdict => $by) {
            foreach ($by as $why => $of) {
                $rows->judge($of, Verdict::from($verdict), $why === 'null' ? null : $why);
            }
        }

        return [];
    }

    /**
     * @param  list<string>  $cells
     * @return array{given_name: string, family_name: string, birth_date: string|null, throwing_side: string, turn_direction: null}
     *
     * @throws RowFault
     */
    public function person(Import $import, array $cells, ?DateOrder $told): array
    {
        $choices = $import->choices();
        $row = $choices->read($cells, $told);
        [$given, $family] = $row->name();
        if ($family === '') {
            throw new RowFault(Column::FamilyName, CellFault::Missing, $given);
        }
        $today = $import->maker->workspace->today();
        $born = $row->text(Column::BirthDate) === ''
            ? null
            : $row->day(Column::BirthDate, Day::fromOrdinal($today->ordinal - self::OLDEST), $today);
        $side = $row->throwingSide() ?? $choices->throwingSide ?? throw new RowFault(Column::ThrowingSide, CellFault::Missing, '');

        return [
            'given_name' => $given, 'family_name' => $family, 'birth_date' => $born?->iso(),
            'throwing_side' => $side->value, 'turn_direction' => null,
        ];
    }
}
