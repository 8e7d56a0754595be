<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Sessions\EditSheet;
use App\Sessions\OpenSheet;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use App\Sessions\SheetDraft;
use App\Sessions\SheetNote;
use App\Wording\ServeWording;
use Augendo\Core\Day;
use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Library;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\ServeTarget;

/** What a serve is to be tried with, as a target and a dose of the next sheet: instead of some of its serves, never on top of them. */
final class ServeTargets
{
    public function __construct(private readonly Library $library) {}

    /** @return Sheet|null the next that is planned with this serve; null: none, or it is not theirs to plan */
    public function nextSheet(Athlete $athlete, string $skill, Day $today, User $by): ?Sheet
    {
        if (! $by->can('decide', $athlete)) {
            return null;
        }

        return Sheet::query()
            ->where('athlete_id', $athlete->id)
            ->where('state', 'planned')
            ->whereNull('return_id')
            ->where('held_on', '>=', $today->iso())
            ->whereHas('blocks', fn ($blocks) => $blocks->where('skill', $skill)->where('reps', '>', 1))
            ->orderBy('held_on')
            ->first();
    }

    /**
     * @param  array<string, mixed>  $given  validated
     *
     * @throws Problem when the sheet holds such a target already, or a limit or the word speaks against it
     */
    public function put(Sheet $sheet, array $given, Day $today): void
    {
        $skill = $given['skill'];
        $change = new ServeChange(
            pace: (float) $given['pace'],
            topspinRpm: (float) $given['topspin_rpm'],
            higherM: (float) $given['higher_m'],
            aimed: (float) $given['aimed'],
            share: null,
        );
        $standing = ServeStanding::of(new AthleteDay($sheet->athlete, $today), $skill);
        $why = $standing->allowed->refuses($change, (float) $given['topspin_now_rpm']);
        if ($why !== null) {
            throw new Problem(ProblemType::NotToday, ServeWording::refusal($why, $standing));
        }
        Alone::with($sheet->athlete_id, function () use ($sheet, $skill, $change): void {
            $sheet->refresh();
            EditSheet::refuseClosed($sheet);
            if ($sheet->state !== 'planned' || $sheet->return_id !== null) {
                throw new Problem(
                    ProblemType::NotAdded,
                    'A session that has started, or that is a stage of a way back, keeps its doses. Choose the next one.',
                );
            }
            foreach ($sheet->notes() as $note) {
                if ($note->why === 'serve_target') {
                    throw new Problem(
                        ProblemType::NotAdded,
                        'This sheet has a target from the serve window already. Take that block away first.',
                    );
                }
            }
            $open = OpenSheet::of($sheet);
            $blocks = $sheet->blocks->values();
            $from = $blocks->keys()->filter(fn (int $i): bool => self::isServed($blocks[$i], $skill))->last()
                ?? throw new Problem(ProblemType::NotAdded, 'No block of this sheet has such serves.');
            $plans = $blocks->map(fn (SheetBlock $block): BlockPlan => $block->plan($this->library))->all();
            $split = ServeTarget::outOf($plans[$from], $change)
                ?? throw new Problem(ProblemType::NotAdded, 'The serves of this sheet are too few to try one another way.');
            $doses = [];
            foreach ($blocks as $i => $block) {
                $doses[] = [$i === $from ? $split->rest : $plans[$i], $block->id];
                if ($i === $from) {
                    $doses[] = [$split->target, null];
                }
            }
            $places = [];
            foreach ($blocks->keys() as $i) {
                $places[$i] = $i > $from ? $i + 1 : $i;
            }
            $draft = SheetDraft::made($sheet, $doses, [
                ...SheetNote::moved($sheet->notes(), $places), SheetNote::serveTarget($change, $from + 1),
            ]);
            EditSheet::keep($sheet, $open, $draft);
        });
    }

    private static function isServed(SheetBlock $block, string $skill): bool
    {
        return $block->skill === $skill && $block->reps > 1 && ! in_array($block->kind, [BlockKind::WarmUp, BlockKind::OtherSide], true);
    }
}
