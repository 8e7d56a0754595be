<?php

declare(strict_types=1);

namespace Tests\Feature;

use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Instant;
use Augendo\Core\Library\CourtBox;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\Nudge;
use Augendo\Core\Scoring\Outcome;
use Augendo\Core\Scoring\Round;
use Augendo\Core\Scoring\RoundPlayed;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/**
 * What a device works out without a connection is what the server says of the same taps: the examples are written here, and replayed by
 * vitest (tests/Device). To write them anew after a rule has changed: AUGENDO_WRITE_EXAMPLES=1 vendor/bin/phpunit --filter DeviceRulesTest
 */
final class DeviceRulesTest extends TestCase
{
    private const FILE = __DIR__.'/../examples/device-rules.json';

    private const SEED = 20261126;

    private const CASES = 80;

    private const FAULTS = ['toss-high', 'elbow-low', 'late', 'short'];

    private const PAIRS = ['late-and-short' => ['late', 'short']];

    private const TAGS = ['low', 'high', 'fouled'];

    #[Group('once')]
    public function test_the_examples_a_device_is_held_to_are_what_the_rules_say(): void
    {
        mt_srand(self::SEED);
        $said = ['pattern' => [], 'fold' => [], 'round' => []];
        for ($case = 0; $case < self::CASES; $case++) {
            $said['pattern'][] = $this->pattern();
            $said['fold'][] = $this->fold();
            $said['round'][] = $this->round();
        }
        // A case a line.
        $line = fn (array $case): string => json_encode($case, JSON_THROW_ON_ERROR);
        $lines = fn (array $cases): string => implode(",\n", array_map($line, $cases));
        $parts = array_map(fn (string $name): string => "\"{$name}\": [\n{$lines($said[$name])}\n]", array_keys($said));
        $json = '{'.implode(', ', $parts)."}\n";
        if (getenv('AUGENDO_WRITE_EXAMPLES') === '1') {
            file_put_contents(self::FILE, $json);
        }
        $this->assertStringEqualsFile(self::FILE, $json, 'A rule has changed, or the file: see above the class.');
    }

    /** @return array<string, mixed> judged repetitions, the fault that leads, and what they ask of a coach */
    private function pattern(): array
    {
        // Some sessions go well, some badly, so that each answer comes up.
        $rate = mt_rand(1, 9) / 10;
        $favourite = self::FAULTS[mt_rand(0, 3)];
        $taps = [];
        foreach (range(1, mt_rand(1, 30)) as $nth) {
            $good = mt_rand(1, 8) === 1 ? null : mt_rand(1, 100) <= 100 * ($nth > 15 ? 1 - $rate : $rate);
            $fault = mt_rand(1, 5) === 1 ? null : (mt_rand(0, 1) === 1 ? $favourite : self::FAULTS[mt_rand(0, 3)]);
            $taps[] = [$good, $good === false ? $fault : null];
        }
        $reps = array_map(
            fn (array $tap): JudgedRep => new JudgedRep(Instant::of('2026-11-26T17:00:00Z'), 'today', $tap[0], false, $tap[1]),
            $taps,
        );
        $leading = FaultPattern::leading($reps, self::PAIRS);
        $nudge = Nudge::of($reps);

        return [
            'taps' => $taps,
            'leading' => $leading === null ? null : ['fault' => $leading->fault, 'times' => $leading->times, 'of' => $leading->faults],
            'falls' => $nudge !== null && $nudge[0] === 'falls' ? $nudge[1] : null,
            'back' => $nudge !== null && $nudge[0] === 'returns' ? $nudge[1] : null,
        ];
    }

    /** @return array<string, mixed> a round on a block, begun, touched, withdrawn, ended, and what it comes to */
    private function round(): array
    {
        $onCourt = mt_rand(0, 1) === 1;
        $box = $onCourt ? new CourtBox('box', 'Box', [0.0, 3.0][mt_rand(0, 1)], 6.0, -2.0, [0.0, 2.0][mt_rand(0, 1)]) : null;
        $codes = [
            'target_round zones=2 balls=3 points=5', 'clear_targets targets=2', 'in_a_row', 'serve_game', 'grouping',
            'timed_gaps gaps=2 passes=2', Round::NONE,
        ];
        $safe = [[], ['low'], ['low', 'short', 'net']][mt_rand(0, 2)];
        $events = [];
        $add = function (string $kind, ?string $target, ?string $note) use (&$events): string {
            $seq = count($events);
            $events[] = [
                'id' => "tap-{$seq}",
                'kind' => $kind,
                'at' => sprintf('2026-11-26T17:00:%02d.%03d+00:00', intdiv($seq, 3), 250 * ($seq % 3)),
                'seq' => $seq, 'block_id' => mt_rand(1, 6) === 1 ? 'other' : 'block', 'note' => $note, 'target_id' => $target,
                'verdict' => $kind === 'rep' ? 'unobserved' : null, 'fault' => null,
            ];

            return "tap-{$seq}";
        };
        $place = fn (): string => implode(' ', [mt_rand(-300, 300) / 100, mt_rand(-400, 400) / 100]);
        foreach (range(1, mt_rand(1, 16)) as $nth) {
            if ($nth === 1 || mt_rand(1, 9) === 1) {
                $add('round', null, $codes[mt_rand(0, count($codes) - 1)]);
            }
            $rep = $add('rep', null, null);
            if (mt_rand(1, 8) > 1) {
                $add('landed', $rep, mt_rand(0, 1) === 1 ? $place() : Outcome::WORDS[[0, 0, 0, mt_rand(0, 8)][mt_rand(0, 3)]]);
            }
            if (mt_rand(1, 8) === 1) {
                $add('withdraw', $rep, null);
            }
        }
        $played = RoundPlayed::of(array_map(fn (array $event): Tap => new Tap(
            $event['id'], 'sheet', $event['block_id'], 1, $event['kind'], $event['target_id'], $event['verdict'], null, 'dominant', null,
            null, Instant::of($event['at']), $event['seq'], 'device', null, $event['note'], null,
        ), $events), fn (): ?CourtBox => $box);

        return [
            'events' => $events,
            'box' => $box === null ? null : [
                'near_m' => $box->nearM, 'far_m' => $box->farM, 'right_m' => $box->rightM, 'left_m' => $box->leftM,
            ],
            'safe' => $safe,
            'played' => array_map(fn (RoundPlayed $each): array => [
                'id' => $each->id,
                'words' => array_map(fn (Outcome $outcome): ?string => $outcome->word, $each->outcomes),
                'seen' => $each->seen($safe),
            ], $played),
        ];
    }

    /** @return array<string, mixed> taps with withdrawals and corrections, and the repetitions that stand */
    private function fold(): array
    {
        $events = [];
        foreach (range(0, mt_rand(2, 14)) as $seq) {
            $ids = array_column(array_filter($events, fn (array $event): bool => in_array($event['kind'], ['rep', 'fall'], true)), 'id');
            $kind = $ids === [] ? 'rep' : ['rep', 'rep', 'rep', 'fall', 'withdraw', 'correct', 'tag', 'tag'][mt_rand(0, 7)];
            $verdict = in_array($kind, ['withdraw', 'fall', 'tag'], true) ? null : ['good', 'not_good', 'unobserved'][mt_rand(0, 2)];
            $events[] = [
                'id' => "tap-{$seq}",
                'kind' => $kind,
                // Two of one second are in the order of their device.
                'at' => sprintf('2026-11-26T17:00:%02d+00:00', intdiv($seq, 2)),
                'seq' => $seq,
                'verdict' => $verdict,
                'fault' => $verdict === 'not_good' ? self::FAULTS[mt_rand(0, 3)] : null,
                'target_id' => in_array($kind, ['rep', 'fall'], true) ? null : $ids[mt_rand(0, count($ids) - 1)],
                'note' => $kind === 'tag' ? (mt_rand(1, 4) === 1 ? TapFold::NOT : '').self::TAGS[mt_rand(0, 2)] : null,
            ];
        }
        // They reach the device in any order.
        $arrived = $events;
        for ($i = count($arrived) - 1; $i > 0; $i--) {
            $j = mt_rand(0, $i);
            [$arrived[$i], $arrived[$j]] = [$arrived[$j], $arrived[$i]];
        }
        $taps = array_map(fn (array $event): Tap => new Tap(
            $event['id'], 'sheet', 'block', 1, $event['kind'], $event['target_id'], $event['verdict'], $event['fault'], 'dominant', null,
            null, Instant::of($event['at']), $event['seq'], 'device', null, $event['note'], null,
        ), $arrived);

        return [
            'events' => $arrived,
            'standing' => array_map(fn (Tap $rep): array => [$rep->id, $rep->verdict, $rep->fault], TapFold::standing($taps)),
            'tags' => (object) TapFold::tags($taps),
        ];
    }
}
