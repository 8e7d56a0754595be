<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\Athletes\Athlete;
use App\People\User;
use Illuminate\Support\Str;

/** Athletes by the name somebody may have written: without capitals and accents, given name first. */
final readonly class KnownNames
{
    /**
     * @param  array<string, list<Athlete>>  $byName
     * @param  array<string, Athlete>  $byId
     */
    private function __construct(private array $byName, private array $byId) {}

    /** Those whom somebody may decide for; who retired is among them. */
    public static function of(User $user): self
    {
        $byName = $byId = [];
        foreach ($user->visibleAthletes()->get() as $athlete) {
            $byName[self::plain($athlete->given_name, $athlete->family_name)][] = $athlete;
            $byId[$athlete->id] = $athlete;
        }

        return new self($byName, $byId);
    }

    /** @return list<Athlete> */
    public function named(string $given, string $family): array
    {
        return $this->byName[self::plain($given, $family)] ?? [];
    }

    public function withId(string $id): ?Athlete
    {
        return $this->byId[$id] ?? null;
    }

    public static function plain(string $given, string $family): string
    {
        return trim(preg_replace('/[^a-z0-9]+/', ' ', Str::lower(Str::ascii("{$given} {$family}"))) ?? '');
    }
}
