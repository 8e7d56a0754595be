<?php

declare(strict_types=1);

namespace App\People;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Gates\Answers\PlaceView;
use App\People\Answers\AuditView;
use App\People\Answers\LinkView;
use App\People\Answers\PeopleView;
use App\People\Answers\PersonView;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Spatie\Activitylog\Models\Activity;

/** Who sees what, and who did what. */
final class PeopleScreen
{
    private const AUDIT_ROWS = 100;

    private const SEEN_WITHIN_MINUTES = 720;

    public function view(User $coach): PeopleView
    {
        $signedIn = DB::table('sessions')->whereNotNull('user_id')->where(
            'last_activity',
            '>',
            Carbon::now()->subMinutes(self::SEEN_WITHIN_MINUTES)->getTimestamp(),
        )
            ->groupBy('user_id')->selectRaw('user_id, count(*) as places')->pluck('places', 'user_id');
        $people = Rights::managedBy($coach)->with(['squads', 'boundAthletes'])->orderBy('name')->get();
        $wholeClub = ! $coach->squads()->exists();
        $visible = $coach->visibleAthletes()->pluck('athletes.id')->all();

        return new PeopleView(
            people: $people->map(fn (User $user): PersonView => new PersonView(
                id: $user->id,
                name: $user->name,
                email: $user->email,
                role: $user->role->value,
                sees: $this->sees($user),
                closed: $user->closed_at !== null,
                signed_in_at: (int) ($signedIn[$user->id] ?? 0),
                head: $coach->workspace->head_id === $user->id,
                unconfirmed: $user->role === Role::Clinician && $user->closed_at === null && $user->confirmed_at === null,
                may_be_head: Rights::mayBeHead($user) && $coach->workspace->head_id !== $user->id,
            ))->all(),
            links: Rights::links($coach)->tap(Link::live(...))->orderByDesc('id')->get()->map(self::link(...))->all(),
            audit: Activity::query()->where('workspace_id', $coach->workspace_id)->when(
                ! $wholeClub,
                fn ($log) => $log->where(
                    fn ($own) => $own->where(
                        fn ($about) => $about->where('subject_type', 'athlete')->whereIn('subject_id', $visible),
                    )->orWhere('causer_id', $coach->id),
                ),
            )->with([
                'causer',
                'subject',
            ])->latest('id')->limit(self::AUDIT_ROWS)->get()->map(fn (Activity $entry): AuditView => new AuditView(
                $entry->created_at->setTimezone($coach->workspace->timezone)->toIso8601String(),
                $entry->causer instanceof User ? $entry->causer->name : 'somebody', $entry->description,
                $entry->subject instanceof Athlete ? $entry->subject->name() : null,
            ))->all(),
            squads: Cards::squads($coach),
            athletes: $coach->visibleAthletes()
                ->orderBy('given_name')
                ->get()
                ->map(fn (Athlete $athlete): NamedView => new NamedView($athlete->id, $athlete->name()))
                ->all(),
            asks_wellness: (bool) $coach->workspace->asks_wellness,
        );
    }

    /** @return list<PlaceView> where somebody is signed in, the latest first */
    public function places(User $user, string $here): array
    {
        return DB::table('sessions')->where(
            'user_id',
            $user->id,
        )->orderByDesc('last_activity')->get()->map(fn (object $row): PlaceView => new PlaceView(
            // The id of a session opens it, so it is never shown: a part of its hash tells one from another.
            substr(hash('sha256', $row->id), 0, 12), self::browser((string) $row->user_agent),
            Carbon::createFromTimestamp($row->last_activity)->setTimezone($user->workspace->timezone)->toIso8601String(),
            $row->id === $here,
        ))->all();
    }

    public static function link(Link $link): LinkView
    {
        return new LinkView($link->id, $link->purpose, $link->label, $link->expires_at->toDateString());
    }

    /** @return list<string> */
    private function sees(User $user): array
    {
        $squads = $user->squads->pluck('name')->all();

        return match (true) {
            $user->role === Role::Coach && $squads === [] => ['the whole club'],
            $user->role->seesSquads() => $squads,
            default => $user->boundAthletes->map(fn (Athlete $athlete): string => $athlete->name())->all(),
        };
    }

    private static function browser(string $agent): string
    {
        $name = preg_match('/(Firefox|Edg|OPR|Chrome|Safari)\//', $agent, $found) === 1
            ? strtr($found[1], ['Edg' => 'Edge', 'OPR' => 'Opera'])
            : 'A browser';
        $on = preg_match('/(Android|iPhone|iPad|Windows|Mac OS X|Linux)/', $agent, $found) === 1 ? " on {$found[1]}" : '';

        return $name.$on;
    }
}
