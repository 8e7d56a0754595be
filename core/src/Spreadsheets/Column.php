<?php

declare(strict_types=1);

namespace Augendo\Core\Spreadsheets;

/** What a column of a spreadsheet says. */
enum Column: string
{
    case Day = 'day';
    case Name = 'name';
    case GivenName = 'given_name';
    case FamilyName = 'family_name';
    case BirthDate = 'birth_date';
    case ThrowingSide = 'throwing_side';
    case Skill = 'skill';
    case Sets = 'sets';
    case Reps = 'reps';
    case Effort = 'effort';
    case Distance = 'distance';
    case Side = 'side';
    case Where = 'where';

    /** What clubs write above such a column, without what stands in brackets behind it. */
    private const NAMES = [
        'day' => ['day', 'date', 'session date', 'training date', 'when'],
        'name' => ['name', 'athlete', 'player', 'athlete name', 'player name', 'full name', 'who'],
        'given_name' => ['given name', 'first name', 'forename', 'given', 'first'],
        'family_name' => ['family name', 'last name', 'surname', 'family', 'last'],
        'birth_date' => ['birth date', 'date of birth', 'birthday', 'dob', 'born', 'born on'],
        'throwing_side' => ['throwing side', 'throwing hand', 'throwing arm', 'hand', 'handedness', 'throws', 'arm'],
        'skill' => ['skill', 'what', 'work', 'exercise', 'activity', 'type', 'drill', 'task'],
        'sets' => ['sets', 'number of sets', 'rounds', 'series'],
        'reps' => [
            'reps', 'repetitions', 'count', 'number', 'how many', 'throws', 'serves', 'jumps', 'pitches', 'reps per set',
            'total', 'total reps',
        ],
        'effort' => ['effort', 'intensity', 'how hard', 'effort percent', 'percent', 'effort pct'],
        'distance' => ['distance', 'how far', 'length', 'throw distance', 'range'],
        'side' => ['side', 'arm', 'hand', 'body side', 'which side', 'which arm'],
        'where' => ['where', 'place', 'source', 'where done', 'location'],
    ];

    /**
     * @param  list<string>  $header  as it stands in the file
     * @return array<int, self> by place in the row, each column of the kind at most once: the first that fits
     */
    public static function guess(Kind $kind, array $header): array
    {
        $guessed = [];
        foreach ($header as $at => $title) {
            $name = self::plain($title);
            foreach ($kind->columns() as $column) {
                if (in_array($name, self::NAMES[$column->value], true) && ! in_array($column, $guessed, true)) {
                    $guessed[$at] = $column;
                    break;
                }
            }
        }

        return $guessed;
    }

    private static function plain(string $title): string
    {
        $bare = preg_replace('/\([^)]*\)|\[[^\]]*\]|[%#]/u', ' ', mb_strtolower($title)) ?? '';

        return trim(preg_replace('/[^a-z0-9]+/', ' ', $bare) ?? '');
    }
}
