<?php

declare(strict_types=1);

namespace App\Library;

use App\Athletes\Squad;
use App\Http\Answers;
use App\Http\Asked;
use App\Http\DocumentRequest;
use App\Library\Answers\ClubDrillView;
use App\Library\Answers\DocumentView;
use App\Library\Answers\DrillsView;
use App\Library\Answers\LadderCompareView;
use App\Library\Answers\LadderImportView;
use App\Library\Answers\LetThroughView;
use App\Library\Answers\LibraryLadderView;
use App\Library\Answers\LibraryProblemView;
use App\Library\Answers\LibraryRowView;
use App\Library\Answers\PictureView;
use App\Library\Answers\RungPreviewView;
use App\Library\Answers\SentencesView;
use App\Library\Requests\LadderImportRequest;
use App\Library\Requests\LetThroughRequest;
use App\Library\Requests\PreviewRequest;
use App\Library\Requests\TakeChangesRequest;
use Augendo\Core\Library\Handedness;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class LibraryController
{
    public function __construct(private readonly LibraryScreen $screen, private readonly Ladders $shelf) {}

    #[Answers(LibraryRowView::class, list: true)]
    public function all(Request $request): JsonResponse
    {
        return response()->json($this->screen->all($request->user()));
    }

    #[Answers(LibraryLadderView::class, query: ['hand' => 'string', 'version' => 'integer'])]
    public function ladder(Request $request, string $ladder): JsonResponse
    {
        $hand = Handedness::tryFrom(Asked::text($request, 'hand')) ?? Handedness::Right;

        return response()->json(
            $this->screen->ladder($request->user(), $ladder, $hand, $request->has('version') ? $request->integer('version') : null),
        );
    }

    #[Answers(DrillsView::class, query: ['words' => 'string', 'hand' => 'string'])]
    public function drills(Request $request, DrillsScreen $drills): JsonResponse
    {
        $asked = $request->validate(['words' => ['sometimes', 'nullable', 'string', 'max:200']]);
        $hand = Handedness::tryFrom(Asked::text($request, 'hand')) ?? Handedness::Right;

        return response()->json($drills->find($request->user(), (string) ($asked['words'] ?? ''), $hand));
    }

    #[Answers(PictureView::class, list: true)]
    public function pictures(DrillsScreen $drills): JsonResponse
    {
        return response()->json($drills->pictures());
    }

    #[Answers(ClubDrillView::class, list: true)]
    public function clubDrills(Request $request, ClubDrills $drills): JsonResponse
    {
        return response()->json($drills->views($request->user()));
    }

    #[Answers(ClubDrillView::class, list: true)]
    public function saveDrill(DocumentRequest $request, ClubDrills $drills): JsonResponse
    {
        $given = $request->validated();
        $drills->save($given['definition'], $given['version'], $request->user());

        return $this->clubDrills($request, $drills);
    }

    /** The ladder as a file: to edit, to copy, to share. */
    #[Answers(DocumentView::class)]
    public function definition(Request $request, string $ladder): JsonResponse
    {
        return $this->document($request, $ladder);
    }

    #[Answers(DocumentView::class)]
    public function save(DocumentRequest $request): JsonResponse
    {
        $given = $request->validated();

        return $this->document($request, $this->shelf->save($given['definition'], $given['version'], $request->user()));
    }

    /** A rung as it would be read, planned and counted if the ladder were kept as it is being edited. */
    #[Answers(RungPreviewView::class)]
    public function preview(PreviewRequest $request): JsonResponse
    {
        $given = $request->validated();

        return response()->json($this->screen->preview(
            $request->user(), $given['definition'], $given['rung'], Handedness::from($given['hand']), $given['age'],
        ));
    }

    #[Answers(LadderCompareView::class, query: ['with' => 'string'])]
    public function compare(Request $request, LadderComparison $compared, string $ladder): JsonResponse
    {
        $asked = $request->validate(['with' => ['sometimes', 'nullable', 'string', 'max:40']]);

        return response()->json($compared->view($request->user(), $ladder, $asked['with'] ?? null));
    }

    #[Answers(LadderCompareView::class)]
    public function take(TakeChangesRequest $request, LadderComparison $compared, string $ladder): JsonResponse
    {
        $given = $request->validated();
        $compared->take($request->user(), $ladder, $given);

        return response()->json($compared->view($request->user(), $ladder, $given['with']));
    }

    #[Answers(LadderImportView::class, list: true)]
    public function import(LadderImportRequest $request): JsonResponse
    {
        $rows = $this->shelf->import($request->validated('files'), $request->boolean('keep'), $request->user());

        return response()->json(array_map(fn (array $row): LadderImportView => new LadderImportView(
            $row['file'], $row['name'], $row['rungs'], $row['becomes'],
            array_map(
                fn (array $problem): LibraryProblemView => new LibraryProblemView($row['file'], $problem['path'], $problem['message']),
                $row['problems'],
            ),
        ), $rows));
    }

    /** How often a gate lets somebody through whose true rate is known: told while it is read or edited. */
    #[Answers(LetThroughView::class, list: true)]
    public function letThrough(LetThroughRequest $request): JsonResponse
    {
        return response()->json($this->screen->letThrough($request->gate(), (int) $request->validated('reps')));
    }

    #[Answers(SentencesView::class)]
    public function adopt(Request $request, Squad $squad, string $ladder): JsonResponse
    {
        return response()->json(new SentencesView($this->shelf->adopt($request->user(), $squad, $ladder)));
    }

    private function document(Request $request, string $id): JsonResponse
    {
        $ladder = $this->shelf->ladder($request->user(), $id);

        return response()->json(
            new DocumentView(
                $id, $ladder->name, isset($this->shelf->own($request->user()->workspace_id)[$id]), $ladder->version,
                $this->shelf->definition($id),
            ),
        );
    }
}
