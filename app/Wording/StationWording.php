<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Stations\StationFlag;
use Augendo\Core\Stations\WhatWouldHelp;

/** What has to be seen to before a squad's hour begins, in words. */
final readonly class StationWording
{
    /**
     * @param  array<string, string>  $spaces  titles by id
     * @param  array<string, string>  $skills  names by id
     */
    public function __construct(private array $spaces, private array $skills) {}

    public function flag(StationFlag $flag): string
    {
        $space = $this->spaces[$flag->space] ?? '';
        $skill = lcfirst($this->skills[$flag->skill] ?? '');
        $place = lcfirst($space) === $skill ? $space : "{$space}, {$skill}";
        $wanted = Wording::number($flag->wanted ?? 0.0);
        $there = Wording::number($flag->there ?? 0.0);

        return match ($flag->code) {
            'nobody' => 'Nobody is there. Mark somebody as here, or plan a session for another day.',
            'no_space' => $flag->there === null
                ? ucfirst($skill).' needs a sector that is kept free: no space is one. Set one, or another day.'
                : ucfirst($skill)." needs {$wanted} m with the margin behind it; the longest space is {$there} m. It is left out.",
            'no_balls' => ucfirst($skill)." needs {$wanted} balls each, {$there} are there. It is left out.",
            'no_adult' => ucfirst($skill).' needs an adult beside it, and nobody is there. It is left out.',
            'time' => Wording::count((int) ceil($flag->wanted ?? 0.0), 'minute').' of work, of everybody together, found no place.',
            'hard_floor' => "{$space}: landings on a hard or unknown floor. Mats or another place; until then every landing "
                .'counts a quarter more.',
            'one_way' => "{$place}: throw one way, on the call of one adult; when the round ends nobody throws, and all collect "
                .'together.',
            'unwatched' => "{$place}: no adult stands there. Stay in sight of it, or ask one more to come.",
            'little' => 'Whoever has least works '
                .Wording::percentBeside($flag->there ?? 0.0, $flag->wanted ?? 0.0).' of the time. Aim for '
                .Wording::percent($flag->wanted ?? 0.0).'.',
            'idle_adult' => "{$there} adults, {$wanted} ".($flag->wanted === 1.0 ? 'place' : 'places')
                .' at once: the others coach one athlete each, or help where most work.',
            'ends_early' => "{$wanted} minutes do it. The rest is for footwork, rehearsal or a scoring task, or an early end: "
                .'nothing is thrown because there is time.',
        };
    }

    public function wouldHelp(?WhatWouldHelp $help): ?string
    {
        if ($help === null) {
            return null;
        }
        $what = match ($help->what) {
            'lane' => 'one lane more in '.$this->spaces[(string) $help->space],
            'balls' => Wording::count($help->more, 'ball').' more',
            'adult' => 'one adult more',
            'minutes' => Wording::count($help->more, 'minute').' more',
        };
        $brings = $help->seconds > 0
            ? 'finds room for '.Wording::count(max(1, (int) round($help->seconds / 60)), 'minute').' of work'
            : 'gives everybody '.Wording::percent($help->leastShare).' of the time at least';

        return "The smallest change that would help: {$what}. It {$brings}.";
    }
}
