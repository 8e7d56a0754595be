<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Squad;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use App\Records\Record;
use App\Records\Sent;
use Augendo\Core\Library\Library;
use Augendo\Core\Planning\WorkSource;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

/**
 * Doses somebody put together on a sheet, kept for the squad: whoever gets them is held to limits and word of their own.
 *
 * @property string $id
 * @property int $squad_id
 * @property string $name
 * @property string $ladder the one it was put together for
 * @property string $rung the one it was put together for: only there its judged blocks are judged
 * @property list<array<string, mixed>> $blocks what SheetBlock holds of a dose
 * @property int $made_by
 * @property Carbon|null $removed_at out of sight, and can be taken back
 */
final class SheetTemplate extends Record
{
    /** Of a block: its dose, and nothing of the athlete it was given to. */
    private const DOSE = [
        'kind', 'title', 'text', 'skill', 'object', 'side', 'surface', 'rest_s', 'hold_s', 'legs', 'drop_cm', 'judged', 'loads', 'manner',
        'sets', 'reps', 'effort', 'effort_min', 'distance_m', 'distance_min_m', 'reps_min',
    ];

    private const MOST = 30;

    protected function casts(): array
    {
        return ['blocks' => 'array', 'removed_at' => 'datetime'];
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }

    /** @param  array{id: string, name: string}  $given  sent before, it is the same one; a name that is there is taken over */
    public static function keep(Sheet $sheet, array $given, User $by): void
    {
        $squad = $sheet->trainingSession()->firstOrFail()->squad;
        // Whoever answers for the athlete may not be at home in the squad.
        Gate::forUser($by)->authorize('manage', $squad);
        Alone::inClub($squad->workspace_id, function () use ($sheet, $squad, $given, $by): void {
            if (Sent::before('sheet_templates', $given['id'], ['squad_id' => $squad->id])) {
                return;
            }
            $known = self::query()->where('squad_id', $squad->id)->where('name', $given['name'])->first();
            if ($known === null && self::inSight($squad->id)->count() >= self::MOST) {
                $why = 'There are thirty templates already. Take over the name of an old one, or remove one.';
                throw new Problem(ProblemType::TooMuchAtOnce, $why);
            }
            $blocks = $sheet->blocks()->get()->filter(fn (SheetBlock $block): bool => $block->reps > 0 || $block->asked_reps === 0);
            $row = [
                'ladder' => $sheet->ladder, 'rung' => $sheet->rung, 'made_by' => $by->id, 'removed_at' => null,
                'blocks' => array_values($blocks->map(
                    fn (SheetBlock $block): array => array_intersect_key($block->toArray(), array_flip(self::DOSE)),
                )->all()),
            ];
            $known === null
                ? self::query()->create(['id' => $given['id'], 'squad_id' => $squad->id, 'name' => $given['name'], ...$row])
                : $known->update($row);
            Audit::of($by, null, 'template kept', ['name' => $given['name']]);
        });
    }

    /** Out of sight, or back again: nothing of it is lost. */
    public static function remove(Sheet $sheet, string $id, bool $removed, User $by): void
    {
        $squad = $sheet->trainingSession()->firstOrFail()->squad;
        Gate::forUser($by)->authorize('manage', $squad);
        Alone::inClub($squad->workspace_id, function () use ($squad, $id, $removed, $by): void {
            $template = self::query()->where('squad_id', $squad->id)->findOrFail($id);
            if (($template->removed_at !== null) === $removed) {
                return;
            }
            if (! $removed && self::inSight($squad->id)->count() >= self::MOST) {
                throw new Problem(ProblemType::TooMuchAtOnce, 'There are thirty templates already. Remove another one first.');
            }
            $template->update(['removed_at' => $removed ? Carbon::now() : null]);
            Audit::of($by, null, $removed ? 'template removed' : 'template taken back', ['name' => $template->name]);
        });
    }

    /** The template a block of it is added from, by the name it is added by: see addable. */
    public static function idIn(string $key): string
    {
        return explode('/', $key)[1];
    }

    /** @return Builder<self> */
    private static function inSight(int $squadId): Builder
    {
        return self::query()->where('squad_id', $squadId)->whereNull('removed_at');
    }

    /** @return array<string, WorkSource> the blocks of all templates of the squad of a sheet, by a name of their own */
    public static function addable(Sheet $sheet, Library $library): array
    {
        $found = [];
        $templates = self::inSight($sheet->trainingSession->squad_id)->orderBy('name')->get();
        foreach ($templates as $template) {
            $isOfRung = $template->ladder === $sheet->ladder && $template->rung === $sheet->rung;
            foreach ($template->blocks as $i => $block) {
                $asked = new SheetBlock([
                    ...$block,
                    'judged' => $isOfRung && $block['judged'],
                    'asked_sets' => $block['sets'],
                    'asked_reps' => intdiv((int) $block['reps'], max(1, (int) $block['sets'])),
                    'asked_effort' => $block['effort'],
                    'asked_distance_m' => $block['distance_m'],
                ]);
                $found["template/{$template->id}/{$i}"] = new WorkSource(
                    $asked->dose($library), 'template', $template->ladder, $template->rung, $template->name,
                );
            }
        }

        return $found;
    }
}
