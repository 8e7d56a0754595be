<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Records\Alone;
use Illuminate\Support\Facades\DB;

/**
 * Up to five pictures an athlete looks at before they read what the coach saw in them. The first answer stands: what is said after the
 * coach's word is read says nothing of one's own eye.
 *
 * @phpstan-type Own array{clip_id: string, rep: int, checkpoint: string, verdict: 'right'|'wrong'}
 */
final class OwnLooks
{
    public const MOST = 5;

    /** @return list<Own> what was said on the page of a review */
    public static function of(\stdClass $review): array
    {
        return $review->own === null ? [] : json_decode($review->own, true);
    }

    /** @return list<Own> what the coach said of the clips of a review, up to the most that is looked at */
    public static function ofCoach(\stdClass $review, Athlete $athlete): array
    {
        $clips = DB::table('clips')
            ->where('athlete_id', $athlete->id)
            ->whereIn('id', array_column(json_decode($review->points, true), 'clip_id'))
            ->whereNull('withdrawn_at')
            ->orderBy('filmed_on')
            ->orderBy('id')
            ->get(['id', 'seen']);
        $said = [];
        foreach ($clips as $clip) {
            foreach (json_decode($clip->seen, true) as $seen) {
                $said[] = ['clip_id' => $clip->id, ...$seen];
            }
        }

        return array_slice($said, 0, self::MOST);
    }

    /** @param  list<Own>  $looks  validated; only what the coach looked at is kept */
    public static function keep(\stdClass $review, Athlete $athlete, array $looks): void
    {
        Alone::with($athlete->id, function () use ($review, $athlete, $looks): void {
            $before = self::of(DB::table('film_reviews')->where('id', $review->id)->first() ?? $review);
            $asked = array_map(self::key(...), self::ofCoach($review, $athlete));
            $said = array_map(self::key(...), $before);
            $fresh = array_filter(
                $looks,
                fn (array $look): bool => in_array(self::key($look), $asked, true) && ! in_array(self::key($look), $said, true),
            );
            $own = json_encode([...$before, ...array_values($fresh)], JSON_THROW_ON_ERROR);
            DB::table('film_reviews')->where('id', $review->id)->update(['own' => $own]);
        });
    }

    /**
     * @return array{agreed: int, of: int}|null on how many of them both said the same; null: nothing was said yet
     */
    public static function agreement(\stdClass $review, Athlete $athlete): ?array
    {
        $own = array_column(array_map(fn (array $look): array => [self::key($look), $look['verdict']], self::of($review)), 1, 0);
        $both = array_filter(self::ofCoach($review, $athlete), fn (array $look): bool => isset($own[self::key($look)]));
        $same = array_filter($both, fn (array $look): bool => $own[self::key($look)] === $look['verdict']);

        return $both === [] ? null : ['agreed' => count($same), 'of' => count($both)];
    }

    /** @param  array{clip_id: string, rep: int, checkpoint: string}  $look */
    public static function key(array $look): string
    {
        return "{$look['clip_id']} {$look['rep']} {$look['checkpoint']}";
    }
}
