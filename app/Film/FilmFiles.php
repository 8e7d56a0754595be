<?php

declare(strict_types=1);

namespace App\Film;

use GdImage;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** Pictures and clips of people as files: outside the web root, in no copy of the database, gone when they are erased. */
final class FilmFiles
{
    private const LONGEST_PX = 1280;

    private const QUALITY = 82;

    private const SWEPT_AT_ONCE = 500;

    /** How the files of phones begin: MP4 and MOV name their kind from the fifth byte on, WebM and Matroska begin with these four. */
    private const MP4_AT_4 = 'ftyp';

    private const WEBM = "\x1A\x45\xDF\xA3";

    /**
     * Drawn anew, so that nothing a device wrote into it (place, name, time) is left.
     *
     * @param  string  $jpeg  bytes as they came
     * @return string|null null when it is no JPEG
     */
    public static function plainJpeg(string $jpeg): ?string
    {
        $size = @getimagesizefromstring($jpeg);
        if ($size === false || $size[2] !== IMAGETYPE_JPEG || max($size[0], $size[1]) > self::LONGEST_PX) {
            return null;
        }
        $image = @imagecreatefromstring($jpeg);
        if (! $image instanceof GdImage) {
            return null;
        }
        ob_start();
        imagejpeg($image, null, self::QUALITY);

        return (string) ob_get_clean();
    }

    public static function keepPicture(string $id, string $jpeg): void
    {
        self::disk()->put("pictures/{$id}.jpg", $jpeg);
    }

    /** @return string|null null when it is not there any more */
    public static function picture(string $id): ?string
    {
        return self::disk()->exists("pictures/{$id}.jpg") ? self::disk()->get("pictures/{$id}.jpg") : null;
    }

    /**
     * @param  iterable<string>  $ids
     * @return array<string, string> path of each that is still there, by its id
     */
    public static function picturesOf(iterable $ids): array
    {
        $paths = [];
        foreach ($ids as $id) {
            $path = self::disk()->path("pictures/{$id}.jpg");
            if (is_file($path)) {
                $paths[$id] = $path;
            }
        }

        return $paths;
    }

    /** @param  list<string>  $ids */
    public static function erasePictures(array $ids): void
    {
        self::disk()->delete(array_map(fn (string $id): string => "pictures/{$id}.jpg", $ids));
    }

    /** Coming twice it changes nothing. */
    public static function keepPart(string $clip, int $no, string $bytes): void
    {
        self::disk()->put("sent/{$clip}/{$no}", $bytes);
    }

    public static function hasPart(string $clip, int $no): bool
    {
        return self::disk()->exists("sent/{$clip}/{$no}");
    }

    /**
     * Puts the parts of a clip together.
     *
     * @return int|null bytes; null when it is no clip a phone makes, and then nothing of it is kept
     */
    public static function join(string $clip, int $parts): ?int
    {
        $disk = self::disk();
        $first = $disk->get("sent/{$clip}/0") ?? '';
        if (substr($first, 4, 4) !== self::MP4_AT_4 && ! str_starts_with($first, self::WEBM)) {
            $disk->deleteDirectory("sent/{$clip}");

            return null;
        }
        $whole = $disk->path("sent/{$clip}.clip");
        file_put_contents($whole, $first, LOCK_EX);
        for ($no = 1; $no < $parts; $no++) {
            file_put_contents($whole, $disk->get("sent/{$clip}/{$no}") ?? '', FILE_APPEND | LOCK_EX);
        }
        $disk->deleteDirectory("sent/{$clip}");

        return (int) filesize($whole);
    }

    /** @return string|null path of a clip that was sent in; null when it is not there any more */
    public static function clip(string $clip): ?string
    {
        return self::disk()->exists("sent/{$clip}.clip") ? self::disk()->path("sent/{$clip}.clip") : null;
    }

    public static function eraseClip(string $clip): void
    {
        self::disk()->delete("sent/{$clip}.clip");
        self::disk()->deleteDirectory("sent/{$clip}");
    }

    /** What no row knows of any more goes: a deletion that was cut short, or a part that came while its clip was taken back. */
    public static function sweep(): void
    {
        $disk = self::disk();
        $idOf = fn (string $file): string => Str::before(basename($file), '.');
        foreach (array_chunk($disk->files('pictures'), self::SWEPT_AT_ONCE) as $files) {
            $kept = DB::table('film_pictures')->whereIn('id', array_map($idOf, $files))->whereNull('gone_on')->pluck('id')->all();
            $disk->delete(array_values(array_filter($files, fn (string $file): bool => ! in_array($idOf($file), $kept, true))));
        }
        $clips = [...$disk->files('sent'), ...$disk->directories('sent')];
        $standing = DB::table('asked_clips')->whereIn('id', array_map($idOf, $clips))->whereNull('ended_at')->pluck('id')->all();
        foreach (array_diff(array_unique(array_map($idOf, $clips)), $standing) as $gone) {
            self::eraseClip($gone);
        }
    }

    /** Everything of an athlete who is erased; call it while the rows are still there. */
    public static function eraseAll(string $athleteId): void
    {
        $pictures = DB::table('film_pictures')->where('athlete_id', $athleteId)->pluck('id')->all();
        $clips = DB::table('asked_clips')->where('athlete_id', $athleteId)->pluck('id')->all();
        DB::afterCommit(function () use ($pictures, $clips): void {
            self::erasePictures($pictures);
            array_map(self::eraseClip(...), $clips);
        });
    }

    private static function disk(): Filesystem&\Illuminate\Filesystem\FilesystemAdapter
    {
        /** @var \Illuminate\Filesystem\FilesystemAdapter */
        return Storage::disk('film');
    }
}
