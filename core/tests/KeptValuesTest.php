<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Gates\Attention;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\GateDecision;
use Augendo\Core\Gates\GateEvidence;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\Watch;
use Augendo\Core\Instant;
use Augendo\Core\Limits\LimitFigures;
use Augendo\Core\Limits\Status;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Measure;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Readiness\Faces;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\StepAsked;
use PHPUnit\Framework\TestCase;

/** What is kept beside a decision or a dose is read again as it was, through JSON and back. */
final class KeptValuesTest extends TestCase
{
    public function test_a_trim_with_its_limits_comes_back_as_it_was(): void
    {
        $figures = new LimitFigures(
            'arm-day', 'Arm load in a day', 'cap', Measure::Arm, null, Status::Near, 40.5, 60.0, 75.0, 15.0, null,
        );
        $rest = new LimitFigures(
            'arm-rest', 'Rest after hard throws', 'rest', Measure::HighReps, null, Status::Over, null, null, null, null,
            Day::of('2026-12-01'),
        );
        $level = new LimitFigures('young', 'Effort', 'level', null, 'effort', Status::Within, null, 0.6, 0.75, 0.15, null);
        $trims = [
            new Trim(2, 'reps', 24.0, 12.0, 'limit', [$figures, $rest, $level]),
            new Trim(null, 'dropped', 8.0, 0.0, 'word', word: Word::None, channels: [Channel::Arm, Channel::Hand], title: 'Whole'),
            new Trim(1, 'effort', 0.9, 0.5, 'layoff', idleDays: 12),
            new Trim(0, 'minutes', 30.0, 20.0, 'minutes', minutes: 20),
        ];
        foreach ($trims as $trim) {
            $this->assertEquals($trim, Trim::fromArray($this->throughJson($trim->toArray())));
        }
    }

    public function test_a_gate_comes_back_with_every_figure_and_verdict(): void
    {
        $on = Day::of('2026-11-26');
        mt_srand(7);
        for ($run = 0; $run < 60; $run++) {
            $reps = [];
            for ($i = 0; $i < mt_rand(0, 30); $i++) {
                $at = Instant::of(sprintf('%sT17:00:%02d+00:00', $on->plus(-mt_rand(1, 9))->iso(), $i));
                $good = [true, true, false, null][mt_rand(0, 3)];
                $reps[] = new JudgedRep($at, "session {$at->day->iso()}", $good, $good === false && mt_rand(0, 3) === 0);
            }
            $result = GateResult::of(new Gate, $on, new GateEvidence($reps, [], Word::Full, true, true, null));
            $this->assertEquals($result, GateResult::fromArray($this->throughJson($result->toArray())));
        }
    }

    public function test_what_a_return_asked_for_comes_back(): void
    {
        foreach ([new StepAsked('advance', 3, null), new StepAsked('start', 0, Day::of('2026-11-28'))] as $asked) {
            $this->assertEquals($asked, StepAsked::fromArray($this->throughJson($asked->toArray())));
        }
    }

    public function test_a_coach_looks_at_the_way_back_last_and_at_the_open_gate_first(): void
    {
        $certain = Watch::of(new Gate, 30, 30);
        $hopeless = Watch::of(new Gate, 30, 18);
        $of = fn (bool $back, Word $word, GateDecision $decision, Watch $watch): string => Attention::of(
            $back, $word, $decision, $watch,
        )->value;
        $this->assertSame('return', $of(true, Word::None, GateDecision::Advance, $certain));
        $this->assertSame('rest', $of(false, Word::None, GateDecision::Advance, $certain));
        $this->assertSame('ready', $of(false, Word::Full, GateDecision::Advance, $hopeless));
        $this->assertSame('watch', $of(false, Word::Full, GateDecision::Collect, $hopeless));
        $this->assertSame('watch', $of(false, Word::Full, GateDecision::Repeat, $certain));
        $this->assertSame('stuck', $of(false, Word::Full, GateDecision::Repeat, $hopeless));
        $this->assertSame(range(0, 4), array_map(fn (Attention $each): int => $each->place(), Attention::cases()));
    }

    public function test_faces_are_for_those_under_nine_whose_age_is_known(): void
    {
        $this->assertSame(
            [true, false, false],
            [Faces::standForScores(8), Faces::standForScores(9), Faces::standForScores(null)],
        );
    }

    /**
     * @param  array<string, mixed>  $kept
     * @return array<string, mixed>
     */
    private function throughJson(array $kept): array
    {
        return json_decode((string) json_encode($kept), true, flags: JSON_THROW_ON_ERROR);
    }
}
