<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Athletes\Athlete;
use App\Film\Clips;
use App\Film\FilmConsents;
use App\Gates\Placement;
use App\People\Role;
use Augendo\Core\Frames\FilmConsent;
use Illuminate\Support\Str;

/** Three clips of one athlete who agreed to it, measured over three weeks: the elbow comes up, the arm grows long. */
final class Filmed
{
    /** Where the joints of a right-hander lie, in lengths of the trunk from the hips; x towards the target, y up. */
    private const BACK = [
        'left_shoulder' => [0.22, 1.04], 'right_shoulder' => [-0.20, 0.90], 'left_elbow' => [0.42, 1.45], 'left_wrist' => [0.50, 1.85],
        'left_hip' => [0.12, 0.01], 'right_hip' => [-0.12, -0.01], 'left_knee' => [0.46, -0.72], 'right_knee' => [-0.08, -0.72],
        'left_ankle' => [0.34, -1.50], 'right_ankle' => [-0.42, -1.50], 'ball' => [0.62, 2.30],
    ];

    private const CONTACT = [
        'left_shoulder' => [0.02, 0.90], 'right_shoulder' => [0.20, 1.08], 'left_elbow' => [0.12, 0.45], 'left_wrist' => [-0.02, 0.20],
        'left_hip' => [0.10, 0.00], 'right_hip' => [-0.10, 0.00], 'left_knee' => [0.02, -0.85], 'right_knee' => [-0.22, -0.84],
        'left_ankle' => [-0.06, -1.68], 'right_ankle' => [-0.42, -1.62], 'ball' => [0.64, 2.10],
    ];

    private const TRUNK_PX = 110.0;

    private const HIPS_PX = [480.0, 320.0];

    /** About what a hand is off by on a picture so large. */
    private const SPREAD_PX = 1.5;

    /** Of each clip: days ago, and of each repetition the height of the elbow in trunks, and the angle at it in degrees. */
    private const CLIPS = [
        [22, [[-0.06, 138.0], [-0.02, 142.0]]],
        [13, [[0.03, 149.0], [0.06, 146.0]]],
        [4, [[0.14, 162.0], [0.17, 166.0]]],
    ];

    public static function tell(Club $club, string $givenName): void
    {
        $athlete = Athlete::query()->where('workspace_id', $club->workspace->id)->where('given_name', $givenName)->firstOrFail();
        $placement = Placement::standing()->where('athlete_id', $athlete->id)->orderBy('entered_at')->firstOrFail();
        $today = $club->workspace->today();
        app(FilmConsents::class)->give($athlete, [
            'id' => (string) Str::uuid7(), 'kind' => FilmConsent::MEASURE, 'pictures' => true, 'role' => FilmConsent::ATHLETE,
            'given_by' => $athlete->name(), 'second_person' => null,
            'given_on' => $today->plus(-30)->iso(),
        ], $club->person(Role::Athlete));
        foreach (self::CLIPS as [$daysAgo, $reps]) {
            app(Clips::class)->keep($athlete, [
                'id' => (string) Str::uuid7(), 'ladder' => $placement->ladder, 'rung' => $placement->rung,
                'filmed_on' => $today->plus(-$daysAgo)->iso(), 'pictures_a_second' => 60,
                'setting' => ['target' => 'right', 'plumb' => null, 'runway' => null, 'scale' => null],
                'marks' => self::marks($reps), 'counted' => [], 'pictures' => [],
                'seen' => [['rep' => 1, 'checkpoint' => 'contact', 'verdict' => $reps[0][1] > 150 ? 'right' : 'wrong']],
            ], $club->person(Role::Coach));
        }
    }

    /**
     * @param  list<array{float, float}>  $reps
     * @return list<array<string, mixed>>
     */
    private static function marks(array $reps): array
    {
        $marks = [];
        foreach ($reps as $i => [$elbowUp, $degrees]) {
            $backNo = 55 + 96 * $i;
            $shoulder = self::BACK['right_shoulder'];
            $elbow = [$shoulder[0] - 0.46, $shoulder[1] + $elbowUp];
            $hand = ['right_elbow' => $elbow, 'right_wrist' => [$elbow[0] + 0.16, $elbow[1] + 0.42]];
            $marks[] = self::mark($i + 1, 'back', $backNo, [...self::BACK, ...$hand]);
            $marks[] = self::mark($i + 1, 'contact', $backNo + 11, [...self::CONTACT, ...self::reaching($degrees)]);
        }

        return $marks;
    }

    /** @return array<string, array{float, float}> the arm up to the ball, bent so far at the elbow */
    private static function reaching(float $degrees): array
    {
        [$x, $y] = self::CONTACT['right_shoulder'];
        $elbow = [$x + 0.14, $y + 0.48];
        $up = atan2($elbow[1] - $y, $elbow[0] - $x) + deg2rad(180 - $degrees);

        return ['right_elbow' => $elbow, 'right_wrist' => [$elbow[0] + 0.44 * cos($up), $elbow[1] + 0.44 * sin($up)]];
    }

    /**
     * @param  array<string, array{float, float}>  $joints
     * @return array<string, mixed>
     */
    private static function mark(int $rep, string $moment, int $no, array $joints): array
    {
        return [
            'rep' => $rep, 'moment' => $moment, 'picture_no' => $no, 'time_s' => $no / 60,
            'points' => array_map(fn (array $at): array => [
                round(self::HIPS_PX[0] + self::TRUNK_PX * $at[0], 1), round(self::HIPS_PX[1] - self::TRUNK_PX * $at[1], 1), self::SPREAD_PX,
            ], $joints),
        ];
    }
}
