<?php

declare(strict_types=1);

namespace Augendo\Core\Spreadsheets;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\Side;

/** One row of a spreadsheet, read cell by cell. Nothing is guessed: what has two meanings is a fault that says so. */
final readonly class Cells
{
    private const EASY = ['easy', 'light', 'low', 'soft', 'warm up', 'warm-up'];

    private const MIDDLING = ['middling', 'medium', 'moderate', 'mid', 'half', 'submax'];

    private const HARD = ['hard', 'full', 'max', 'maximal', 'all out', 'high', 'match', 'game'];

    /** What one row may say at most; more is a slip of the pen. */
    public const MOST_REPS = 1000;

    public const MOST_SETS = 60;

    public const MOST_METRES = 200.0;

    private const MOST_LETTERS = 60;

    /** What clubs write for a place. Nothing said is with the squad. */
    private const PLACES = [
        'here' => ['', 'here', 'training', 'practice', 'squad', 'hall', 'club'],
        'home' => ['home', 'at home'],
        'match' => ['match', 'game', 'competition', 'tournament'],
        'other club' => ['other club', 'elsewhere', 'school', 'other'],
    ];

    /**
     * @param  list<string>  $cells
     * @param  array<int, Column>  $columns  by place in the row
     */
    public function __construct(private array $cells, private array $columns, private DateOrder $order, private LengthUnit $unit) {}

    /** @return string trimmed, '' where there is nothing */
    public function text(Column $column): string
    {
        $at = array_search($column, $this->columns, true);

        return $at === false ? '' : trim(preg_replace('/\s+/u', ' ', $this->cells[$at] ?? '') ?? '');
    }

    /**
     * @return array{0: string, 1: string} given and family name: from two columns, or one that says “Mira Sand” or “Sand, Mira”
     *
     * @throws RowFault
     */
    public function name(): array
    {
        $given = $this->text(Column::GivenName);
        $family = $this->text(Column::FamilyName);
        $whole = $this->text(Column::Name);
        if ($given === '' && $family === '' && $whole !== '') {
            [$given, $family] = str_contains($whole, ',')
                ? array_reverse(array_map(trim(...), explode(',', $whole, 2)))
                : [strtok($whole, ' ') ?: '', trim(substr($whole, strlen(strtok($whole, ' ') ?: '')))];
        }
        if ($given === '') {
            throw new RowFault(Column::Name, CellFault::Missing, $whole);
        }
        if (max(mb_strlen($given), mb_strlen($family)) > self::MOST_LETTERS) {
            throw new RowFault(Column::Name, CellFault::OutOfRange, $whole === '' ? "{$given} {$family}" : $whole);
        }

        return [$given, $family];
    }

    /** @throws RowFault */
    public function day(Column $column, Day $first, Day $last): Day
    {
        $cell = $this->text($column);
        if ($cell === '') {
            throw new RowFault($column, CellFault::Missing, '');
        }
        try {
            $day = $this->order->day($cell);
        } catch (InvalidValue) {
            throw new RowFault($column, CellFault::NoDay, $cell);
        }
        if ($day->isAfter($last)) {
            throw new RowFault($column, CellFault::NotYet, $cell);
        }
        if ($first->isAfter($day)) {
            throw new RowFault($column, CellFault::LongAgo, $cell);
        }

        return $day;
    }

    /**
     * Repetitions of the whole row: those of a set, as many times as there are sets.
     *
     * @throws RowFault
     */
    public function reps(): int
    {
        $reps = $this->count(Column::Reps, self::MOST_REPS) ?? throw new RowFault(Column::Reps, CellFault::Missing, '');

        return $reps * ($this->count(Column::Sets, self::MOST_SETS) ?? 1);
    }

    /**
     * A whole number from 1; null where nothing stands.
     *
     * @throws RowFault
     */
    private function count(Column $column, int $most): ?int
    {
        $cell = $this->text($column);
        if ($cell === '') {
            return null;
        }
        $value = self::number($cell) ?? throw new RowFault($column, CellFault::NoNumber, $cell);
        if ($value < 1 || $value > $most || floor($value) !== $value) {
            throw new RowFault($column, CellFault::OutOfRange, $cell);
        }

        return (int) $value;
    }

    /**
     * @return float|null 0 to 1; null where nothing stands: not known, and counts as full
     *
     * @throws RowFault
     */
    public function effort(): ?float
    {
        $cell = mb_strtolower($this->text(Column::Effort));
        $felt = match (true) {
            in_array($cell, self::EASY, true) => Felt::Easy,
            in_array($cell, self::MIDDLING, true) => Felt::Middling,
            in_array($cell, self::HARD, true) => Felt::Hard,
            default => null,
        };
        if ($cell === '' || $felt !== null) {
            return $felt?->effort();
        }
        $value = self::number(rtrim($cell, "% \u{a0}")) ?? throw new RowFault(Column::Effort, CellFault::NoNumber, $cell);
        $isPercent = str_ends_with($cell, '%') || $value > 10;
        // 7 may be seven of ten, or seven in a hundred.
        if (! $isPercent && $value > 1) {
            throw new RowFault(Column::Effort, CellFault::UnclearEffort, $cell);
        }
        $effort = $isPercent ? $value / 100 : $value;
        if ($effort <= 0 || $effort > 1) {
            throw new RowFault(Column::Effort, CellFault::OutOfRange, $cell);
        }

        return $effort;
    }

    /**
     * @return float|null metres
     *
     * @throws RowFault
     */
    public function distanceM(): ?float
    {
        $cell = $this->text(Column::Distance);
        if ($cell === '') {
            return null;
        }
        // A unit behind the number counts more than the one of the column.
        $own = preg_match('/[a-z]+$/i', $cell, $behind) === 1 ? LengthUnit::told($behind[0]) : null;
        $value = self::number(rtrim($own === null ? $cell : substr($cell, 0, -strlen($behind[0]))))
            ?? throw new RowFault(Column::Distance, CellFault::NoNumber, $cell);
        $metres = ($own ?? $this->unit)->inMetres($value);
        if ($metres <= 0 || $metres > self::MOST_METRES) {
            throw new RowFault(Column::Distance, CellFault::OutOfRange, $cell);
        }

        return $metres;
    }

    /**
     * @return Handedness|null null where nothing stands
     *
     * @throws RowFault
     */
    public function throwingSide(): ?Handedness
    {
        return match (mb_strtolower($this->text(Column::ThrowingSide))) {
            '' => null,
            'right', 'r', 'right-handed', 'right handed' => Handedness::Right,
            'left', 'l', 'left-handed', 'left handed' => Handedness::Left,
            default => throw new RowFault(Column::ThrowingSide, CellFault::UnknownWord, $this->text(Column::ThrowingSide)),
        };
    }

    /**
     * Which arm of this athlete: where nothing stands, the one that throws.
     *
     * @throws RowFault
     */
    public function side(Handedness $throws): Side
    {
        $word = mb_strtolower($this->text(Column::Side));

        return match (true) {
            in_array($word, ['', 'dominant', 'throwing', 'strong', 'main'], true) => Side::Dominant,
            in_array($word, ['other', 'weak', 'off', 'non-dominant', 'nondominant'], true) => Side::Other,
            in_array($word, ['right', 'r', 'left', 'l'], true) => $word[0] === $throws->value[0] ? Side::Dominant : Side::Other,
            default => throw new RowFault(Column::Side, CellFault::UnknownWord, $this->text(Column::Side)),
        };
    }

    /**
     * @return 'here'|'home'|'match'|'other club' where it was done
     *
     * @throws RowFault
     */
    public function place(): string
    {
        $word = mb_strtolower($this->text(Column::Where));
        foreach (self::PLACES as $place => $words) {
            if (in_array($word, $words, true)) {
                return $place;
            }
        }
        throw new RowFault(Column::Where, CellFault::UnknownWord, $this->text(Column::Where));
    }

    /** A number with a point or a comma before its decimals. With three digits behind it, it may be thousands: no number then. */
    private static function number(string $cell): ?float
    {
        if (preg_match('/^[1-9]\d{0,2}[.,]\d{3}$/D', $cell) === 1) {
            return null;
        }

        return preg_match('/^\d{1,6}(?:[.,]\d+)?$/D', $cell) === 1 ? (float) str_replace(',', '.', $cell) : null;
    }
}
