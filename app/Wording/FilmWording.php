<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Courtside\Tap;
use Augendo\Core\Day;
use Augendo\Core\Frames\FilmConsent;
use Augendo\Core\Frames\FrameFigure;
use Augendo\Core\Frames\MeasureBand;
use Augendo\Core\Library\DrillDose;

/** Pictures in words. */
final class FilmWording
{
    /** @param  'guardian'|'athlete'  $role */
    public static function missing(string $role, string $kind = FilmConsent::MEASURE): string
    {
        return ($role === FilmConsent::GUARDIAN ? 'A guardian' : 'The athlete').' has not agreed to '
            .($kind === FilmConsent::SEND ? 'a clip being sent in' : 'film')
            .': on their own page, or on paper with a second person’s name.';
    }

    /** @param  bool  $pictures  whether single pictures may be saved, too */
    public static function consent(
        string $role, string $by, bool $ownPage, ?string $secondPerson, string $kind, bool $pictures, Day $on, ?Day $withdrawn,
    ): string {
        $to = match (true) {
            $kind === FilmConsent::SEND => ', to a clip being sent in',
            $pictures => ', to measuring and to single pictures',
            default => ', to measuring',
        };
        $who = $role === FilmConsent::GUARDIAN ? 'guardian' : 'the athlete';
        $how = match (true) {
            $ownPage => 'on a page of their own',
            $secondPerson === null => 'on paper, but nobody wrote down who saw it signed: enter it again',
            default => "on paper, seen by {$secondPerson}",
        };

        $gone = $withdrawn === null ? '' : ' Withdrawn on '.Wording::day($withdrawn).'.';

        return "{$by} ({$who}), ".Wording::day($on)."{$to}, {$how}.{$gone}";
    }

    /** @param  int  $of  pictures both looked at */
    public static function agreement(int $agreed, int $of): string
    {
        return $of === 1
            ? ($agreed === 1 ? 'You two saw the same.' : 'You two saw it differently: talk about it.')
            : "You two agree on {$agreed} of {$of}.";
    }

    public static function turned(float $degrees): string
    {
        return 'turned out of the picture by about '.(int) (5 * round($degrees / 5)).'°: reads wrong';
    }

    public static function pictureGone(Day $on): string
    {
        return 'Picture withdrawn on '.Wording::day($on).'.';
    }

    public static function figure(FrameFigure $figure): string
    {
        return match ($figure) {
            FrameFigure::ThrowingElbow => 'Elbow',
            FrameFigure::ThrowingShoulder => 'Upper arm from the trunk',
            FrameFigure::ThrowingHip => 'Hip',
            FrameFigure::ThrowingKnee => 'Back knee',
            FrameFigure::OtherElbow => 'Front elbow',
            FrameFigure::OtherShoulder => 'Front arm from the trunk',
            FrameFigure::OtherHip => 'Front hip',
            FrameFigure::OtherKnee => 'Front knee',
            FrameFigure::TrunkTilt => 'Trunk, towards the target',
            FrameFigure::ShoulderLine => 'Shoulders, front one higher',
            FrameFigure::WristAboveElbow => 'Wrist above the elbow',
            FrameFigure::ElbowAboveShoulder => 'Elbow above the shoulder',
            FrameFigure::BallAboveShoulder => 'Ball above the shoulder',
            FrameFigure::BallForward => 'Ball beyond the front foot',
            FrameFigure::LandingOffset => 'Feet right of the run-up line',
        };
    }

    /** @param  float  $spread  one standard deviation; ± is where the truth lies 95 times of 100 */
    public static function value(FrameFigure $figure, float $value, float $spread): string
    {
        $off = MeasureBand::SURE_SD * $spread;

        return $figure->unit() === 'deg'
            ? Wording::number($value, 0).'° ± '.Wording::number(max(1.0, $off), 0).'°'
            : Wording::number($value, 2).' ± '.Wording::number(max(0.01, $off), 2).' of a trunk';
    }

    public static function counted(Tap $rep, Day $day): string
    {
        $verdict = ['good' => 'good', 'not_good' => 'not good'][$rep->verdict] ?? 'not seen';

        return Wording::day($day).', '.substr($rep->at->text, 11, 8).": {$verdict}".($rep->seen === null ? '' : ', looked at closely');
    }

    /**
     * @param  list<string>  $names  of the faults it wants mended
     * @param  array{agreed: int, of: int}|null  $agreement  with what was seen on the page
     */
    public static function reviewSent(array $names, Day $on, string $whom, ?Day $until, int $opened, ?array $agreement): string
    {
        return Wording::day($on).': '.implode(', ', $names)
            .($whom === '' ? '' : ", for {$whom}")
            .($until === null ? '' : ', until '.Wording::day($until))
            .match ($opened) {
                0 => '. Not opened yet.',
                1 => '. Opened once.',
                default => ". Opened {$opened} times.",
            }
            .($agreement === null ? '' : " Saw {$agreement['agreed']} of {$agreement['of']} as you did.");
    }

    public static function drillDose(DrillDose $dose): string
    {
        return "{$dose->reps} times"
            .($dose->holdS === null ? '' : ", held {$dose->holdS} seconds")
            .', at '.Wording::dose($dose->effort, $dose->distanceM);
    }

    public static function between(string $from, string $to, float $seconds): string
    {
        return "{$from} to ".lcfirst($to).': '.Wording::number($seconds, 2).' s';
    }
}
