<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\Requests\DosesRequest;
use App\Http\Requests\EventsRequest;
use App\Http\Requests\FinishRequest;
use App\Http\Views\AfterView;
use App\Http\Views\CourtsideView;
use App\Http\Views\EventsAnswerView;
use App\Http\Views\HeardView;
use App\Http\Views\SheetView;
use App\Models\Athlete;
use App\Models\Sheet;
use App\Records\MissingCounts;
use App\Records\RepLog;
use App\Records\SheetDesk;
use App\Screens\AfterScreen;
use App\Screens\CourtsideScreen;
use App\Screens\SheetScreen;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class SheetController
{
    #[Answers(SheetView::class)]
    public function show(Request $request, Sheet $sheet): JsonResponse
    {
        SheetDesk::freshen([$sheet->athlete_id], $request->user()->workspace->today());

        return response()->json(SheetScreen::view(SheetDesk::open($sheet->refresh())));
    }

    #[Answers(SheetView::class)]
    public function preview(DosesRequest $request, Sheet $sheet): JsonResponse
    {
        $desk = SheetDesk::open($sheet);

        return response()->json(SheetScreen::view($desk, $desk->withDoses($request->doses())));
    }

    #[Answers(SheetView::class)]
    public function save(DosesRequest $request, Sheet $sheet): JsonResponse
    {
        $desk = SheetDesk::open($sheet);
        $desk->save($request->doses(), $request->integer('version'));

        return response()->json(SheetScreen::view(SheetDesk::open($sheet->refresh())));
    }

    #[Answers(SheetView::class)]
    public function fit(Request $request, Sheet $sheet): JsonResponse
    {
        $desk = SheetDesk::open($sheet);
        $desk->refuseStale($request->integer('version'));
        if ($sheet->state !== 'planned') {
            throw new Problem(409, 'Already started', 'A session that has started is not fitted anew; change its doses instead.');
        }
        $desk->fit();

        return response()->json(SheetScreen::view(SheetDesk::open($sheet->refresh())));
    }

    #[Answers(CourtsideView::class)]
    public function courtside(Request $request, Sheet $sheet): JsonResponse
    {
        SheetDesk::freshen([$sheet->athlete_id], $request->user()->workspace->today());
        $desk = SheetDesk::open($sheet->refresh());
        $desk->refuseAhead();

        return response()->json(CourtsideScreen::view($desk, $request->user()));
    }

    #[Answers(EventsAnswerView::class)]
    public function events(EventsRequest $request, Sheet $sheet, RepLog $log): JsonResponse
    {
        [$valid, $refused] = $request->sorted($sheet);
        $taken = $valid === [] ? [] : $log->append($sheet, $valid, $request->user());
        $refused += array_fill_keys($taken, 'Another tap was kept under this id already, on another sheet.');

        return response()->json(
            new EventsAnswerView(array_values(array_diff(array_column($valid, 'id'), array_keys($refused))), (object) $refused),
        );
    }

    #[Answers(HeardView::class)]
    public function heard(Sheet $sheet): JsonResponse
    {
        return response()->json(new HeardView(CourtsideScreen::heard($sheet)));
    }

    #[Answers(null)]
    public function missing(Request $request, MissingCounts $missing): JsonResponse
    {
        $given = $request->validate([
            'device' => ['required', 'uuid'], 'athletes' => ['present', 'array', 'max:500'],
            'athletes.*.athlete_id' => ['required', 'uuid'],
            'athletes.*.count' => ['required', 'integer:strict', 'between:1,100000'],
        ]);
        $missing->tell($given['device'], array_map(intval(...), array_column($given['athletes'], 'count', 'athlete_id')), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function giveUpMissing(Request $request, Athlete $athlete, MissingCounts $missing): JsonResponse
    {
        $missing->giveUp($athlete, $request->user());

        return response()->json(status: 204);
    }

    #[Answers(AfterView::class)]
    public function finish(FinishRequest $request, Sheet $sheet, AfterScreen $screen): JsonResponse
    {
        SheetDesk::open($sheet)->finish($request->validated(), $request->user());

        return $this->after($request, $sheet->refresh(), $screen);
    }

    #[Answers(AfterView::class)]
    public function after(Request $request, Sheet $sheet, AfterScreen $screen): JsonResponse
    {
        return response()->json($screen->view(SheetDesk::open($sheet), $request->user()));
    }
}
