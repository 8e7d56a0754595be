<?php

declare(strict_types=1);

namespace App\Library;

use App\Courtside\Answers\CheckpointView;
use App\Courtside\Answers\FaultView;
use App\Courtside\Answers\TagView;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\Answers\FigurePoseView;
use App\Library\Answers\LadderVersionView;
use App\Library\Answers\LetThroughView;
use App\Library\Answers\LibraryBlockView;
use App\Library\Answers\LibraryFaultView;
use App\Library\Answers\LibraryLadderView;
use App\Library\Answers\LibraryRowView;
use App\Library\Answers\LibraryRungView;
use App\Library\Answers\PreviewBlockView;
use App\Library\Answers\RungPreviewView;
use App\Library\Answers\SeatedView;
use App\Library\Answers\TaughtView;
use App\People\User;
use App\Wording\FilmWording;
use App\Wording\LadderWording;
use App\Wording\SchoolWording;
use App\Wording\Wording;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\LetThrough;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Pose;
use Augendo\Core\Library\Rung;
use Augendo\Core\Library\Tag;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Side;

/** How is this skill built and mended? */
final class LibraryScreen
{
    public function __construct(
        private readonly Library $library,
        private readonly Ladders $shelf,
        private readonly ClubSizes $sizes,
    ) {}

    /** @return list<LibraryRowView> */
    public function all(User $user): array
    {
        $own = $this->shelf->own($user->workspace_id);

        return array_map(function (string $id) use ($own): LibraryRowView {
            $ladder = $this->library->ladder($id);
            $words = [$ladder->name, $ladder->summary];
            foreach ($this->faults($ladder) as $fault) {
                $words = [...$words, $fault->name, $fault->cue, $fault->drill];
            }
            foreach ($ladder->rungs as $rung) {
                $words = [...$words, $rung->name, $rung->goal];
            }

            return new LibraryRowView(
                id: $id,
                name: $ladder->name,
                family: $ladder->skill->family->value,
                summary: Handedness::Right->mirror($ladder->summary),
                rungs: count($ladder->rungs),
                words: mb_strtolower(implode(' | ', $words)),
                own: isset($own[$id]),
            );
        }, $this->shelf->ids($user->workspace_id));
    }

    public function ladder(User $user, string $id, Handedness $hand, ?int $version): LibraryLadderView
    {
        $ladder = $this->shelf->ladder($user, $id, $version);
        $mirror = fn (string $text): string => ucfirst($hand->mirror($text));
        $checkpoints = [];
        foreach ($ladder->rungs as $rung) {
            foreach ($rung->checkpoints as $checkpoint) {
                $checkpoints[$checkpoint->id] = $checkpoint;
            }
        }

        return new LibraryLadderView(
            id: $id,
            name: $ladder->name,
            summary: $mirror($ladder->summary),
            version: $ladder->version,
            cautions: $ladder->cautions,
            needs: array_map(
                fn (array $need): string => $this->library->ladder($need[0])->name.': '.(
                    $this->library->ladder($need[0])->rung($need[1])->name ?? $need[1]
                ),
                $ladder->needs,
            ),
            figures: array_map(
                fn (Pose $pose): FigurePoseView => FigurePoseView::of($pose, $hand),
                $this->library->figures()->ofSkill($ladder->skill->id),
            ),
            checkpoints: array_map(
                fn (Checkpoint $checkpoint): CheckpointView => new CheckpointView(
                    $checkpoint->name,
                    $mirror($checkpoint->good),
                    array_map($mirror, $checkpoint->variants),
                ),
                array_values($checkpoints),
            ),
            faults: array_map(
                fn (Fault $fault): LibraryFaultView => new LibraryFaultView(
                    $fault->name, $checkpoints[$fault->checkpoint]->name ?? $fault->checkpoint, $mirror($fault->cue),
                    $mirror($fault->drill), $fault->safety,
                    $fault->how === null ? null : $mirror($fault->how), $fault->stop === null ? null : $mirror($fault->stop),
                    $fault->dose === null ? null : FilmWording::drillDose($fault->dose),
                    FigurePoseView::ofPicture($this->library->figures(), $fault->picture, $hand),
                ),
                $this->faults($ladder),
            ),
            seated: SeatedView::of($ladder->seated, $checkpoints, $hand),
            tags: array_map(fn (Tag $tag): TagView => TagView::of($tag, $hand), $ladder->tags),
            rungs: array_map(fn (Rung $rung): LibraryRungView => self::rung($rung, $hand), $ladder->rungs),
            taught: self::taught($user, $id),
            sizes: LadderWording::sizes($this->sizes->of($user->workspace_id)->ofSkill($ladder->skill->id)),
            own: isset($this->shelf->own($user->workspace_id)[$id]),
            copied_from: $ladder->copiedFrom === null ? null : $this->library->ladder($ladder->copiedFrom)->name,
            versions: array_map(
                fn (array $kept): LadderVersionView => new LadderVersionView($kept['version'], $kept['saved_at'], $kept['by']),
                $this->shelf->versions($id),
            ),
        );
    }

    /**
     * A rung of a ladder that is being edited, as it would be read, planned and counted.
     *
     * @param  array<string, mixed>  $definition
     *
     * @throws Problem with the places that have to be mended first
     */
    public function preview(User $user, array $definition, string $rungId, Handedness $hand, int $age): RungPreviewView
    {
        $today = $user->workspace->today();
        [$ladder] = $this->shelf->draft($definition, 'preview', 1);
        $born = new AthleteProfile($today->plus(-366 * $age), sizes: $this->sizes->of($user->workspace_id));
        $rung = $ladder->forAthlete($born, $today, $this->library->doses())->rung($rungId)
            ?? throw new Problem(ProblemType::NotFound, 'This ladder has no such rung.');

        return new RungPreviewView(
            rung: self::rung($rung, $hand),
            faults: array_map(fn (Fault $fault): FaultView => FaultView::of($fault, $hand, $this->library->figures()), $rung->faults),
            tags: array_map(fn (Tag $tag): TagView => TagView::of($tag, $hand), $rung->tags),
            blocks: array_map(fn (BlockDose $block): PreviewBlockView => new PreviewBlockView(
                kind_name: Wording::blockKind($block->kind),
                title: $block->title,
                text: ucfirst($hand->mirror($block->text)),
                sets: $block->sets,
                reps: $block->reps,
                effort: $block->effort,
                distance_m: $block->distanceM,
                object: Wording::object($block->object),
                rest_s: $block->restS,
                hold_s: $block->holdS,
                how: LadderWording::manner($block->manner),
                judged: $block->judged,
                other_side: $block->side === Side::Other,
            ), $rung->blocks),
        );
    }

    /** @return list<LetThroughView> */
    public function letThrough(Gate $gate, int $repsASession): array
    {
        return array_map(LetThroughView::of(...), LetThrough::of($gate, $repsASession));
    }

    /** @return list<string> the user's squads whose school is not the library's, and what it is */
    private static function taught(User $user, string $ladder): array
    {
        $told = [];
        foreach ($user->visibleSquads()->orderBy('squads.id')->get() as $squad) {
            $ways = SchoolWording::taught([...ChosenSchools::above($squad, $ladder), ...ChosenSchools::here($squad, $ladder)]);
            if ($ways !== []) {
                $told[] = "{$squad->name}: ".lcfirst(implode('; ', $ways)).'.';
            }
        }

        return $told;
    }

    private static function rung(Rung $rung, Handedness $hand): LibraryRungView
    {
        $mirror = fn (string $text): string => ucfirst($hand->mirror($text));

        return new LibraryRungView(
            id: $rung->id,
            name: $rung->name,
            goal: $mirror($rung->goal),
            outcome_ignored: $rung->outcomeIgnored,
            checkpoints: array_map(fn (Checkpoint $checkpoint): string => $checkpoint->name, $rung->checkpoints),
            faults: array_map(fn (Fault $fault): string => $fault->name, $rung->faults),
            blocks: array_map(fn (BlockDose $block): LibraryBlockView => self::block($block, $mirror), $rung->blocks),
            indoor: $rung->indoor === null ? null : self::block($rung->indoor, $mirror),
            gate: Wording::gateAsks($rung->gate),
            safe_misses: $rung->safeMisses,
            teaching: TaughtView::of($rung->teaching, $hand),
            seated: $rung->seated === null ? null : $mirror($rung->seated),
        );
    }

    /** @return list<Fault> of all rungs, those that can hurt first */
    private function faults(Ladder $ladder): array
    {
        $faults = [];
        foreach ($ladder->rungs as $rung) {
            foreach ($rung->faults as $fault) {
                $faults[$fault->id] = $fault;
            }
        }
        usort($faults, fn (Fault $a, Fault $b): int => $b->safety <=> $a->safety);

        return $faults;
    }

    /** @param  callable(string): string  $mirror */
    private static function block(BlockDose $block, callable $mirror): LibraryBlockView
    {
        $share = $block->distanceShare === null ? '' : ' or '.Wording::percent($block->distanceShare).' of the longest throw';
        $dose = "{$block->sets} × {$block->reps}, ".Wording::dose($block->effort, $block->distanceM).$share.', '
            .lcfirst(Wording::object($block->object)).($block->side->value === 'other' ? ', other side' : '');

        return new LibraryBlockView(
            Wording::blockKind($block->kind), $block->title, $mirror($block->text), $block->reps === 0 ? '' : $dose, $block->judged,
            LadderWording::manner($block->manner),
        );
    }
}
