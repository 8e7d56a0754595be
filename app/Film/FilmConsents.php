<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Link;
use App\People\Role;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use App\Records\Sent;
use App\Wording\FilmWording;
use Augendo\Core\Day;
use Augendo\Core\Frames\FilmConsent;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Who agreed that an athlete is filmed and measured, or that a clip is sent in: given, withdrawn, and whether it is enough.
 *
 * @phpstan-type Consent array{
 *     id: string, kind: string, pictures: bool, role: string, given_by: string, second_person: string|null, given_on: string,
 * }
 */
final class FilmConsents
{
    /** @return Collection<int, \stdClass> the latest first */
    public static function of(string $athleteId): Collection
    {
        return DB::table('film_consents')->where('athlete_id', $athleteId)->orderByDesc('given_on')->orderByDesc('recorded_at')->get();
    }

    public static function holds(\stdClass $consent): bool
    {
        return $consent->withdrawn_on === null
            && FilmConsent::holds((bool) $consent->own_page, $consent->given_by, $consent->second_person);
    }

    /** @return list<'guardian'|'athlete'> whose consent is missing; empty: the camera may open */
    public static function missing(Athlete $athlete, Day $on, string $kind = FilmConsent::MEASURE): array
    {
        return self::missingOf($athlete, $on, fn (\stdClass $consent): bool => $consent->kind === $kind);
    }

    /** Whether everybody who is asked also agreed to single pictures being saved. */
    public static function mayKeepPictures(Athlete $athlete, Day $on): bool
    {
        return self::missingOf($athlete, $on, fn (\stdClass $consent): bool => (bool) $consent->pictures) === [];
    }

    /** A clip that is sent in is measured as well: both have to be agreed to. */
    public static function maySend(Athlete $athlete, Day $on): bool
    {
        return self::missing($athlete, $on) === [] && self::missing($athlete, $on, FilmConsent::SEND) === [];
    }

    /**
     * @param  Closure(\stdClass): bool  $counts  which consents count
     * @return list<'guardian'|'athlete'>
     */
    private static function missingOf(Athlete $athlete, Day $on, Closure $counts): array
    {
        $given = self::of($athlete->id)->filter(self::holds(...))->filter($counts)->pluck('role')->all();

        return FilmConsent::missing($athlete->ageOn($on), array_values($given));
    }

    /** @throws Problem when somebody has not agreed */
    public static function refuseWithout(Athlete $athlete, Day $on, string $kind = FilmConsent::MEASURE): void
    {
        $missing = self::missing($athlete, $on, $kind);
        if ($missing !== []) {
            throw new Problem(
                ProblemType::NobodyAgreedToFilm,
                implode(' ', array_map(fn (string $role): string => FilmWording::missing($role, $kind), $missing)),
            );
        }
    }

    /**
     * On paper, recorded by the coach; or said by whoever is signed in, for themselves.
     *
     * @param  array<string, mixed>  $given  validated; sent before, it changes nothing
     *
     * @phpstan-param  Consent  $given
     */
    public function give(Athlete $athlete, array $given, User $by): void
    {
        $own = [Role::Guardian->value => FilmConsent::GUARDIAN, Role::Athlete->value => FilmConsent::ATHLETE][$by->role->value] ?? null;
        $row = $own === null
            ? [...$given, 'own_page' => false]
            : [...$given, 'role' => $own, 'given_by' => $by->name, 'own_page' => true, 'second_person' => null];
        if (! FilmConsent::holds($row['own_page'], $row['given_by'], $row['second_person'])) {
            throw new Problem(
                ProblemType::SomeOfItCannotBeUsed,
                'A paper counts when a second person saw it signed: write their name, another one than the signer’s.',
                ['second_person' => ['Who saw it signed?']],
            );
        }
        $this->keep($athlete, $row, $by->id);
        Audit::of($by, $athlete, 'film agreed to', ['role' => $row['role'], 'given_by' => $row['given_by'], 'to' => $row['kind']]);
    }

    /**
     * By whoever holds a personal link, as far as it was said whose it is.
     *
     * @param  array{id: string, kind: string, pictures: bool, name: string}  $given  validated
     */
    public function giveByLink(Athlete $athlete, Link $link, array $given, Day $today): void
    {
        if (! in_array($link->held_by, FilmConsent::asked($athlete->ageOn($today)), true)) {
            throw new Problem(ProblemType::NotYoursToDo, 'This link does not say whose it is. Ask the coach for one of your own.');
        }
        $this->keep($athlete, [
            'id' => $given['id'], 'kind' => $given['kind'], 'pictures' => $given['pictures'], 'role' => $link->held_by,
            'given_by' => $given['name'], 'own_page' => true, 'second_person' => null,
            'given_on' => $today->iso(),
        ], null);
    }

    /** Measuring stops at once and pictures are erased; what was measured stays as numbers, and says so. */
    public function withdraw(Athlete $athlete, string $id, User $by): void
    {
        $role = DB::table('film_consents')->where('athlete_id', $athlete->id)->where('id', $id)->value('role')
            ?? throw new Problem(ProblemType::NotFound, 'This consent is not there any more.');
        $mayAlways = $by->role->decides() || $by->role === Role::Guardian;
        if (! $mayAlways && ! ($by->role === Role::Athlete && $role === FilmConsent::ATHLETE)) {
            throw new Problem(ProblemType::NotYoursToDo, 'Whoever agreed, a guardian or the coach takes it back.');
        }
        $this->takeBack($athlete, [$id], $by->workspace->today());
        Audit::of($by, $athlete, 'film consent withdrawn', ['role' => $role]);
    }

    /** Everything of a kind that was agreed by the side that holds this link. */
    public function withdrawByLink(Athlete $athlete, Link $link, string $kind, Day $today): void
    {
        $given = self::of($athlete->id)->where('role', $link->held_by)->where('kind', $kind)->pluck('id')->all();
        $this->takeBack($athlete, $given, $today);
    }

    /** @param  list<string>  $ids */
    private function takeBack(Athlete $athlete, array $ids, Day $today): void
    {
        Alone::with($athlete->id, function () use ($athlete, $ids, $today): void {
            $mightSend = self::maySend($athlete, $today);
            DB::table('film_consents')
                ->where('athlete_id', $athlete->id)
                ->whereIn('id', $ids)
                ->whereNull('withdrawn_on')
                ->update(['withdrawn_on' => $today->iso()]);
            if (! self::mayKeepPictures($athlete, $today)) {
                FilmPictures::erase($athlete->id, $today);
            }
            if ($mightSend && ! self::maySend($athlete, $today)) {
                AskedClips::eraseOf($athlete->id, alsoKept: true);
            }
        });
    }

    /** @param  array<string, mixed>  $row */
    private function keep(Athlete $athlete, array $row, ?int $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $row, $by): void {
            if (! Sent::before('film_consents', $row['id'], ['athlete_id' => $athlete->id])) {
                DB::table('film_consents')->insert([
                    ...$row, 'athlete_id' => $athlete->id, 'recorded_by' => $by, 'recorded_at' => Carbon::now(),
                ]);
            }
        });
    }
}
