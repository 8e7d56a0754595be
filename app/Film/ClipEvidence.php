<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Courtside\RepLog;
use App\Film\Answers\CountedRepView;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Sessions\Sheet;
use App\Wording\FilmWording;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Day;
use Augendo\Core\Frames\ClipRule;
use Augendo\Core\Frames\Look;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Rung;
use Augendo\Core\Mechanics\Seen;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * What a clip shows of repetitions that were counted: each is named by hand, and looked at once more as the clip has it. The tap of the
 * court stays, the clip's look is another one, and says by its device which clip it was.
 */
final class ClipEvidence
{
    private const DAYS = 3;

    private const MOST = 60;

    public function __construct(private readonly RepLog $log) {}

    /** @return list<CountedRepView> repetitions of the last days that a clip may show, the latest first */
    public static function counted(Athlete $athlete, string $ladder, string $rung, Day $on): array
    {
        $views = [];
        foreach (self::sheets($athlete, $ladder, $rung, $on) as $sheet) {
            $reps = TapFold::evidence(TapFold::standing($sheet->taps()), $sheet->judgedSides());
            foreach (array_reverse($reps) as $rep) {
                $views[] = new CountedRepView($rep->id, FilmWording::counted($rep, $sheet->day()), $rep->at->text);
            }
        }

        return array_slice($views, 0, self::MOST);
    }

    /**
     * @param  list<array{rep: int, event_id: string}>  $counted  repetition of the clip, and the tap it was
     *
     * @throws Problem when a tap is not there, is named twice, or a repetition of the clip is not judged
     */
    public function add(Athlete $athlete, MeasuredClip $clip, Rung $rung, array $counted, User $by): void
    {
        if ($counted === []) {
            return;
        }
        $today = $by->workspace->today();
        $named = array_column($counted, 'event_id', 'rep');
        if (count(array_unique($named)) < count($counted)) {
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, 'Two repetitions of the clip cannot be one and the same on court.');
        }
        $shown = [];
        foreach ($clip->reps() as $rep) {
            $shown[$rep] = self::shown($clip, $rep, $rung);
        }
        $missing = ClipRule::notJudged($shown, array_keys($named));
        if ($missing !== null) {
            throw new Problem(
                ProblemType::NotEnoughSeen,
                "Repetition {$missing} of this clip is not judged, or not named on court. All of a clip count, or none.",
                ['counted' => ["Repetition {$missing} is missing."]],
            );
        }
        foreach (self::sheets($athlete, $clip->row->ladder, $clip->row->rung, $today) as $sheet) {
            $standing = array_column(TapFold::evidence(TapFold::standing($sheet->taps()), $sheet->judgedSides()), null, 'id');
            $events = [];
            foreach (array_intersect($named, array_keys($standing)) as $rep => $id) {
                $look = $this->look($standing[$id], $rung, $shown[$rep], $athlete->ageOn($today));
                if ($look !== null) {
                    $events[] = [...$look, 'seq' => count($events), 'device' => $clip->row->id];
                }
                unset($named[$rep]);
            }
            if ($events !== []) {
                $this->log->append($sheet, $events, $by);
            }
        }
        if ($named !== []) {
            throw new Problem(
                ProblemType::NotFound, 'One of these repetitions is not counted any more. Load the page again, and choose anew.',
            );
        }
    }

    /** @return array<string, bool> by checkpoint: what somebody who looked said, or what a measure alone has against it */
    private static function shown(MeasuredClip $clip, int $rep, Rung $rung): array
    {
        $shown = array_map(function (Checkpoint $checkpoint) use ($clip, $rep): ?bool {
            $said = $clip->saidOf($rep, $checkpoint->id);

            return ($clip->look($rep, $checkpoint)->look ?? Look::Uncertain)->asSeen($said === null ? null : $said === 'right');
        }, array_column($rung->checkpoints, null, 'id'));

        return array_filter($shown, fn (?bool $right): bool => $right !== null);
    }

    /**
     * @param  array<string, bool>  $shown
     * @return array<string, mixed>|null null where the clip may not judge alone
     */
    private function look(Tap $rep, Rung $rung, array $shown, ?int $age): ?array
    {
        $required = array_map(fn (Checkpoint $checkpoint): string => $checkpoint->id, $rung->checkpoints);
        $before = $rep->seen === null
            ? Seen::implied($required, $rep->isGood(), $rung->fault((string) $rep->fault)?->checkpoint)
            : array_map(fn (string $word): bool => $word === 'right', $rep->seen);

        $seen = ClipRule::seen($rep->isGood(), $before, $shown, $age);

        return $seen === null ? null : [
            'id' => (string) Str::uuid7(), 'block_id' => $rep->blockId, 'set_no' => $rep->setNo, 'kind' => 'correct',
            'target_id' => $rep->id, 'fault' => $rep->fault, 'side' => $rep->side,
            'seen' => array_map(fn (bool $right): string => $right ? 'right' : 'wrong', $seen),
            'at' => Carbon::now()->toIso8601String(),
        ];
    }

    /** @return iterable<Sheet> of the last days, on this rung */
    private static function sheets(Athlete $athlete, string $ladder, string $rung, Day $on): iterable
    {
        return Sheet::query()
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladder)
            ->where('rung', $rung)
            ->whereNull('return_stage')
            ->whereIn('state', ['running', 'finished'])
            ->whereBetween('held_on', [$on->plus(1 - self::DAYS)->iso(), $on->iso()])
            ->with(['events', 'blocks'])
            ->orderByDesc('held_on')
            ->get();
    }
}
