<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Courtside\RepStrip;
use App\Gates\Answers\CheckpointProgressView;
use App\Gates\Answers\ProgressView;
use App\Wording\JudgingWording;
use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\CheckpointProgress;
use Augendo\Core\Mechanics\Seen;
use Augendo\Core\Mechanics\SetLength;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What months of judged repetitions say: progress by checkpoint, and how long a set stays good. */
final class Progress
{
    private const DAYS_BACK = 365;

    public function __construct(private readonly Library $library) {}

    /** Every checkpoint of a ladder that was looked for. */
    public function progress(Athlete $athlete, string $ladderId, Day $on): ProgressView
    {
        $sessions = [];
        $rows = DB::table('rep_strips')
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladderId)
            ->where('day', '>', $on->plus(-self::DAYS_BACK)->iso())
            ->where('day', '<=', $on->iso())
            ->orderBy('last_at')
            ->get(['day', 'checkpoints']);
        foreach ($rows as $row) {
            foreach (json_decode($row->checkpoints ?? '{}', true) as $checkpoint => [$right, $seen]) {
                $sessions[$checkpoint][] = [Day::of(substr($row->day, 0, 10))->ordinal, $right, $seen];
            }
        }
        $views = [];
        foreach ($this->names($ladderId) as $id => $name) {
            $progress = CheckpointProgress::of($sessions[$id] ?? []);
            if ($progress !== null) {
                $views[] = new CheckpointProgressView(
                    $name, Day::fromOrdinal($progress->fromDay)->iso(), Day::fromOrdinal($progress->toDay)->iso(), ...$progress->first,
                    latest_right: $progress->latest[0] ?? null, latest_seen: $progress->latest[1] ?? null,
                    says: $progress->says, sentence: JudgingWording::progress($progress),
                );
            }
        }

        return new ProgressView($views, array_sum(array_column($sessions[Seen::UNNAMED] ?? [], 2)));
    }

    /** @return array<string, string> names of a ladder's checkpoints by id */
    private function names(string $ladderId): array
    {
        $names = [];
        foreach ($this->library->ladder($ladderId)->rungs as $rung) {
            foreach ($rung->checkpoints as $checkpoint) {
                $names[$checkpoint->id] = $checkpoint->name;
            }
        }

        return $names;
    }

    /** How long quality lasts in a session, from what was judged on a ladder lately; the squad is a weak beginning. */
    public function setLength(Athlete $athlete, string $ladderId, Squad $squad, Day $on): ?string
    {
        $marks = DB::table('rep_strips')
            ->where('ladder', $ladderId)
            ->where('day', '>', $on->plus(-SetLength::DAYS)->iso())
            ->where('day', '<=', $on->iso())
            ->whereIn(
                'athlete_id',
                [$athlete->id, ...$squad->athletes()->whereNull('erased_at')->pluck('athletes.id')->all()],
            )->orderBy('last_at')->get(['athlete_id', 'sheet_id', 'last_at', 'marks']);
        [$own, $others] = $marks->partition(fn (object $strip): bool => $strip->athlete_id === $athlete->id);
        $reps = fn (Collection $strips): array => $strips
            ->map(fn (object $strip): array => RepStrip::read($strip->marks, $strip->sheet_id, Instant::of($strip->last_at)))
            ->values()
            ->all();
        $length = SetLength::of($reps($own), $reps($others));

        return $length === null ? null : JudgingWording::setLength($length);
    }
}
