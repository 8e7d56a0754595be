<?php

declare(strict_types=1);

namespace App\Wording;

use App\Athletes\Athlete;
use App\Health\Absence;
use App\Health\AbsenceKind;
use App\Health\Incident;
use App\Health\IncidentEntry;
use App\Health\IncidentKind;
use App\Health\Restriction;
use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Limits\Covers;
use Augendo\Core\Readiness\Closing;

/** Days away, illness and what a clinician restricts, in words. */
final class AwayWording
{
    /** Who says that nobody who is away trains. */
    public const SOURCE = 'Calendar';

    private const AFTER_A_HEAD_KNOCK = 'After a head knock: no sport that day and until a doctor has cleared it. '
        .'Headache that grows worse, vomiting, confusion, drowsiness, a fit or fluid from nose or ear: emergency services at once.';

    /** Its name among the limits of a day. */
    public static function label(Absence $absence, Day $today): string
    {
        $until = Wording::day($absence->until($today));

        return match ($absence->kind) {
            AbsenceKind::Ill => $absence->fever ? 'Fever, and the way back from it' : "A cold, until {$until}",
            AbsenceKind::Other => "Away until {$until}",
            default => "Away until {$until}, {$absence->kind->value}",
        };
    }

    /** One line for whoever looks for them. */
    public static function absence(Absence $absence, Day $today): string
    {
        $days = self::days($absence->from(), $absence->until($today));
        if ($absence->kind !== AbsenceKind::Ill) {
            return ($absence->kind === AbsenceKind::Other ? 'Away' : ucfirst($absence->kind->value)).", {$days}.";
        }
        $what = $absence->fever ? 'Ill with fever' : 'Ill, no fever';
        if ($absence->ended_on !== null || ! $absence->fever) {
            return "{$what}, {$days}.".($absence->fever ? ' Back step by step.' : '');
        }
        $from = Wording::day($absence->from());
        $expected = Day::of(substr($absence->until_day, 0, 10));
        $until = match (true) {
            $today->isAfter($expected) => '. Nobody has said yet that it is over.',
            $expected->equals($absence->from()) => '. Say when it is over.',
            default => ', expected until '.Wording::day($expected).'.',
        };

        return "{$what} since {$from}{$until}";
    }

    public static function restriction(Restriction $restriction): string
    {
        $none = $restriction->noneUntil();
        $parts = $none === null ? [] : [self::none($restriction)];
        if ($none === null || $restriction->until()->isAfter($none)) {
            $parts[] = $none === null ? self::easier($restriction) : lcfirst(self::easier($restriction));
        }

        return implode(', then ', $parts).'.';
    }

    public static function none(Restriction $restriction): string
    {
        return 'No '.self::what($restriction->covers).' until '.Wording::day($restriction->noneUntil() ?? $restriction->until());
    }

    public static function easier(Restriction $restriction): string
    {
        $most = array_filter([
            $restriction->effort_max === null ? null : Wording::percent($restriction->effort_max),
            $restriction->reps_a_day === null ? null : "{$restriction->reps_a_day} a day",
        ]);

        return ucfirst(self::what($restriction->covers)).' at most '.implode(', ', $most).' until '.Wording::day($restriction->until());
    }

    public static function missing(Closing $missing): string
    {
        return match ($missing) {
            Closing::TellGuardian => 'Write down which guardian was told, and when.',
            Closing::TellSomebody => 'Write down who was told, and when.',
            Closing::ClearHead => 'A head knock is closed after a clinician’s clearance.',
        };
    }

    public static function incident(Incident $incident): string
    {
        return match ($incident->kind) {
            IncidentKind::Head => 'Head knock',
            IncidentKind::Fall => 'Fall',
            IncidentKind::Hit => 'Hit by a ball or an implement',
            IncidentKind::Strain => 'Strain or twist',
            IncidentKind::Other => 'Incident',
        };
    }

    public static function entry(IncidentEntry $entry): string
    {
        $what = match ($entry->kind) {
            'told' => 'Told'.($entry->who === null ? '' : " {$entry->who}"),
            'seen' => 'Seen by '.($entry->who ?? 'a clinician'),
            default => 'Done'.($entry->who === null ? '' : " by {$entry->who}"),
        };

        return self::at($entry->at).". {$what}: ".rtrim($entry->text, '.').'.';
    }

    /** To be handed on as it is: to a guardian, to a clinician. */
    public static function handOn(Incident $incident, Athlete $athlete, ?int $age): string
    {
        $what = $incident->what === '' ? 'How it happened was not written down.' : rtrim($incident->what, '.').'.';

        $who = $athlete->name().($age === null ? '' : ", {$age} years");

        return implode("\n", [
            "{$who}. ".self::incident($incident).', '.self::at($incident->at).'.',
            $what,
            ...$incident->entries->map(self::entry(...))->all(),
            ...$incident->kind === IncidentKind::Head ? [self::AFTER_A_HEAD_KNOCK] : [],
            'Written down with Augendo. This is no diagnosis.',
        ]);
    }

    private static function at(string $instant): string
    {
        return Wording::day(Instant::of($instant)->day).', '.substr($instant, 11, 5);
    }

    private static function what(Covers $covers): string
    {
        return match ($covers) {
            Covers::All => 'training',
            Covers::Overhead => 'overhead work',
            Covers::Arm => 'work with the arm',
            Covers::Landings => 'jumping and landing',
        };
    }

    private static function days(Day $from, Day $until): string
    {
        return $from->equals($until) ? Wording::day($from) : Wording::day($from).' to '.Wording::day($until);
    }
}
