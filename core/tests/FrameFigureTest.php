<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Frames\ClipRule;
use Augendo\Core\Frames\FigureChange;
use Augendo\Core\Frames\FilmConsent;
use Augendo\Core\Frames\Foreshortening;
use Augendo\Core\Frames\FrameFigure;
use Augendo\Core\Frames\Judged;
use Augendo\Core\Frames\Landmarks;
use Augendo\Core\Frames\Line;
use Augendo\Core\Frames\Look;
use Augendo\Core\Frames\MeasureBand;
use Augendo\Core\Frames\Picture;
use Augendo\Core\Frames\Point;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Handedness;
use PHPUnit\Framework\TestCase;

/** A figure with what it may be off by, what a checkpoint makes of it, and whose yes a camera waits for. */
final class FrameFigureTest extends TestCase
{
    private const EXAMPLES = __DIR__.'/../../tests/examples/frames.json';

    /** @return \Closure(float, float): float seeded, so that every run draws the same */
    private static function draw(int $seed): \Closure
    {
        mt_srand($seed);

        return fn (float $low, float $high): float => round($low + ($high - $low) * mt_rand() / mt_getrandmax(), 1);
    }

    /** @return array<string, Point> a figure somewhere in the picture, every joint roughly where joints are */
    private static function figure(\Closure $draw): array
    {
        $points = [Landmarks::BALL => new Point($draw(300, 900), $draw(100, 500))];
        $heights = [
            'shoulder' => 300, 'elbow' => 360, 'wrist' => 420, 'hip' => 470, 'knee' => 590, 'ankle' => 700, 'heel' => 712, 'toe' => 715,
        ];
        foreach (['left' => 570, 'right' => 640] as $side => $x) {
            foreach ($heights as $joint => $y) {
                $points["{$side}_{$joint}"] = new Point($x + $draw(-60, 60), $y + $draw(-60, 60));
            }
        }

        return $points;
    }

    /** What the device works out without a connection is bound to these. */
    public function test_the_examples_of_the_device_are_what_the_core_says(): void
    {
        $draw = self::draw(14);
        $examples = [];
        for ($i = 0; $i < 12; $i++) {
            $points = self::figure($draw);
            if ($i % 4 === 1) {
                unset($points['left_hip'], $points['right_wrist']);
            }
            $sides = [Handedness::Left, Handedness::Right];
            [$throwing, $target] = [$sides[$i % 2], $sides[intdiv($i, 2) % 2]];
            $ends = fn (): array => [[$draw(0, 500), $draw(0, 300)], [$draw(600, 1200), $draw(400, 700)]];
            $setting = [
                'target' => $target->value,
                'plumb' => $i % 3 === 0 ? [[$draw(880, 920), 80.0], [$draw(880, 920), 690.0]] : null,
                'runway' => $i % 5 === 0 ? null : $ends(),
                'scale' => null,
            ];
            $line = fn (?array $of): ?Line => $of === null ? null : new Line(new Point(...$of[0]), new Point(...$of[1]));
            $picture = new Picture(
                new Landmarks($points), $throwing, $target, plumb: $line($setting['plumb']), runway: $line($setting['runway']),
            );
            $spread = array_map(fn (): float => $draw(0.5, 6), $points);
            $longest = ['upper_arm' => $draw(0.4, 1.2), 'forearm' => $draw(0.4, 1.2), 'thigh' => $draw(0.6, 1.4)];
            $figures = $turned = [];
            foreach (FrameFigure::cases() as $figure) {
                $turned[$figure->value] = Foreshortening::degrees($figure, $picture, $longest);
                $value = $figure->of($picture);
                $figures[$figure->value] = $value === null ? null : [$value, $figure->spread($picture, $spread)];
            }
            $examples[] = [
                'throwing' => $throwing->value, 'setting' => $setting,
                'points' => array_combine(array_keys($points), array_map(
                    fn (Point $at, float $px): array => [$at->x, $at->y, $px], $points, $spread,
                )),
                'figures' => $figures,
                'lengths' => (object) Foreshortening::lengths($picture->landmarks), 'longest' => $longest, 'turned' => $turned,
            ];
        }
        $bands = [];
        foreach ([[null, 150.0], [100.0, null], [100.0, 150.0]] as [$low, $high]) {
            $band = new MeasureBand('contact', FrameFigure::ThrowingElbow, $low, $high);
            foreach ([90.0, 99.0, 100.0, 104.0, 125.0, 149.0, 151.0, 170.0] as $value) {
                foreach ([0.0, 1.0, 3.0, 40.0] as $sd) {
                    $look = $band->judge($value, $sd)->value;
                    $bands[] = ['low' => $low, 'high' => $high, 'value' => $value, 'spread' => $sd, 'look' => $look];
                }
            }
        }
        $changes = [];
        $pairs = [[[10.0, 1.0], [12.0, 1.0]], [[10.0, 1.0], [13.0, 1.0]], [[5.0, 0.0], [5.0, 0.0]], [[0.3, 0.02], [0.1, 0.03]]];
        foreach ($pairs as [$one, $other]) {
            $changes[] = ['first' => $one, 'second' => $other] + (array) FigureChange::between($one, $other);
        }
        $all = ['frames' => $examples, 'bands' => $bands, 'changes' => $changes];
        $said = json_encode($all, JSON_PRESERVE_ZERO_FRACTION | JSON_PRETTY_PRINT)."\n";
        if (getenv('AUGENDO_WRITE_EXAMPLES') === '1') {
            file_put_contents(self::EXAMPLES, $said);
        }
        $this->assertJsonStringEqualsJsonFile(self::EXAMPLES, $said);
    }

    /** A forearm of known length turned towards the camera looks as long as its cosine. */
    public function test_a_limb_that_is_turned_out_of_the_picture_is_told_and_says_nothing_of_the_band(): void
    {
        $at = fn (float $turned): Picture => new Picture(new Landmarks([
            'left_shoulder' => new Point(580, 300), 'right_shoulder' => new Point(620, 300),
            'left_hip' => new Point(580, 500), 'right_hip' => new Point(620, 500),
            'right_elbow' => new Point(740, 300), 'right_wrist' => new Point(740 + 110 * cos(deg2rad($turned)), 300),
        ]), Handedness::Right, Handedness::Right);
        $longest = Foreshortening::longest([$at(0)->landmarks, $at(50)->landmarks]);
        $this->assertEqualsWithDelta(['upper_arm' => 0.6, 'forearm' => 0.55], $longest, 1e-12);
        $band = new MeasureBand('contact', FrameFigure::ThrowingElbow, 150.0, null);
        $spread = array_fill_keys(Landmarks::names(), 0.5);
        foreach ([0.0, 29.0, 31.0, 60.0] as $turned) {
            $this->assertEqualsWithDelta($turned, Foreshortening::degrees(FrameFigure::ThrowingElbow, $at($turned), $longest), 1e-5);
            $judged = Judged::of($band, $at($turned), $spread, $longest);
            $this->assertSame($turned > 30.0, $judged?->look === Look::Uncertain, "{$turned}");
            $this->assertSame($turned > 30.0, $judged?->turnedDeg !== null);
        }
        $this->assertSame(Look::Right, Judged::of($band, $at(60), $spread)?->look, 'nothing is known to hold it against');
        $this->assertNull(Foreshortening::degrees(FrameFigure::TrunkTilt, $at(60), $longest), 'made of no limb');
    }

    public function test_the_spread_is_that_of_points_put_many_times(): void
    {
        $draw = self::draw(3);
        $points = self::figure($draw);
        $picture = new Picture(new Landmarks($points), Handedness::Right, Handedness::Right);
        $normal = fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        $spread = array_fill_keys(array_keys($points), 1.5);
        $figures = [FrameFigure::ThrowingElbow, FrameFigure::TrunkTilt, FrameFigure::ElbowAboveShoulder, FrameFigure::ShoulderLine];
        foreach ($figures as $figure) {
            $values = [];
            for ($i = 0; $i < 3000; $i++) {
                $values[] = $figure->of($picture->with(new Landmarks(
                    array_map(fn (Point $at): Point => $at->moved(1.5 * $normal(), 1.5 * $normal()), $points),
                )));
            }
            $mean = array_sum($values) / count($values);
            $sd = sqrt(array_sum(array_map(fn (?float $value): float => ($value - $mean) ** 2, $values)) / count($values));
            $this->assertEqualsWithDelta(1.0, $figure->spread($picture, $spread) / $sd, 0.06, $figure->value);
        }
    }

    public function test_what_a_figure_needs_is_enough_and_nothing_of_it_can_be_left_out(): void
    {
        $points = self::figure(self::draw(8));
        foreach (FrameFigure::cases() as $figure) {
            foreach ([Handedness::Left, Handedness::Right] as $throwing) {
                $of = fn (array $with): ?float => $figure->of(new Picture(
                    new Landmarks($with), $throwing, Handedness::Right, runway: new Line(new Point(0, 700), new Point(900, 690)),
                ));
                $needed = array_intersect_key($points, array_flip($figure->needs($throwing)));
                $this->assertNotNull($of($needed), $figure->value);
                foreach (array_keys($needed) as $name) {
                    $this->assertNull($of(array_diff_key($needed, [$name => 0])), "{$figure->value} without {$name}");
                }
            }
        }
    }

    public function test_a_measure_counts_against_by_itself_and_for_only_with_a_person_who_looked(): void
    {
        $this->assertFalse(Look::Wrong->asSeen(null));
        $this->assertNull(Look::Right->asSeen(null));
        $this->assertNull(Look::Uncertain->asSeen(null));
        $this->assertTrue(Look::Right->asSeen(true));
        $this->assertTrue(Look::Wrong->asSeen(true));
        $this->assertFalse(Look::Right->asSeen(false));
    }

    public function test_a_clip_adds_to_what_was_seen_and_under_sixteen_makes_nothing_good_that_nobody_saw(): void
    {
        $all = ['arm' => true, 'toss' => true];
        foreach ([15, null] as $age) {
            $this->assertNull(ClipRule::seen(null, [], $all, $age));
            $this->assertSame(['arm' => false], ClipRule::seen(null, [], ['arm' => false], $age));
            $this->assertSame(['arm' => false, 'toss' => true], ClipRule::seen(true, $all, ['arm' => false], $age));
        }
        $this->assertSame($all, ClipRule::seen(null, [], $all, 16));
        $this->assertNull(ClipRule::notJudged([1 => $all, 2 => $all], [2, 1]));
        $this->assertSame(2, ClipRule::notJudged([1 => $all, 2 => $all], [1]));
        $this->assertSame(1, ClipRule::notJudged([1 => []], [1]));
    }

    public function test_a_band_without_a_bound_or_upside_down_is_refused(): void
    {
        foreach ([[null, null], [5.0, 5.0], [9.0, 3.0]] as [$low, $high]) {
            try {
                new MeasureBand('contact', FrameFigure::TrunkTilt, $low, $high);
                $this->fail('It was taken.');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    public function test_whose_yes_a_camera_waits_for(): void
    {
        $asked = [
            [null, ['guardian', 'athlete']], [8, ['guardian']], [11, ['guardian']], [12, ['guardian', 'athlete']],
            [17, ['guardian', 'athlete']], [18, ['athlete']],
        ];
        foreach ($asked as [$age, $who]) {
            $this->assertSame($who, FilmConsent::asked($age));
            $this->assertSame($who, FilmConsent::missing($age, []));
            $this->assertSame([], FilmConsent::missing($age, ['guardian', 'athlete']));
        }
        $this->assertSame(['athlete'], FilmConsent::missing(14, ['guardian']));
        $this->assertTrue(FilmConsent::holds(true, 'A parent', null));
        $this->assertFalse(FilmConsent::holds(false, 'A parent', null));
        $this->assertFalse(FilmConsent::holds(false, 'A parent', ' a Parent '));
        $this->assertFalse(FilmConsent::holds(false, 'A parent', '  '));
        $this->assertTrue(FilmConsent::holds(false, 'A parent', 'Somebody else'));
    }
}
