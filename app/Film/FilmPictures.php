<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use Augendo\Core\Day;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Saved pictures of moments: cut to the athlete on the device, everybody else blurred there, and erased with the consent. */
final class FilmPictures
{
    /**
     * @param  list<array{rep: int, moment: string, jpeg: string}>  $given  validated, bytes as base64
     * @param  list<array{rep: int, moment: string}>  $marks  of the clip
     *
     * @throws Problem when nobody agreed to that, or one is no picture of a moment of the clip
     */
    public static function keep(Athlete $athlete, string $clip, array $given, array $marks, Day $today): void
    {
        if ($given === []) {
            return;
        }
        if (! FilmConsents::mayKeepPictures($athlete, $today)) {
            throw new Problem(
                ProblemType::NobodyAgreedToFilm, 'Measuring was agreed to, saving pictures was not. Save without pictures, or ask for it.',
            );
        }
        $marked = array_map(fn (array $mark): array => [$mark['rep'], $mark['moment']], $marks);
        foreach ($given as $i => $each) {
            $jpeg = FilmFiles::plainJpeg((string) base64_decode($each['jpeg'], true));
            if ($jpeg === null || ! in_array([$each['rep'], $each['moment']], $marked, true)) {
                throw new Problem(
                    ProblemType::SomeOfItCannotBeUsed, 'A picture cannot be used. Save without pictures, or open the clip again.',
                    ["pictures.{$i}" => ['This is no picture of a moment that is marked.']],
                );
            }
            $id = (string) Str::uuid7();
            DB::table('film_pictures')->insert([
                'id' => $id, 'athlete_id' => $athlete->id, 'clip_id' => $clip, 'rep' => $each['rep'], 'moment' => $each['moment'],
                'kept_at' => Carbon::now(),
            ]);
            // Cut short in between, there is a row without a picture, and never a picture nobody knows of.
            DB::afterCommit(fn () => FilmFiles::keepPicture($id, $jpeg));
        }
    }

    /** @return Collection<string, \stdClass> by clip, repetition and moment */
    public static function of(string $athleteId): Collection
    {
        return DB::table('film_pictures')
            ->where('athlete_id', $athleteId)
            ->get()
            ->keyBy(fn (\stdClass $row): string => self::key($row->clip_id, (int) $row->rep, $row->moment));
    }

    public static function key(string $clip, int $rep, string $moment): string
    {
        return "{$clip} {$rep} {$moment}";
    }

    /** @return string bytes of a JPEG */
    public static function bytes(Athlete $athlete, string $id): string
    {
        $row = DB::table('film_pictures')->where('athlete_id', $athlete->id)->where('id', $id)->whereNull('gone_on')->first();

        return ($row === null ? null : FilmFiles::picture($id))
            ?? throw new Problem(ProblemType::NotFound, 'This picture is not there any more.');
    }

    /** @return string|null the picture of a moment as base64; null: none was saved, or it is gone */
    public static function base64(Athlete $athlete, string $clip, int $rep, string $moment): ?string
    {
        $id = DB::table('film_pictures')
            ->where(['athlete_id' => $athlete->id, 'clip_id' => $clip, 'rep' => $rep, 'moment' => $moment])
            ->whereNull('gone_on')
            ->value('id');
        $bytes = $id === null ? null : FilmFiles::picture($id);

        return $bytes === null ? null : base64_encode($bytes);
    }

    /** The pictures go, that they were there stays. */
    public static function erase(string $athleteId, Day $today, ?string $clip = null): void
    {
        $rows = DB::table('film_pictures')
            ->where('athlete_id', $athleteId)
            ->whereNull('gone_on')
            ->when($clip !== null, fn ($query) => $query->where('clip_id', $clip));
        $ids = $rows->pluck('id')->all();
        $rows->update(['gone_on' => $today->iso()]);
        DB::afterCommit(fn () => FilmFiles::erasePictures($ids));
    }
}
