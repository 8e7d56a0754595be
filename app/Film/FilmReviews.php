<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\Ladders;
use App\People\Answers\TokenView;
use App\People\Link;
use App\People\Links;
use App\People\User;
use App\People\WordApart;
use App\Records\Alone;
use App\Records\AthletesChanged;
use Augendo\Core\Day;
use Augendo\Core\Frames\FilmConsent;
use Augendo\Core\Library\Fault;
use Augendo\Core\Mechanics\FocusPoints;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Reviews of clips: three points at most, sent as a page, and the focus of the sessions that follow.
 *
 * @phpstan-type Point array{clip_id: string, rep: int, moment: string, fault: string}
 */
final class FilmReviews
{
    /** A page with a picture of somebody, be it drawn, works so long. */
    private const DAYS = 14;

    private const SHOWN = 10;

    public function __construct(private readonly Ladders $ladders, private readonly Links $links) {}

    /** @return Collection<int, \stdClass> that stand, the latest first */
    public static function of(string $athleteId): Collection
    {
        return self::standing($athleteId)->limit(self::SHOWN)->get();
    }

    /** @return list<string> ids of the faults that the latest review of a rung wants worked on, while that holds */
    public static function asked(string $athleteId, string $ladder, string $rung, Day $on): array
    {
        $latest = self::standing($athleteId)
            ->where('ladder', $ladder)
            ->where('rung', $rung)
            ->whereBetween('made_on', [$on->plus(-FocusPoints::ASKED_HOLDS_DAYS)->iso(), $on->iso()])
            ->first();

        return $latest === null ? [] : array_column(json_decode($latest->points, true), 'fault');
    }

    /**
     * @param  array{id: string, ladder: string, rung: string, points: list<Point>, next_time: string|null, label: string}  $given
     *         validated
     * @return TokenView its page, shown this once; with a word to tell apart where a minor is drawn
     */
    public function send(Athlete $athlete, array $given, User $by): TokenView
    {
        FilmConsents::refuseWithout($athlete, $by->workspace->today());
        $ladder = $this->ladders->ladder($by, $given['ladder']);
        $rung = $ladder->rung($given['rung']) ?? throw new Problem(
            ProblemType::NoSuchRung, "{$ladder->name} has no such rung.", ['rung' => ['It is not on this ladder.']],
        );
        $faults = array_map(fn (Fault $fault): string => $fault->id, $rung->faults);
        $clips = Clips::of($athlete->id)->where('ladder', $ladder->id)->pluck('id')->all();
        foreach ($given['points'] as $i => $point) {
            if (! in_array($point['fault'], $faults, true) || ! in_array($point['clip_id'], $clips, true)) {
                throw new Problem(
                    ProblemType::SomeOfItCannotBeUsed,
                    'A point names a clip or a fault that is not there any more. Load the page again, and choose anew.',
                    ["points.{$i}" => ['Choose anew.']],
                );
            }
        }

        $word = FilmConsent::isGrownUp($athlete->ageOn($by->workspace->today())) ? null : WordApart::make();

        return Alone::with($athlete->id, function () use ($athlete, $given, $ladder, $word, $by): TokenView {
            if (DB::table('film_reviews')->where('id', $given['id'])->exists()) {
                throw new Problem(ProblemType::NotKept, 'This review was sent before, and its link shown. Take it back to send another.');
            }
            $token = $this->links->filmReview($athlete, $given['label'], Carbon::now()->addDays(self::DAYS), $word, $by);
            DB::table('film_reviews')->insert([
                'id' => $given['id'], 'athlete_id' => $athlete->id, 'ladder' => $ladder->id, 'ladder_version' => $ladder->version,
                'rung' => $given['rung'], 'points' => json_encode($given['points'], JSON_THROW_ON_ERROR),
                'next_time' => $given['next_time'], 'made_by' => $by->id,
                'made_on' => $by->workspace->today()->iso(), 'made_at' => Carbon::now(),
                'link_id' => Links::made($token)->id,
            ]);
            // The clip that was sent in for it has been looked at.
            AskedClips::eraseOf($athlete->id, alsoKept: false);
            AthletesChanged::one($athlete, $by->workspace->today());

            return Links::handedOn($token, $word);
        });
    }

    public function withdraw(Athlete $athlete, string $id, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $by): void {
            $review = self::standing($athlete->id)->where('id', $id)->first()
                ?? throw new Problem(ProblemType::NotFound, 'This review is not there any more.');
            DB::table('film_reviews')->where('id', $id)->update(['withdrawn_at' => Carbon::now()]);
            $link = $review->link_id === null ? null : Link::query()->find($review->link_id);
            if ($link !== null) {
                $this->links->revoke($link, $by);
            }
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }

    /** The review behind a link. */
    public static function behind(Link $link): \stdClass
    {
        return DB::table('film_reviews')->where('link_id', $link->id)->whereNull('withdrawn_at')->first()
            ?? throw new Problem(ProblemType::ThisLinkDoesNotWorkAnyMore, 'It was taken back. Ask your coach for a new one.');
    }

    /** Somebody who holds the link has it before them. */
    public static function wasOpened(Link $link): void
    {
        DB::table('film_reviews')->where('id', self::behind($link)->id)->increment('opened');
    }

    private static function standing(string $athleteId): Builder
    {
        return DB::table('film_reviews')->where('athlete_id', $athleteId)->whereNull('withdrawn_at')->orderByDesc('made_at');
    }
}
