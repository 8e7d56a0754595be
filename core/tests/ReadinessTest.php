<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\Evaluator;
use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\DayContext;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Reason;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The day's word, rule by rule. */
final class ReadinessTest extends TestCase
{
    /** @return iterable<string, array{string, list<array{string, string, int}>}> */
    public static function scales(): iterable
    {
        // From which score on a kind has each word, in each school: the table of rules 1 to 5, read off again.
        $scale = fn (array $from): array => array_map(
            fn (int $score): string => array_reduce(
                array_keys($from),
                fn (string $word, string $each): string => $score >= $from[$each] ? $each : $word,
                'full',
            ),
            range(0, 10),
        );
        foreach ([
            'graded' => [
                'muscle' => ['reduced' => 3, 'none' => 5, 'refer' => 8], 'joint' => ['reduced' => 1, 'none' => 3, 'refer' => 5],
                'sharp' => ['none' => 1, 'refer' => 4], 'skin' => ['none' => 3, 'refer' => 8], 'numb' => ['refer' => 1],
            ],
            'strict' => [
                'muscle' => ['reduced' => 2, 'none' => 4, 'refer' => 8], 'joint' => ['none' => 1, 'refer' => 5],
                'sharp' => ['none' => 1, 'refer' => 4], 'skin' => ['none' => 3, 'refer' => 8], 'head' => ['refer' => 1],
                'swelling' => ['refer' => 1], 'locking' => ['refer' => 1],
            ],
        ] as $school => $kinds) {
            foreach ($kinds as $kind => $from) {
                yield "{$school} {$kind}" => [
                    $school,
                    array_map(fn (int $score, string $word): array => [$kind, $word, $score], range(0, 10), $scale($from)),
                ];
            }
        }
    }

    /** @param  list<array{string, string, int}>  $rows */
    #[DataProvider('scales')]
    public function test_one_report_has_its_word(string $school, array $rows): void
    {
        foreach ($rows as [$kind, $word, $score]) {
            $answer = $this->ask([['10T08:00', 'before', 'elbow', 'right', $kind, $score]], school: $school);
            $this->assertSame($word, $answer['channels']['arm'], "{$kind} {$score}");
        }
    }

    public function test_it_hurts_while_working_one_level_worse_and_easing_keeps_the_day_light(): void
    {
        $this->assertSame('none', $this->ask([['10T08:00', 'during', 'shoulder', 'right', 'muscle', 3]])['word']);
        $this->assertSame('none', $this->ask([['10T08:00', 'warmup', 'shoulder', 'right', 'muscle', 4]])['word']);
        $this->assertSame(
            'reduced',
            $this->ask([
                ['10T08:00', 'warmup', 'shoulder', 'right', 'muscle', 3],
                ['10T09:00', 'before', 'shoulder', 'right', 'muscle', 1],
            ])['word'],
        );
        $this->assertSame(
            'none',
            $this->ask([
                ['10T08:00', 'during', 'shoulder', 'right', 'muscle', 3],
                ['10T09:00', 'after', 'shoulder', 'right', 'muscle', 0],
            ])['word'],
        );
        // The other shoulder is another place.
        $this->assertSame(
            'reduced',
            $this->ask([
                ['10T08:00', 'before', 'shoulder', 'left', 'muscle', 3],
                ['10T09:00', 'before', 'shoulder', 'right', 'muscle', 0],
            ])['word'],
        );
    }

    public function test_three_days_running_are_one_level_worse_once(): void
    {
        $days = fn (int $a, int $b, int $c, string $kind = 'muscle'): string => $this->ask([
            ['08T08:00', 'morning', 'knee', 'left', $kind, $a], ['09T08:00', 'morning', 'knee', 'left', $kind, $b],
            ['10T08:00', 'morning', 'knee', 'left', $kind, $c],
        ])['channels']['landing'];
        $this->assertSame('none', $days(3, 3, 3));
        $this->assertSame('none', $days(1, 2, 3), 'a rise to three');
        $this->assertSame('reduced', $days(2, 2, 3), 'not strictly rising');
        $this->assertSame('full', $days(0, 1, 2), 'a rise that stays below three');
        $this->assertSame('none', $days(3, 4, 5), 'muscle stops at none');
        $this->assertSame('refer', $days(3, 3, 3, 'joint'));
        $this->assertSame(
            'reduced',
            $this->ask([
                ['08T08:00', 'morning', 'knee', 'left', 'muscle', 3],
                ['10T08:00', 'morning', 'knee', 'left', 'muscle', 3],
            ])['word'],
            'a day without a report breaks it',
        );
    }

    public function test_a_referral_stays_open_until_a_later_clearance_that_covers_its_site(): void
    {
        $swollen = [['01T18:00', 'during', 'ankle', 'left', 'swelling', 2]];
        $today = [...$swollen, ['10T08:00', 'morning', 'none', null, 'muscle', 0]];
        $this->assertSame(
            ['arm' => 'reduced', 'hand' => 'reduced', 'trunk' => 'reduced', 'landing' => 'refer'],
            $this->ask($today)['channels'],
        );
        $this->assertSame('reduced', $this->ask($swollen)['channels']['arm'], 'worse than not checked in');
        $this->assertSame('refer', $this->ask($today, [['01T17:59', null]])['word'], 'a clearance before the report clears nothing');
        $this->assertSame('refer', $this->ask($today, [['02T10:00', ['knee']]])['word']);
        $this->assertSame('full', $this->ask($today, [['02T10:00', ['ankle']]])['word']);
        $this->assertSame('unknown', $this->ask($swollen, [['02T10:00', null]])['word']);
        $this->assertSame(
            'reduced',
            $this->ask([['10T08:00', 'morning', 'ankle', 'left', 'swelling', 2]], [['10T10:00', null]])['word'],
            'cleared the same day, the day stays light',
        );
        foreach ([['head', 'head', 1], ['wrist', 'numb', 1], ['neck', 'muscle', 8]] as [$site, $kind, $score]) {
            $this->assertSame(
                ['refer'],
                array_values(array_unique($this->ask([['05T08:00', 'after', $site, null, $kind, $score]])['channels'])),
                "{$kind} at the {$site} refers everything",
            );
        }
    }

    public function test_not_known_is_never_full_and_an_unknown_age_is_strict(): void
    {
        $this->assertSame(['unknown', null], [$this->ask([])['word'], $this->ask([])['multipliers']['arm']]);
        $this->assertSame(
            'unknown',
            $this->ask([['09T08:00', 'morning', 'none', null, 'muscle', 0]])['word'],
            'yesterday says nothing of today',
        );
        $joint = [['10T08:00', 'morning', 'elbow', 'right', 'joint', 1]];
        $this->assertSame('none', $this->ask($joint, birth: null)['word']);
        $this->assertSame('none', $this->ask($joint, birth: '2011-05-11')['word'], 'fifteen until tomorrow');
        $this->assertSame('reduced', $this->ask($joint, birth: '2011-05-10')['word']);
    }

    /**
     * @param  list<array{string, string, string, string|null, string, int}>  $reports  day and time in May 2027,
     *         moment, site, side, kind, score
     * @param  list<array{string, list<string>|null}>  $clearances
     * @return array<string, mixed>
     */
    private function ask(array $reports, array $clearances = [], ?string $school = null, ?string $birth = '1990-01-01'): array
    {
        $answer = Evaluator::answer((string) json_encode([
            'kind' => 'readiness', 'on' => '2027-05-10', 'birth_date' => $birth, 'school' => $school,
            'reports' => array_map(
                fn (array $r): array => [
                    'at' => "2027-05-{$r[0]}:00+02:00",
                    'moment' => $r[1],
                    'site' => $r[2],
                    'side' => $r[3],
                    'kind' => $r[4],
                    'score' => $r[5],
                ],
                $reports,
            ),
            'clearances' => array_map(fn (array $c): array => ['at' => "2027-05-{$c[0]}:00+02:00", 'sites' => $c[1]], $clearances),
        ]));
        $this->assertArrayNotHasKey('error', $answer, (string) json_encode($answer));

        return $answer;
    }

    /**
     * @return iterable<string, array{list<array{string, string, int}>, string|null}> reports at an instant, of a kind,
     *         with a score; since when the right arm stops
     */
    public static function stops(): iterable
    {
        yield 'nothing was reported' => [[], null];
        yield 'sore, and not so that work stops' => [[['2027-05-20T17:10:00+01:00', 'muscle', 2]], null];
        yield 'sharp pain, from that moment on' => [
            [['2027-05-20T07:00:00+01:00', 'muscle', 1], ['2027-05-20T17:10:00+01:00', 'sharp', 5]],
            '2027-05-20T17:10:00+01:00',
        ];
        yield 'sent in another order than it happened' => [
            [['2027-05-20T17:30:00+01:00', 'sharp', 5], ['2027-05-20T17:10:00+01:00', 'sharp', 5]],
            '2027-05-20T17:10:00+01:00',
        ];
        yield 'two minutes before midnight, asked after it' => [[['2027-05-19T23:58:00+01:00', 'sharp', 5]], '2027-05-19T23:58:00+01:00'];
        yield 'a referral of last week is still open' => [
            [['2027-05-12T18:00:00+01:00', 'numb', 2], ['2027-05-13T18:00:00+01:00', 'muscle', 1]],
            '2027-05-13T18:00:00+01:00',
        ];
        yield 'pain of yesterday that stopped work then stops none today' => [[['2027-05-19T18:00:00+01:00', 'muscle', 6]], null];
        yield 'the hour that comes twice, told by the instant' => [
            [['2027-05-20T10:00:00+02:00', 'sharp', 5], ['2027-05-20T09:30:00+01:00', 'sharp', 5]],
            '2027-05-20T10:00:00+02:00',
        ];
    }

    /** @param  list<array{string, string, int}>  $reported */
    #[DataProvider('stops')]
    public function test_since_when_work_has_to_stop(array $reported, ?string $since): void
    {
        $reports = array_map(
            fn (array $each): SorenessReport => new SorenessReport(
                Instant::of($each[0]), Moment::During, Site::Shoulder, 'right', Kind::from($each[1]), $each[2],
            ),
            $reported,
        );
        $of = fn (string $side): ?Instant => Readiness::stoppedSince(
            Day::of('2027-05-20'), 17, $reports, [], School::Graded, new DayContext, [Channel::Arm], $side,
        );
        $this->assertSame($since, $of('right')?->text);
        // A referral holds on both sides, pain on the one that hurts.
        $refers = array_filter(
            $reports,
            fn (SorenessReport $report): bool => School::Graded->wordOf($report->kind, $report->score) === Word::Refer,
        ) !== [];
        $this->assertSame($refers ? $since : null, $of('left')?->text);
    }

    public function test_of_two_words_the_worse_holds_and_one_worse_is_a_step(): void
    {
        $order = [Word::Full, Word::Unknown, Word::Reduced, Word::None, Word::Refer];
        foreach ($order as $i => $one) {
            foreach ($order as $j => $other) {
                $this->assertSame($order[max($i, $j)], $one->worst($other));
            }
        }
        $this->assertSame(
            [Word::Reduced, Word::None, Word::None, Word::Refer, Word::Unknown],
            array_map(
                fn (Word $word): Word => $word->oneWorse(Kind::Muscle),
                [Word::Full, Word::Reduced, Word::None, Word::Refer, Word::Unknown],
            ),
        );
        $this->assertSame([Word::None, Word::Refer], [Word::None->oneWorse(Kind::Skin), Word::None->oneWorse(Kind::Joint)]);
        $this->assertSame([1.0, null, 0.6, 0.0, 0.0], array_map(fn (Word $word): ?float => $word->multiplier(), $order));
    }

    public function test_a_reason_counts_on_the_side_it_is_about_and_a_referral_on_both(): void
    {
        $report = fn (?string $side): SorenessReport => new SorenessReport(
            at: Instant::of('2027-05-20T08:00:00Z'), moment: Moment::Before, site: Site::Shoulder, side: $side,
            kind: Kind::Muscle, score: 4,
        );
        $counts = fn (string $rule, Word $word, ?SorenessReport $of): bool => (new Reason($rule, $word, $of))->countsOn('right');
        $this->assertSame([true, false, true, true], [
            $counts('score', Word::Reduced, $report('right')), $counts('score', Word::Reduced, $report('left')),
            $counts('score', Word::Reduced, $report(null)), $counts('no_report', Word::Unknown, null),
        ]);
        $this->assertSame([true, true, true, false, false], [
            $counts('referral', Word::Refer, $report('left')), $counts('referral_elsewhere', Word::None, $report('left')),
            $counts('trend', Word::Refer, $report('left')), $counts('trend', Word::None, $report('left')),
            $counts('score', Word::Refer, $report('left')),
        ]);
    }
}
