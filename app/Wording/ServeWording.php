<?php

declare(strict_types=1);

namespace App\Wording;

use App\Flight\ServeStanding;
use Augendo\Core\Flight\Scatter;
use Augendo\Core\Flight\ServeAllowed;
use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Flight\ServeCounts;
use Augendo\Core\Flight\ServeLook;
use Augendo\Core\Flight\TwoServes;

/** Why serves miss and what would bring them in, in words. */
final class ServeWording
{
    /** What is changed, as a coach would say it. */
    public static function change(ServeChange $change): string
    {
        $parts = array_values(array_filter([
            $change->aimed > 0.0 ? self::aimed($change->aimed) : null,
            $change->pace < 1.0 ? Wording::percent($change->pace).' of the pace' : null,
            $change->topspinRpm > 0.0 ? Wording::number($change->topspinRpm).' turns a minute more topspin' : null,
            $change->higherM > 0.0 ? 'contact '.Wording::number(round(100 * $change->higherM)).' cm higher' : null,
        ]));

        return $parts === [] ? 'As now' : ucfirst(implode(', ', $parts));
    }

    private static function aimed(float $share): string
    {
        return 'aim '.($share >= 1.0 ? 'at' : Wording::percent($share).' of the way to').' the middle of the window';
    }

    /** @param  'return'|'rung'|'word'|'spin'|'height'  $why  see ServeAllowed */
    public static function refusal(string $why, ServeStanding $standing): string
    {
        return match ($why) {
            'return' => 'On the way back its stages say what is served: nothing is advised beside them.',
            'rung' => 'On “'.($standing->ignored->name ?? '').'” the result does not count yet: the motion comes first, so nothing is '
                .'advised here.',
            'word' => 'Today’s word is '.Wording::word($standing->word).': nothing is advised until it is better.',
            'spin' => 'More spin is for who serves with spin already, is thirteen or older, and has the word Full.',
            'height' => 'A higher contact is for a day with the word Full.',
        };
    }

    /**
     * @param  'return'|'rung'|'word'|null  $why  see ServeAllowed
     * @return string|null null: something is advised
     */
    public static function noAdvice(?string $why, ServeStanding $standing, ServeLook $look, ServeCounts $counts): ?string
    {
        return $why !== null ? self::refusal($why, $standing) : match (true) {
            $look->up === null => 'At this speed and from this height nothing is over the net and in. Take pace off, or hit it higher.',
            $look->across === null => 'Where it passes the side lines cannot be told from here.',
            $counts->all < ServeCounts::LEAST => 'Count ten serves at least: in, net, long, right, left.',
            default => null,
        };
    }

    /**
     * What is not for this athlete, or not for today, said where it is left out.
     *
     * @return list<string>
     */
    public static function leftOut(ServeAllowed $allowed, float $topspinRpm): array
    {
        return array_values(array_filter([
            $allowed->moreSpin($topspinRpm)
                ? null
                : 'More spin is left out: it is for who serves with spin already, is thirteen or older, and has the word Full.',
            $allowed->higher() ? null : 'A higher contact is left out: it is for a day with the word Full.',
        ]));
    }

    /**
     * What it comes to, first things first.
     *
     * @param  array{float, float}|null  $between  of the counted share; null: nothing is counted
     * @return list<string>
     */
    public static function told(ServeCounts $counts, ?array $between, ServeLook $look, ?Scatter $scatter): array
    {
        $drifts = $look->serve->isWithoutSpin();

        return array_values(array_filter([
            $between === null ? null : self::counted($counts, $between),
            $scatter === null ? null : self::misses($look->misses($scatter), $drifts),
            $look->isTooSlowToGoLong() ? 'So slow a serve does not go long: only the height over the net is told.' : null,
            $look->isTooSlowToGoLong() && $counts->long > 0 ? 'Some were counted as long, so it is faster than was said.' : null,
            $drifts ? 'A ball without spin drifts by itself, which nothing here foresees: only net and length are told.' : null,
        ]));
    }

    /** @param  array{net: float, long: float, right: float, left: float}  $misses */
    private static function misses(array $misses, bool $isWithoutSpin): string
    {
        $names = ['net' => 'into the net', 'long' => 'too long', 'right' => 'past the right line', 'left' => 'past the left line'];
        if ($isWithoutSpin) {
            unset($misses['right'], $misses['left']);
        }
        arsort($misses);
        $told = array_filter($misses, fn (float $share): bool => $share >= 0.02);

        return $told === [] ? 'Almost none of them miss.' : 'Of a hundred, '.implode(', ', array_map(
            fn (string $way, float $share): string => round(100 * $share)." {$names[$way]}", array_keys($told), $told,
        )).'.';
    }

    /** @param  array{float, float}  $between */
    private static function counted(ServeCounts $counts, array $between): string
    {
        return "{$counts->in} of {$counts->all} in: ".Wording::percent($counts->share()).' (95 of 100 such counts: '
            .Wording::percent($between[0]).' to '.Wording::percent($between[1]).').';
    }

    public static function two(TwoServes $two, float $first): string
    {
        $from = $two->worthFrom();
        $fault = 'Double faults: '.Wording::percent($two->doubleFault()).'. ';

        return $fault.match (true) {
            $from === null => 'No share of first serves makes this first serve worth its risk: hit the second one twice.',
            $first >= $from => 'The first serve is worth its risk from '.Wording::percent($from).' in.',
            default => 'The first serve is worth its risk from '.Wording::percent($from).' in: until then, take pace off it.',
        };
    }
}
