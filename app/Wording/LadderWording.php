<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Library\DrillWanted;
use Augendo\Core\Library\Feed;
use Augendo\Core\Library\Manner;
use Augendo\Core\Library\SizeTable;
use Augendo\Core\Library\Tempo;

/** What a ladder says about a rung and a dose, in words. */
final class LadderWording
{
    private const PARTS = [
        'purpose' => 'Why',
        'set_up' => 'Set-up',
        'look_first' => 'Look first at',
        'good' => 'Good is',
        'easier' => 'Easier',
        'harder' => 'Harder',
        'alone' => 'Alone or in pairs',
        'group' => 'With a group',
        'coach_mistake' => 'The coach’s usual mistake',
        'go_back' => 'Going back',
    ];

    /** @param  string  $key  a part of Teaching */
    public static function part(string $key): string
    {
        return self::PARTS[$key];
    }

    public const REFERS = 'Neck, chest, back and head go to a licensed clinician first. No drill is offered around them.';

    public const WHERE = 'Say what is sore: “sore wrist”, “sore knee”. Until then nothing is named that could load it.';

    /** @return list<string> how the words of a search were understood; none where they are only looked for */
    public static function wanted(DrillWanted $wanted): array
    {
        $sites = implode(' and ', array_map(Wording::site(...), $wanted->sore));

        return array_values(array_filter([
            $wanted->sore === [] || $wanted->refers()
                ? null
                : "With a sore {$sites}: nothing that loads ".Wording::channels($wanted->spared()).'.',
            $wanted->alone ? 'Alone.' : null,
            $wanted->indoors ? 'Nothing that needs a sector.' : null,
            $wanted->seated ? 'From a chair.' : null,
        ]));
    }

    /** @return string|null what is thrown at which age; null: the same at every age */
    public static function sizes(?SizeTable $table): ?string
    {
        if ($table === null || ($table->ages === [] && $table->grown->id === $table->meant->id)) {
            return null;
        }
        $rows = array_map(fn (array $row): string => lcfirst($row[1]->name)." up to {$row[0]} years", $table->ages);

        return ucfirst(implode(', ', [...$rows, ($rows === [] ? '' : 'then ').lcfirst($table->grown->name)])).'.';
    }

    /** @return string|null null: nobody has said */
    public static function manner(?Manner $manner): ?string
    {
        if ($manner === null) {
            return null;
        }
        $feed = match ($manner->feed) {
            null, Feed::None => null,
            Feed::SelfToss => 'own toss',
            Feed::Drop => 'dropped ball',
            Feed::Partner => 'fed by a partner',
            Feed::Coach => 'fed by the coach',
            Feed::Machine => 'fed by a machine',
            Feed::Live => 'as in play',
        };
        $tempo = match ($manner->tempo) {
            null => null,
            Tempo::Held => 'held still',
            Tempo::Segmented => 'with a stop between the parts',
            Tempo::Counted => 'counted: '.implode(', ', $manner->counts),
            Tempo::SlowThenFast => 'slow, then fast',
            Tempo::Continuous => 'in one flow',
        };
        $marks = array_filter([
            $manner->targetM === null ? null : 'marks '.Wording::length($manner->targetM).' wide',
            $manner->spreadM === null ? null : Wording::length($manner->spreadM).' between the outer ones',
        ]);
        $words = array_filter([
            $feed === null ? null : $feed.($manner->varied ? ', varied' : ''),
            $tempo,
            $manner->eyesShut ? 'eyes shut' : null,
            $manner->alternates ? 'sides in turn' : null,
            implode(', ', $marks),
        ]);

        return $words === [] ? null : implode('; ', $words);
    }
}
