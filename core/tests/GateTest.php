<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Gates\DaySoreness;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\GateDecision;
use Augendo\Core\Gates\GateEvidence;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\Verdict;
use Augendo\Core\Instant;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\Statistics;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Word;
use PHPUnit\Framework\TestCase;

final class GateTest extends TestCase
{
    /** The quantiles at 0.25, 0.001 and 1e-20 are the test values printed with algorithm AS 241 (Wichura 1988, p. 477). */
    public function test_the_wilson_bound_and_the_normal_quantile(): void
    {
        $this->assertEqualsWithDelta(1.2815515655446004, Statistics::normalQuantile(0.9), 1e-14);
        $this->assertEqualsWithDelta(1.959963984540054, Statistics::normalQuantile(0.975), 1e-14);
        $this->assertEqualsWithDelta(-0.6744897501960817, Statistics::normalQuantile(0.25), 1e-15);
        $this->assertEqualsWithDelta(-3.090232306167814, Statistics::normalQuantile(0.001), 1e-14);
        $this->assertEqualsWithDelta(-9.262340089798408, Statistics::normalQuantile(1e-20), 1e-13);
        // By hand with z = Φ⁻¹(0.9): (0.75 + z²/40 − z√(0.1875/20 + z²/1600)) / (1 + z²/20).
        $z = 1.2815515655446004;
        $this->assertEqualsWithDelta(
            (0.75 + $z ** 2 / 40 - $z * sqrt(0.1875 / 20 + $z ** 2 / 1600)) / (1 + $z ** 2 / 20),
            Statistics::wilsonLowerBound(15, 20, 0.9),
            1e-15,
        );
        $this->assertEqualsWithDelta(0.0, Statistics::wilsonLowerBound(0, 12, 0.9), 1e-15);
    }

    public function test_two_good_days_and_a_quiet_morning_advance(): void
    {
        $result = $this->gate($this->days(['18' => 'gggggbg', '19' => 'gggggg']));
        $this->assertSame(GateDecision::Advance, $result->decision);
        $this->assertSame([13, 12], [$result->observed, $result->good]);
    }

    public function test_with_nothing_good_the_longest_run_is_none(): void
    {
        $this->assertSame(0, $this->gate($this->days(['18' => 'bbbbbb', '19' => 'bbbbbb']))->bestRun);
        $this->assertSame(0, $this->gate([])->bestRun);
        $this->assertSame(1, $this->gate($this->days(['18' => 'bgbbbb', '19' => 'bbgbbb']))->bestRun);
    }

    public function test_each_criterion_alone_stops_it_with_its_own_answer(): void
    {
        $good = $this->days(['18' => 'ggggggg', '19' => 'gggggg']);
        $cases = [
            'collect' => [
                'one day' => $this->gate($this->days(['19' => 'ggggggggggggg'])),
                'too few' => $this->gate($this->days(['18' => 'ggg', '19' => 'ggg'])),
                'no morning after' => $this->gate($good, soreness: []),
                'not checked in' => $this->gate($good, word: Word::Unknown),
                'load not known' => $this->gate($good, load: null),
                'prerequisites not known' => $this->gate($good, prerequisites: null),
                'reps too old' => $this->gate($good, new Gate(maxAgeDays: 2)),
            ],
            'repeat' => [
                'rate' => $this->gate($this->days(['18' => 'gbgbgbg', '19' => 'gggbggg'])),
                'run' => $this->gate($this->days(['18' => 'gggggg', '19' => 'gggbggg']), new Gate(streak: 7)),
                'fade' => $this->gate($this->days(['18' => 'gggggggggggg', '19' => 'ggggggbgb']), new Gate(targetRate: 0.7)),
            ],
            'hold' => [
                'sore' => $this->gate($good, soreness: [['20', 'morning', 3]]),
                'reduced' => $this->gate($good, word: Word::Reduced),
                'load' => $this->gate($good, load: false),
                'prerequisites' => $this->gate($good, prerequisites: false),
                'clearance' => $this->gate($good, clearance: false),
            ],
            'step_back' => [
                'safety' => $this->gate($this->days(['18' => 'ggggggg', '19' => 'gggggG'])),
                'hardly any good' => $this->gate($this->days(['18' => 'bbbbbbg', '19' => 'bbbgbg'])),
            ],
            'pause' => ['none' => $this->gate($good, word: Word::None), 'refer' => $this->gate($good, word: Word::Refer)],
        ];
        foreach ($cases as $decision => $results) {
            foreach ($results as $name => $result) {
                $this->assertSame($decision, $result->decision->value, $name);
            }
        }
    }

    public function test_what_nobody_saw_counts_as_no_evidence_but_its_safety_fault_counts(): void
    {
        $result = $this->gate($this->days(['18' => 'gggggguuuu', '19' => 'ggggggU']));
        $this->assertSame([12, 12, 1], [$result->observed, $result->good, $result->safetyFaults]);
        $this->assertSame(GateDecision::StepBack, $result->decision);
    }

    /** Property: advancing needs every criterion to pass, and taking any knowledge away never makes it advance. */
    public function test_nothing_unknown_ever_passes_a_gate(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 3000; $i++) {
            $days = [];
            foreach (array_slice(['16', '17', '18', '19'], mt_rand(0, 3)) as $day) {
                $days[$day] = implode('', array_map(fn (): string => 'ggggggggbuGB'[mt_rand(0, mt_rand(7, 11))], range(1, mt_rand(1, 12))));
            }
            $word = Word::cases()[mt_rand(0, 4)];
            $maybe = fn (): ?bool => [true, true, false, null][mt_rand(0, 3)];
            $soreness = mt_rand(0, 2) ? [['20', 'morning', mt_rand(0, 4)]] : [];
            [$load, $prerequisites] = [$maybe(), $maybe()];
            $reps = $this->days($days);
            $result = $this->gate($reps, null, $soreness, $word, $load, $prerequisites);
            $passes = array_filter($result->criteria, fn (Verdict $verdict): bool => $verdict !== Verdict::Pass) === [];
            $this->assertSame($passes && $word->allowsWork(), $result->decision === GateDecision::Advance);
            if ($result->decision === GateDecision::Advance) {
                $this->assertSame([Word::Full, true, true], [$word, $load, $prerequisites]);
                foreach ([
                    $this->gate($reps, null, [], $word, $load, $prerequisites),
                    $this->gate($reps, null, $soreness, Word::Unknown, $load, $prerequisites),
                    $this->gate($reps, null, $soreness, $word, null, $prerequisites),
                    $this->gate($reps, null, $soreness, $word, $load, null),
                    $this->gate(
                        array_map(fn (JudgedRep $rep): JudgedRep => new JudgedRep($rep->at, $rep->session, null, $rep->safety), $reps),
                        null,
                        $soreness,
                        $word,
                        $load,
                        $prerequisites,
                    ),
                ] as $less) {
                    $this->assertNotSame(GateDecision::Advance, $less->decision);
                }
            }
        }
    }

    public function test_the_pattern_is_said_when_one_fault_makes_up_half_of_at_least_four(): void
    {
        $reps = fn (string $marks): array => array_map(fn (string $mark, int $i): JudgedRep => new JudgedRep(
            Instant::of(sprintf('2027-05-19T17:%02d:00+02:00', $i)), 's',
            $mark === 'g' ? true : ($mark === 'u' ? null : false), false,
            in_array($mark, ['g', 'u', '-'], true) ? null : $mark,
        ), str_split($marks), range(0, strlen($marks) - 1));
        $this->assertSame('x', FaultPattern::leading($reps('gxgxgyxg'))?->fault);
        $this->assertNull(FaultPattern::leading($reps('gxgxgxg')), 'three faults are too few');
        $this->assertNull(FaultPattern::leading($reps('xyzwgggggg')), 'none makes up half');
        $this->assertNull(FaultPattern::leading($reps('xxxxgggggggggg')), 'older than the last ten');
        $this->assertSame('x', FaultPattern::leading($reps('xxxxuuuuuuuugg'))?->fault, 'what nobody saw pushes nothing out');
        // Two that come together lead as the pair: it has a cue of its own.
        $pairs = ['p' => ['x', 'y']];
        $pair = FaultPattern::leading($reps('xyxyz'), $pairs);
        $this->assertSame(['p', 4, 5], [$pair?->fault, $pair?->times, $pair?->faults], 'four of the last five: too low and too far out');
        $this->assertSame('x', FaultPattern::leading($reps('xxxxy'), $pairs)?->fault, 'one of the two alone is no pair');
        $this->assertNull(FaultPattern::leading($reps('xyzwv'), $pairs), 'once each is chance');
        $this->assertNull(FaultPattern::leading($reps('xyxyzzwwvu'), $pairs), 'both together make up less than half');
        $this->assertSame(5, FaultPattern::leading($reps('xyxyp'), $pairs)?->times, 'named as the pair it counts as well');
    }

    /**
     * @param  array<string, string>  $days  marks by day of May 2027
     * @return list<JudgedRep>
     */
    private function days(array $days): array
    {
        $reps = [];
        foreach ($days as $day => $marks) {
            foreach (str_split($marks) as $i => $mark) {
                $reps[] = new JudgedRep(
                    Instant::of(sprintf('2027-05-%sT17:%02d:00+02:00', $day, $i)),
                    "s{$day}",
                    ['g' => true, 'b' => false, 'u' => null][strtolower($mark)],
                    $mark !== strtolower($mark),
                );
            }
        }

        return $reps;
    }

    /**
     * @param  list<JudgedRep>  $reps
     * @param  list<array{string, string, int}>  $soreness
     */
    private function gate(
        array $reps, ?Gate $gate = null, array $soreness = [['20', 'morning', 1]], Word $word = Word::Full,
        ?bool $load = true, ?bool $prerequisites = true, ?bool $clearance = null,
    ): GateResult {
        return GateResult::of($gate ?? new Gate, Day::of('2027-05-20'), new GateEvidence(
            $reps,
            array_map(fn (array $s): DaySoreness => new DaySoreness(Day::of("2027-05-{$s[0]}"), Moment::from($s[1]), $s[2]), $soreness),
            $word, $load, $prerequisites, $clearance,
        ));
    }
}
