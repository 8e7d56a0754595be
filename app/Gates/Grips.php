<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Gates\Answers\GripNoteView;
use App\Gates\Answers\GripsView;
use App\Gates\Answers\GripView;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use App\Records\Sent;
use App\Wording\JudgingWording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\Grip;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** How an athlete holds the ball, grip by grip, and what it did: a log, so that one thing is changed at a time. */
final class Grips
{
    private const SHOWN = 12;

    public function __construct(private readonly Library $library) {}

    public function view(Athlete $athlete, Day $on): GripsView
    {
        $grips = [];
        foreach (self::notes($athlete->id)->get()->groupBy(fn (object $note): string => "{$note->ladder}|{$note->name}") as $notes) {
            $grips[] = new GripView(
                ladder: $notes[0]->ladder,
                ladder_name: $this->library->ladder($notes[0]->ladder)->name,
                name: $notes[0]->name,
                notes: self::told($notes),
            );
        }
        usort($grips, fn (GripView $a, GripView $b): int => $b->notes[0]->day <=> $a->notes[0]->day);
        $ladders = Placement::standing()->where('athlete_id', $athlete->id)->distinct()->pluck('ladder')->sort()->values()->all();

        return new GripsView(
            Cards::athlete($athlete, $on), $on->iso(), $grips,
            array_map(fn (string $id): NamedView => new NamedView($id, $this->library->ladder($id)->name), $ladders),
        );
    }

    /** @return list<string> names of an athlete's grips on a ladder, the latest first: what may be tried courtside */
    public static function names(string $athleteId, string $ladder): array
    {
        return self::notes($athleteId)->where('ladder', $ladder)->get()->reverse()->pluck('name')->unique()->values()->all();
    }

    /**
     * @param  array{id: string, ladder: string, day: string, name: string, fingers: string, pressure: string, thumb: string,
     *     did: string}  $given  validated; sent before, it changes nothing
     */
    public function add(Athlete $athlete, array $given, User $by): void
    {
        if (Placement::query()->where('athlete_id', $athlete->id)->where('ladder', $given['ladder'])->doesntExist()) {
            throw new Problem(
                ProblemType::NotOnThisLadder, 'The athlete has no place on this ladder.', ['ladder' => ['Choose one they climb.']],
            );
        }
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (! Sent::before('grip_notes', $given['id'], ['athlete_id' => $athlete->id])) {
                DB::table('grip_notes')->insert([
                    ...$given, 'athlete_id' => $athlete->id, 'kept_by' => $by->id, 'kept_at' => Carbon::now(),
                ]);
            }
        });
    }

    public function withdraw(Athlete $athlete, string $id, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $by): void {
            $changed = DB::table('grip_notes')->where('athlete_id', $athlete->id)->where('id', $id)->whereNull('withdrawn_at')
                ->update(['withdrawn_at' => Carbon::now(), 'withdrawn_by' => $by->id]);
            if ($changed === 0) {
                throw new Problem(ProblemType::NotFound, 'This line is not there any more.');
            }
            Audit::of($by, $athlete, 'grip note withdrawn', ['id' => $id]);
        });
    }

    private static function notes(string $athleteId): \Illuminate\Database\Query\Builder
    {
        return DB::table('grip_notes')
            ->where('athlete_id', $athleteId)
            ->whereNull('withdrawn_at')
            ->orderBy('day')
            ->orderBy('kept_at')
            ->orderBy('id');
    }

    /**
     * @param  Collection<int, \stdClass>  $notes  of one grip, in order of time
     * @return non-empty-list<GripNoteView> the latest first
     */
    private static function told(Collection $notes): array
    {
        $views = [];
        $before = null;
        foreach ($notes as $note) {
            $grip = new Grip($note->fingers, $note->pressure, $note->thumb);
            $changed = $before === null ? [] : $grip->changedFrom($before);
            $before = $grip;
            $views[] = new GripNoteView(
                id: $note->id,
                day: substr($note->day, 0, 10),
                fingers: $note->fingers,
                pressure: $note->pressure,
                thumb: $note->thumb,
                did: $note->did,
                changed: $changed,
                warning: Grip::isTooMuchAtOnce($changed) ? JudgingWording::TWO_AT_ONCE : null,
            );
        }

        return array_slice(array_reverse($views), 0, self::SHOWN);
    }
}
