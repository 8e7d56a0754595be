<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Film\Answers\AskedClipView;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\Ladders;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use App\Records\Sent;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Frames\FilmConsent;
use Augendo\Core\Frames\SentClip;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** One clip a coach asked for: sent in from the personal page within two days, seen by whoever decides, deleted after the review. */
final class AskedClips
{
    public function __construct(private readonly Ladders $ladders) {}

    /**
     * @param  array{id: string, ladder: string, what: string}  $given  validated; sent before, it changes nothing
     *
     * @throws Problem when one is asked for already
     */
    public function ask(Athlete $athlete, array $given, User $by): void
    {
        $ladder = $this->ladders->ladder($by, $given['ladder']);
        Alone::with($athlete->id, function () use ($athlete, $given, $ladder, $by): void {
            if (Sent::before('asked_clips', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            if (self::standing($athlete->id) !== null) {
                throw new Problem(ProblemType::StillInUse, 'One clip is asked for already. Look at it, or take that back first.');
            }
            DB::table('asked_clips')->insert([
                'id' => $given['id'], 'athlete_id' => $athlete->id, 'ladder' => $ladder->id, 'what' => $given['what'],
                'asked_by' => $by->id, 'asked_at' => Carbon::now(), 'open_until' => Carbon::now()->addHours(SentClip::OPEN_HOURS),
            ]);
            Audit::of($by, $athlete, 'clip asked for');
        });
    }

    /** @return \stdClass|null the one that is asked for, or was sent and is still there */
    public static function standing(string $athleteId): ?\stdClass
    {
        return DB::table('asked_clips')
            ->where('athlete_id', $athleteId)
            ->whereNull('ended_at')
            ->where(fn (Builder $of) => $of->whereNotNull('sent_at')->orWhere('open_until', '>', Carbon::now()))
            ->orderByDesc('asked_at')
            ->first();
    }

    public static function view(Athlete $athlete, Day $today): ?AskedClipView
    {
        $row = self::standing($athlete->id);
        if ($row === null) {
            return null;
        }

        $until = Carbon::parse($row->open_until, 'UTC')->setTimezone($athlete->workspace()->firstOrFail()->timezone);

        return new AskedClipView(
            id: $row->id,
            ladder: $row->ladder,
            what: $row->what,
            open_until: Wording::day(Day::of($until->toDateString())).', '.$until->format('H:i'),
            sent: $row->sent_at !== null,
            kept: (bool) $row->kept,
            agreed: FilmConsents::maySend($athlete, $today),
            part_bytes: SentClip::PART_BYTES,
            most_bytes: SentClip::MOST_PARTS * SentClip::PART_BYTES,
        );
    }

    /** @throws Problem when it is not asked for any more, or not agreed to */
    public static function part(Athlete $athlete, string $id, int $no, string $base64, Day $today): void
    {
        self::open($athlete, $id, $today);
        $bytes = base64_decode($base64, true);
        if ($bytes === false || $no >= SentClip::MOST_PARTS) {
            throw new Problem(ProblemType::TooMuchAtOnce, 'This clip is too large. Cut it to the tries, or film with a lower resolution.');
        }
        FilmFiles::keepPart($id, $no, $bytes);
        if (self::standing($athlete->id)?->id !== $id) {
            // Taken back while it came.
            FilmFiles::eraseClip($id);
        }
    }

    /** @throws Problem when a part is missing, or it is no clip */
    public static function whole(Athlete $athlete, string $id, int $parts, Day $today): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $parts, $today): void {
            $row = self::open($athlete, $id, $today, orSent: true);
            if ($row->sent_at !== null) {
                return;
            }
            for ($no = 0; $no < $parts; $no++) {
                if (! FilmFiles::hasPart($id, $no)) {
                    throw new Problem(ProblemType::NotReadable, 'A part of the clip did not arrive. Send it once more.');
                }
            }
            $bytes = FilmFiles::join($id, $parts) ?? throw new Problem(
                ProblemType::SomeOfItCannotBeUsed, 'This is no clip: an MP4, MOV or WebM from a phone is. Choose another file.',
            );
            DB::table('asked_clips')->where('id', $id)->update(['sent_at' => Carbon::now(), 'bytes' => $bytes]);
        });
    }

    /** @return string path of the clip */
    public static function path(Athlete $athlete, string $id): string
    {
        $row = self::standing($athlete->id);

        return ($row === null || $row->id !== $id || $row->sent_at === null ? null : FilmFiles::clip($id))
            ?? throw new Problem(ProblemType::NotFound, 'This clip is not there any more.');
    }

    /** Kept after the review, or not any more. */
    public static function keep(Athlete $athlete, string $id, bool $kept, User $by): void
    {
        self::path($athlete, $id);
        DB::table('asked_clips')->where('id', $id)->update(['kept' => $kept]);
        Audit::of($by, $athlete, $kept ? 'clip kept' : 'clip not kept');
    }

    /** Taken back before it came, or deleted after it was looked at. */
    public static function end(Athlete $athlete, string $id, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $by): void {
            if (self::standing($athlete->id)?->id !== $id) {
                throw new Problem(ProblemType::NotFound, 'This clip is not there any more.');
            }
            self::erase([$id]);
            Audit::of($by, $athlete, 'asked clip ended');
        });
    }

    /** With the consent, or with the review where nobody said that it is kept. */
    public static function eraseOf(string $athleteId, bool $alsoKept): void
    {
        $ids = DB::table('asked_clips')
            ->where('athlete_id', $athleteId)
            ->whereNull('ended_at')
            ->when(! $alsoKept, fn (Builder $of) => $of->where('kept', false)->whereNotNull('sent_at'))
            ->pluck('id')
            ->all();
        self::erase($ids);
    }

    /**
     * What nobody looked at for long, and what was asked for and did not come.
     *
     * @param  list<string>  $athleteIds
     */
    public static function forget(array $athleteIds): void
    {
        $ids = DB::table('asked_clips')
            ->whereIn('athlete_id', $athleteIds)
            ->whereNull('ended_at')
            ->where('kept', false)
            ->where(fn (Builder $of) => $of
                ->where('sent_at', '<', Carbon::now()->subDays(SentClip::STAYS_DAYS))
                ->orWhere(fn (Builder $late) => $late->whereNull('sent_at')->where('open_until', '<', Carbon::now())))
            ->pluck('id')
            ->all();
        self::erase($ids);
    }

    /** @param  list<string>  $ids */
    private static function erase(array $ids): void
    {
        DB::table('asked_clips')->whereIn('id', $ids)->update(['ended_at' => Carbon::now()]);
        DB::afterCommit(fn () => array_map(FilmFiles::eraseClip(...), $ids));
    }

    private static function open(Athlete $athlete, string $id, Day $today, bool $orSent = false): \stdClass
    {
        $row = self::standing($athlete->id);
        if ($row === null || $row->id !== $id || (! $orSent && $row->sent_at !== null)) {
            throw new Problem(ProblemType::TooLate, 'This clip is not asked for any more. Ask the coach.');
        }
        array_map(fn (string $kind) => FilmConsents::refuseWithout($athlete, $today, $kind), FilmConsent::KINDS);

        return $row;
    }
}
