<?php

declare(strict_types=1);

namespace Augendo\Core\Scoring;

use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\LibraryCourt;

/**
 * A game that is played on a block: what is scored, and how it is set up. Written as a code that a tap carries, like
 * "target_round zones=4 balls=5 points=5 on=racket:left-box goal=70".
 */
final readonly class Round
{
    /** Figures a kind is set up with, and the most of each. */
    private const FIGURES = [
        'target_round' => ['zones' => 12, 'balls' => 20, 'points' => 100],
        'clear_targets' => ['targets' => 20],
        'in_a_row' => [],
        'serve_game' => [],
        'grouping' => [],
        'timed_gaps' => ['gaps' => 8, 'passes' => 50],
    ];

    /** What a tap says that ends a round and begins none. */
    public const NONE = 'none';

    private const GOAL_AT_MOST = 10_000.0;

    /**
     * @param  array<string, int>  $figures  by name, as FIGURES
     * @param  array{string, string}|null  $on  ids of a court and of its box; null: no court
     * @param  float|null  $goal  in the unit of the kind
     */
    private function __construct(public ScoreKind $kind, public array $figures, public ?array $on, public ?float $goal) {}

    /** @throws InvalidValue when it is no round */
    public static function read(string $code): self
    {
        $words = explode(' ', $code);
        $kind = ScoreKind::tryFrom(array_shift($words)) ?? throw self::unreadable($code);
        $said = [];
        foreach ($words as $word) {
            $parts = explode('=', $word);
            if (count($parts) !== 2 || isset($said[$parts[0]])) {
                throw self::unreadable($code);
            }
            $said[$parts[0]] = $parts[1];
        }
        $figures = [];
        foreach (self::FIGURES[$kind->value] as $name => $most) {
            $figures[$name] = self::figure($said[$name] ?? '', $name, $most);
        }
        $on = isset($said['on']) ? self::court($said['on'], $code) : null;
        $goal = isset($said['goal']) ? self::goal($said['goal']) : null;
        if (array_diff_key($said, $figures, ['on' => true, 'goal' => true]) !== []) {
            throw self::unreadable($code);
        }

        return new self($kind, $figures, $on, $goal);
    }

    /**
     * What may be scored on a block, each as it is begun with.
     *
     * @return non-empty-list<string> codes, one of each kind; two attempts a point are for serves alone
     */
    public static function offered(?LibraryCourt $court): array
    {
        $on = self::on('', $court);
        $zones = $court === null ? 'zones=4 balls=5 points=5' : 'zones=1 balls=10 points=1';

        return [
            "target_round {$zones}{$on}", "clear_targets targets=3{$on}", "in_a_row{$on}",
            ...($court === null ? [] : ["serve_game{$on}"]), "grouping{$on}", "timed_gaps gaps=4 passes=10{$on}",
        ];
    }

    /**
     * What a block is begun with: what was played last, where it was on the same court; else what its rung names; else what is
     * ordinarily scored on it.
     *
     * @param  string|null  $last  the code of it
     * @param  string|null  $named  the code a rung names, without a court
     */
    public static function begunWith(?string $last, ?string $named, BlockKind $kind, ?LibraryCourt $court): string
    {
        if ($last !== null && (self::read($last)->on[0] ?? null) === $court?->id) {
            return $last;
        }
        if ($named !== null && ($court !== null || self::read($named)->kind !== ScoreKind::ServeGame)) {
            return self::on($named, $court);
        }
        $usual = match (true) {
            $court !== null => $court->tries > 1 ? ScoreKind::ServeGame : ScoreKind::TargetRound,
            $kind === BlockKind::Target => ScoreKind::TargetRound,
            $kind === BlockKind::GameLike => ScoreKind::InARow,
            default => ScoreKind::Grouping,
        };

        return array_values(array_filter(self::offered($court), fn (string $code): bool => self::read($code)->kind === $usual))[0];
    }

    /** A code on the first box of a court. */
    private static function on(string $code, ?LibraryCourt $court): string
    {
        return $court === null ? $code : "{$code} on={$court->id}:".array_key_first($court->boxes);
    }

    /** The code without its goal: scores of one setup are compared with each other. */
    public function setup(): string
    {
        $words = [$this->kind->value];
        foreach ($this->figures as $name => $figure) {
            $words[] = "{$name}={$figure}";
        }
        if ($this->on !== null) {
            $words[] = "on={$this->on[0]}:{$this->on[1]}";
        }

        return implode(' ', $words);
    }

    private static function figure(string $text, string $name, int $most): int
    {
        if (preg_match('/^[1-9]\d{0,2}$/D', $text) !== 1 || (int) $text > $most) {
            throw new InvalidValue("“{$name}” of a round lies between 1 and {$most}, not “{$text}”.");
        }

        return (int) $text;
    }

    /** @return array{string, string} */
    private static function court(string $text, string $code): array
    {
        if (preg_match('/^([a-z0-9-]{1,60}):([a-z0-9-]{1,60})$/D', $text, $ids) !== 1) {
            throw self::unreadable($code);
        }

        return [$ids[1], $ids[2]];
    }

    private static function goal(string $text): float
    {
        if (! is_numeric($text) || (float) $text <= 0.0 || (float) $text > self::GOAL_AT_MOST) {
            throw new InvalidValue("A goal is a number above 0, not “{$text}”.");
        }

        return (float) $text;
    }

    private static function unreadable(string $code): InvalidValue
    {
        return new InvalidValue(
            "“{$code}” is no round: a kind comes first, then its figures, like “target_round zones=4 balls=5 points=5”.",
        );
    }
}
