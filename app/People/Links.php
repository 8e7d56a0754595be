<?php

declare(strict_types=1);

namespace App\People;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Answers\TokenView;
use App\Records\Alone;
use App\Records\Audit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Makes, takes back and redeems links: personal check-in pages, invitations, new passwords. */
final class Links
{
    private const CHECK_IN_DAYS = 120;

    private const CALENDAR_DAYS = 366;

    private const INVITATION_DAYS = 14;

    private const PASSWORD_HOURS = 2;

    private const OWN_ACCOUNT_FROM_YEARS = 16;

    /**
     * @param  'guardian'|'athlete'|null  $heldBy  whose page it is
     * @return string the token, shown this once
     */
    public function checkIn(Athlete $athlete, string $label, ?string $heldBy, User $by): string
    {
        Audit::of($by, $athlete, 'check-in link made', ['for' => $label, 'held_by' => $heldBy]);

        return $this->make(Link::CHECK_IN, $label, Carbon::now()->addDays(self::CHECK_IN_DAYS), $by, athlete: $athlete, heldBy: $heldBy);
    }

    /** @param  array{role: string, name: string, squads: list<int>, athletes: list<string>}  $given validated */
    public function invite(array $given, User $by): string
    {
        $squads = $by->visibleSquads()->whereIn('id', $given['squads'])->pluck('id')->all();
        $athletes = $by->visibleAthletes()->whereIn('id', $given['athletes'])->pluck('id')->all();
        if (count($squads) !== count($given['squads']) || count($athletes) !== count($given['athletes'])) {
            throw new Problem(
                ProblemType::NotYoursToShare,
                'One of these squads or athletes is not yours.',
                ['squads' => ['Not yours to share.']],
            );
        }
        $role = Role::from($given['role']);
        Rights::refuseInvitation($by, $role, $squads);
        if ($role === Role::Assistant && $squads === []) {
            throw new Problem(
                ProblemType::ASquadIsNeeded,
                'An assistant works with at least one squad. Choose it.',
                ['squads' => ['Choose at least one.']],
            );
        }
        if (! $role->seesSquads() && $athletes === []) {
            throw new Problem(
                ProblemType::AnAthleteIsNeeded,
                'Choose whose records this person may see.',
                ['athletes' => ['Choose at least one.']],
            );
        }
        if ($role === Role::Athlete) {
            $this->refuseUnderAge($athletes, $by);
        }
        Audit::of($by, null, 'invited', ['role' => $role->value]);

        return $this->make(
            Link::INVITATION,
            $given['name'],
            Carbon::now()->addDays(self::INVITATION_DAYS),
            $by,
            details: ['role' => $role->value, 'squads' => $squads, 'athletes' => $athletes],
        );
    }

    /**
     * Under 16, or of unknown age, a guardian has the account.
     *
     * @param  list<string>  $athletes
     */
    private function refuseUnderAge(array $athletes, User $by): void
    {
        foreach (Athlete::query()->whereIn('id', $athletes)->get() as $athlete) {
            assert($athlete instanceof Athlete);
            $age = $athlete->ageOn($by->workspace->today());
            if ($age === null || $age < self::OWN_ACCOUNT_FROM_YEARS) {
                throw new Problem(
                    ProblemType::AGuardianSigns,
                    "{$athlete->given_name} is under "
                        .self::OWN_ACCOUNT_FROM_YEARS
                        .', or the birth date is not known: invite a guardian instead. A personal check-in link needs no account.',
                    ['athletes' => ['Under '.self::OWN_ACCOUNT_FROM_YEARS.'.']],
                );
            }
        }
    }

    public function newPassword(User $user, User $by): string
    {
        Rights::refuseUnlessMayManage($by, $user);
        if ($user->closed_at !== null) {
            throw new Problem(ProblemType::Closed, 'This account is closed. Invite the person anew.');
        }
        Audit::of($by, null, 'new password link made', ['for' => $user->id]);

        return $this->make(Link::PASSWORD, $user->name, Carbon::now()->addHours(self::PASSWORD_HOURS), $by, user: $user);
    }

    /**
     * A page with what was seen on film, for whoever it is handed to.
     *
     * @param  string|null  $word  that opens it, told apart; null: none is asked
     */
    public function filmReview(Athlete $athlete, string $label, Carbon $until, ?string $word, User $by): string
    {
        Audit::of($by, $athlete, 'film review sent', ['for' => $label]);
        $details = $word === null ? null : ['word' => WordApart::kept($word)];

        return $this->make(Link::FILM_REVIEW, $label, $until, $by, athlete: $athlete, details: $details);
    }

    /** A calendar feed of what one may see. A new one takes the place of the old. */
    public function calendar(User $by): string
    {
        return Alone::inClub($by->workspace_id, function () use ($by): string {
            Link::query()
                ->where('purpose', Link::CALENDAR)
                ->where('user_id', $by->id)
                ->whereNull('revoked_at')
                ->update(['revoked_at' => Carbon::now()]);
            Audit::of($by, null, 'calendar link made');

            return $this->make(Link::CALENDAR, "Calendar of {$by->name}", Carbon::now()->addDays(self::CALENDAR_DAYS), $by, user: $by);
        });
    }

    /** @param  array{name: string, email: string, password: string}  $given validated */
    public function join(Link $link, array $given): User
    {
        return Alone::inClub($link->workspace_id, function () use ($link, $given): User {
            $link->useUp();
            $user = User::query()->create([
                'workspace_id' => $link->workspace_id,
                'name' => $given['name'],
                'email' => $given['email'],
                'password' => $given['password'],
                'role' => $link->details['role'],
                'invited_by' => $link->made_by,
                'code' => self::code(Role::from($link->details['role'])),
            ]);
            $user->squads()->sync($link->details['squads']);
            $user->boundAthletes()->sync($link->details['athletes']);
            Audit::of($user, null, 'joined', ['role' => $user->role->value]);

            return $user;
        });
    }

    public function setPassword(Link $link, string $password): void
    {
        Alone::inClub($link->workspace_id, function () use ($link, $password): void {
            $link->useUp();
            $user = $link->user()->firstOrFail();
            // Whoever made the link could have set it: a clinician is confirmed again, face to face.
            $user->update([
                'password' => $password,
                ...(
                    $user->role === Role::Clinician ? [
                        'confirmed_at' => null,
                        'confirmed_by' => null,
                        'code' => self::code($user->role),
                    ] : []
                ),
            ]);
            self::endSessions($user);
            Audit::of($user, null, 'password set by link');
        });
    }

    public function revoke(Link $link, User $by): void
    {
        $link->update(['revoked_at' => Carbon::now()]);
        Audit::of($by, $link->athlete, 'link taken back', ['purpose' => $link->purpose]);
    }

    public function closeAccount(User $user, User $by): void
    {
        Rights::refuseUnlessMayManage($by, $user);
        if ($user->workspace->head_id === $user->id) {
            throw new Problem(ProblemType::TheHeadCoach, 'Hand the club over to another coach first; then this account can be closed.');
        }
        Alone::inClub($user->workspace_id, function () use ($user, $by): void {
            $user->update(['closed_at' => Carbon::now()]);
            self::endSessions($user);
            Link::query()->tap(Link::live(...))->where(
                fn ($links) => $links->where('user_id', $user->id)->orWhere(
                    fn ($made) => $made->where('made_by', $user->id)->whereIn('purpose', [Link::INVITATION, Link::PASSWORD]),
                ),
            )
                ->update(['revoked_at' => Carbon::now()]);
            Audit::of($by, null, 'account closed', ['of' => $user->id]);
        });
    }

    /** What a clinician and the head coach compare, face to face. */
    private static function code(Role $role): ?string
    {
        return $role === Role::Clinician ? str_pad((string) random_int(0, 999_999), 6, '0', STR_PAD_LEFT) : null;
    }

    /** Signs a person out everywhere, but for one session if it is named. */
    public static function endSessions(User $user, ?string $but = null): void
    {
        DB::table('sessions')
            ->where('user_id', $user->id)
            ->when($but !== null, fn ($sessions) => $sessions->where('id', '!=', $but))
            ->delete();
    }

    /** A link that was just made, as it is handed on. */
    public static function handedOn(string $token, ?string $word = null): TokenView
    {
        return new TokenView($token, self::made($token)->expires_at->toDateString(), $word);
    }

    public static function made(string $token): Link
    {
        return Link::query()->where('token_hash', hash('sha256', $token))->firstOrFail();
    }

    /** @param  array<string, mixed>|null  $details */
    private function make(
        string $purpose, string $label, Carbon $expires, User $by, ?Athlete $athlete = null, ?User $user = null,
        ?array $details = null, ?string $heldBy = null,
    ): string {
        $token = rtrim(strtr(base64_encode(random_bytes(32)), '+/', '-_'), '=');
        Link::query()->create([
            'workspace_id' => $by->workspace_id, 'purpose' => $purpose, 'token_hash' => hash('sha256', $token),
            'athlete_id' => $athlete?->id, 'user_id' => $user?->id,
            'label' => $label, 'held_by' => $heldBy, 'details' => $details, 'made_by' => $by->id, 'expires_at' => $expires,
        ]);

        return $token;
    }
}
