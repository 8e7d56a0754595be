<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\Statistics;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Word;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What a gate does to somebody whose true rate is known: drawn athletes, each repetition good by chance alone, looked at by the gate
 * itself after every session. Seeded: the same gate has the same figures.
 */
final readonly class LetThrough
{
    /** True rates that are told: not ready, at the mark, ready. */
    public const RATES = [0.65, 0.8, 0.9];

    public const ATHLETES = 200;

    public const SESSIONS = 12;

    /** More of one athlete no coach judges in a session, and each look reads all before it. */
    public const REPS_AT_MOST = 20;

    private const SEED = 65_80_90;

    private const DAYS_APART = 2;

    private const FINE = 10_000;

    /**
     * @param  float  $rate  the true rate, 0 to 1
     * @param  float  $share  of the athletes, let through within SESSIONS; 0 to 1
     * @param  float|null  $sessions  after which the middle one of those let through was; null: nobody was
     */
    private function __construct(public float $rate, public float $share, public ?float $sessions) {}

    /**
     * @param  int  $repsASession  judged repetitions of each session, 1 to REPS_AT_MOST
     * @return non-empty-list<self> one for each of RATES
     *
     * @throws InvalidValue when a session has none, or more than anybody judges
     */
    public static function of(Gate $gate, int $repsASession): array
    {
        if ($repsASession < 1 || $repsASession > self::REPS_AT_MOST) {
            throw new InvalidValue('A session has 1 to '.self::REPS_AT_MOST.' judged repetitions.');
        }
        $random = new Randomizer(new Mt19937(self::SEED));
        $found = [];
        foreach (self::RATES as $rate) {
            $after = [];
            for ($athlete = 0; $athlete < self::ATHLETES; $athlete++) {
                $sessions = self::through($gate, $rate, $repsASession, $random);
                if ($sessions !== null) {
                    $after[] = (float) $sessions;
                }
            }
            $found[] = new self($rate, count($after) / self::ATHLETES, $after === [] ? null : Statistics::median($after));
        }

        return $found;
    }

    /** @return int|null sessions until the gate opened; null: it did not */
    private static function through(Gate $gate, float $rate, int $repsASession, Randomizer $random): ?int
    {
        $first = Day::of('2026-01-05');
        $reps = [];
        for ($session = 1; $session <= self::SESSIONS; $session++) {
            $day = $first->plus(self::DAYS_APART * $session);
            for ($rep = 0; $rep < $repsASession; $rep++) {
                $reps[] = new JudgedRep(
                    at: Instant::of(sprintf('%sT17:%02d:%02dZ', $day->iso(), intdiv($rep, 2), 30 * ($rep % 2))),
                    session: "s{$session}",
                    good: $random->getInt(1, self::FINE) <= (int) round($rate * self::FINE),
                );
            }
            if ($session < $gate->minSessions || count($reps) < $gate->minReps) {
                continue;
            }
            $morning = $day->plus(1);
            $result = GateResult::of($gate, $morning, new GateEvidence(
                reps: $reps,
                soreness: [new DaySoreness($morning, Moment::Morning, 0)],
                word: Word::Full,
                loadOk: true,
                prerequisitesOk: true,
                clearanceOk: null,
            ));
            if ($result->decision === GateDecision::Advance) {
                return $session;
            }
        }

        return null;
    }
}
