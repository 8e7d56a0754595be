<?php

declare(strict_types=1);

namespace App\Film;

use Augendo\Core\Frames\Foreshortening;
use Augendo\Core\Frames\Judged;
use Augendo\Core\Frames\Landmarks;
use Augendo\Core\Frames\Line;
use Augendo\Core\Frames\Picture;
use Augendo\Core\Frames\Point;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Handedness;

/**
 * A kept clip, as the core measures it: worked out from the points each time, never from a figure somebody sent.
 *
 * Points are x, y and their spread in pixels, by landmark.
 *
 * @phpstan-type Points array<string, array{0: float, 1: float, 2: float}>
 * @phpstan-type Mark array{rep: int, moment: string, picture_no: int, time_s: float, points: Points}
 */
final readonly class MeasuredClip
{
    /**
     * @param  list<Mark>  $marks
     * @param  array<string, mixed>  $setting
     * @param  array<string, float>  $longest  of the athlete's limbs
     * @param  list<array{rep: int, checkpoint: string, verdict: string}>  $seen
     */
    private function __construct(
        public \stdClass $row,
        public array $marks,
        public array $seen,
        private array $setting,
        private Handedness $throwing,
        private array $longest,
    ) {}

    /** @param  array<string, float>  $longest  of the athlete's limbs, see longest() */
    public static function of(\stdClass $row, Handedness $throwing, array $longest = []): self
    {
        return new self(
            row: $row,
            marks: json_decode($row->marks, true),
            seen: json_decode($row->seen, true),
            setting: json_decode($row->setting, true),
            throwing: $throwing,
            longest: $longest,
        );
    }

    /**
     * @param  iterable<\stdClass>  $rows  clips of one athlete
     * @return array<string, float> the longest each limb looked in any of them, in trunks
     */
    public static function longest(iterable $rows): array
    {
        $all = [];
        foreach ($rows as $row) {
            foreach (json_decode($row->marks, true) as $mark) {
                $all[] = self::landmarks($mark);
            }
        }

        return Foreshortening::longest($all);
    }

    /** Where in the picture the target lies. */
    public function target(): Handedness
    {
        return Handedness::from($this->setting['target']);
    }

    /** @return list<int> */
    public function reps(): array
    {
        $reps = array_unique(array_column($this->marks, 'rep'));
        sort($reps);

        return $reps;
    }

    /** @return Mark|null */
    public function mark(int $rep, string $moment): ?array
    {
        foreach ($this->marks as $mark) {
            if ($mark['rep'] === $rep && $mark['moment'] === $moment) {
                return $mark;
            }
        }

        return null;
    }

    /** @param  Mark  $mark */
    private static function landmarks(array $mark): Landmarks
    {
        return new Landmarks(array_map(fn (array $at): Point => new Point($at[0], $at[1]), $mark['points']));
    }

    /** @param  Mark  $mark */
    private function picture(array $mark): Picture
    {
        $line = fn (?array $ends): ?Line => $ends === null ? null : new Line(new Point(...$ends[0]), new Point(...$ends[1]));

        return new Picture(
            self::landmarks($mark),
            throwingSide: $this->throwing,
            target: $this->target(),
            plumb: $line($this->setting['plumb']),
            scale: $line($this->setting['scale']['line'] ?? null),
            scaleM: isset($this->setting['scale']) ? (float) $this->setting['scale']['metres'] : null,
            runway: $line($this->setting['runway']),
        );
    }

    /**
     * @param  Mark  $mark
     * @return array<string, float> standard deviation of each point in pixels
     */
    private static function spread(array $mark): array
    {
        return array_map(fn (array $at): float => (float) $at[2], $mark['points']);
    }

    /** @return Judged|null null where the checkpoint asks no picture, or a point it needs is not there */
    public function look(int $rep, Checkpoint $checkpoint): ?Judged
    {
        $mark = $checkpoint->measure === null ? null : $this->mark($rep, $checkpoint->measure->moment);

        return $mark === null || $checkpoint->measure === null
            ? null
            : Judged::of($checkpoint->measure, $this->picture($mark), self::spread($mark), $this->longest);
    }

    /** @return 'right'|'wrong'|null what somebody who looked said */
    public function saidOf(int $rep, string $checkpoint): ?string
    {
        foreach ($this->seen as $seen) {
            if ($seen['rep'] === $rep && $seen['checkpoint'] === $checkpoint) {
                return $seen['verdict'];
            }
        }

        return null;
    }
}
