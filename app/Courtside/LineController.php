<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Cards;
use App\Courtside\Answers\BlockCountView;
use App\Courtside\Answers\DecidedTogetherView;
use App\Courtside\Answers\LineHeardView;
use App\Courtside\Answers\PaperRowView;
use App\Courtside\Answers\SquadAfterView;
use App\Courtside\Requests\DecideTogetherRequest;
use App\Courtside\Requests\FinishTogetherRequest;
use App\Http\Answers;
use App\Sessions\Sheet;
use App\Sessions\Stations;
use App\Sessions\TrainingSession;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** A line of athletes counted together, and what comes of the session for all of them. */
final class LineController
{
    /** @return JsonResponse a row for each sheet of the session that the user may see */
    #[Answers(LineHeardView::class, list: true, query: ['device' => 'string'])]
    public function heard(Request $request, TrainingSession $session): JsonResponse
    {
        $device = $request->string('device')->value();
        $sheets = Stations::open($session, $request->user())->sheets();
        $others = RepEvent::query()
            ->whereIn('sheet_id', $sheets->pluck('id'))
            // Whoever does not say who they are hears of all.
            ->when(Str::isUuid($device), fn (Builder $taps) => $taps->where('device', '!=', $device))
            ->selectRaw('sheet_id, count(*) as n')->groupBy('sheet_id')->pluck('n', 'sheet_id');

        return response()->json($sheets->map(fn (Sheet $sheet): LineHeardView => new LineHeardView(
            $sheet->id,
            CourtsideScreen::heard($sheet),
            (int) ($others[$sheet->id] ?? 0),
        ))->values());
    }

    #[Answers(null)]
    public function finish(FinishTogetherRequest $request, TrainingSession $session, FinishTogether $together): JsonResponse
    {
        $together->finish($session, $request->validated(), $request->user());

        return response()->json(status: 204);
    }

    /** @return JsonResponse what was ticked on paper is entered from it */
    #[Answers(PaperRowView::class, list: true)]
    public function paper(Request $request, TrainingSession $session): JsonResponse
    {
        $sheets = new EloquentCollection(Stations::open($session, $request->user())->sheets()->all());
        $sheets->load('events');

        return response()->json($sheets->map(function (Sheet $sheet): PaperRowView {
            $blocks = BlockCounts::of($sheet);

            return new PaperRowView(
                sheet_id: $sheet->id,
                athlete: Cards::athlete($sheet->athlete, $sheet->day()),
                counted: array_sum(array_map(fn (BlockCountView $block): int => $block->done, $blocks)) > 0,
                blocks: array_values(array_filter($blocks, fn (BlockCountView $block): bool => $block->planned > 0)),
            );
        })->values());
    }

    #[Answers(SquadAfterView::class)]
    public function after(Request $request, TrainingSession $session, SquadAfterScreen $screen): JsonResponse
    {
        return response()->json($screen->view($session, $request->user()));
    }

    #[Answers(DecidedTogetherView::class)]
    public function decide(DecideTogetherRequest $request, TrainingSession $session, FinishTogether $together): JsonResponse
    {
        return response()->json($together->decide($session, $request->validated('decisions'), $request->user()));
    }
}
