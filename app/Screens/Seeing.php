<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\AgreementView;
use App\Http\Views\CheckpointProgressView;
use App\Http\Views\CriterionView;
use App\Http\Views\MatchReadyView;
use App\Http\Views\PlacingView;
use App\Http\Views\ProgressView;
use App\Models\Athlete;
use App\Models\Decision;
use App\Models\Sheet;
use App\Models\Squad;
use App\Records\AgreementBook;
use App\Records\PlacingDesk;
use App\Records\RepStrip;
use App\Wording\JudgingWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Instant;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\Agreement;
use Augendo\Core\Mechanics\CheckpointProgress;
use Augendo\Core\Mechanics\Seen;
use Augendo\Core\Mechanics\SetLength;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What months of judged repetitions say: progress by checkpoint, how long a set stays good, readiness for a match, a newcomer’s place. */
final class Seeing
{
    private const DAYS_BACK = 365;

    private const SET_LENGTH_DAYS = 60;

    public function __construct(private readonly Library $library, private readonly PlacingDesk $placing) {}

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
            ->where('day', '>', $on->plus(-self::SET_LENGTH_DAYS)->iso())
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

    /** Whether two people see the same on a rung, in a sentence; null while too little was judged by two. */
    public static function agreementOn(AgreementBook $book, string $athleteId, string $ladder, string $rung): ?string
    {
        $of = $book->onRung($athleteId, $ladder, $rung);

        return $of === null || ! $of['agreement']->isEnough() ? null : JudgingWording::agreement($of['agreement'], $of['splits']);
    }

    public static function agreement(string $who, Agreement $of, ?string $splitsOn): AgreementView
    {
        return new AgreementView(
            $who, $of->n, $of->same, $of->kappa, $of->interval[0] ?? null, $of->interval[1] ?? null, $splitsOn,
            $of->isWeak(), $of->isEnough(),
        );
    }

    /**
     * A step back or a pause takes the word back.
     *
     * @param  list<string>  $athleteIds
     * @return array<string, string> since when somebody is match ready and who said so, by "athlete ladder"
     */
    public static function matchReadySince(array $athleteIds): array
    {
        $since = [];
        foreach (
            Decision::query()
                ->with('decider')
                ->whereIn('athlete_id', $athleteIds)
                ->whereIn('action', ['match_ready', 'step_back', 'pause'])
                ->orderBy('decided_at')
                ->orderBy('id')
                ->get() as $decision
        ) {
            $key = "{$decision->athlete_id} {$decision->ladder}";
            unset($since[$key]);
            if ($decision->action === 'match_ready') {
                $since[$key] = Wording::day(Day::of(substr($decision->day, 0, 10))).', '.$decision->decider->name;
            }
        }

        return $since;
    }

    public static function matchReady(?MatchReady $of, Athlete $athlete, string $ladderId, Word $word): ?MatchReadyView
    {
        if ($of === null) {
            return null;
        }

        return new MatchReadyView(
            $of->isOpen(), self::matchReadySince([$athlete->id])["{$athlete->id} {$ladderId}"] ?? null,
            array_map(
                fn (string $name, array $words): CriterionView => new CriterionView(
                    $name, $words[0], $of->criteria[$name]->value, $words[1], false,
                ),
                array_keys($of->criteria),
                JudgingWording::matchReady($of, $word),
            ),
        );
    }

    public function placing(Athlete $athlete, string $ladderId): ?PlacingView
    {
        $placing = $this->placing->placing($athlete, $ladderId);
        if ($placing === null) {
            return null;
        }
        $rungs = $this->library->ladder($ladderId)->rungs;
        $standsOn = $this->placing->standsOn($athlete, $ladderId);
        $next = match (true) {
            $placing->place !== null => 'place',
            $placing->look === $standsOn => 'more',
            default => 'look',
        };

        return new PlacingView(
            $ladderId,
            JudgingWording::placing($placing, $placing->seen[$standsOn] ?? ['judged' => 0, 'good' => 0, 'safety' => 0]),
            $next, $rungs[$placing->look ?? $placing->place ?? 0]->name,
            Sheet::query()
                ->where('athlete_id', $athlete->id)
                ->where('ladder', $ladderId)
                ->where('state', '!=', 'finished')
                ->orderByDesc('held_on')
                ->value('id'),
        );
    }
}
