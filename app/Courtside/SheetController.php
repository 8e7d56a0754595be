<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Courtside\Answers\AfterView;
use App\Courtside\Answers\CourtsideView;
use App\Courtside\Answers\EventsAnswerView;
use App\Courtside\Answers\HeardView;
use App\Courtside\Requests\CountsRequest;
use App\Courtside\Requests\EventsRequest;
use App\Courtside\Requests\FinishRequest;
use App\Courtside\Requests\MissingCountsRequest;
use App\Http\Answers;
use App\Sessions\AddableScreen;
use App\Sessions\Answers\AddableView;
use App\Sessions\Answers\SheetView;
use App\Sessions\Answers\SwapView;
use App\Sessions\EditSheet;
use App\Sessions\FinishSheet;
use App\Sessions\OpenSheet;
use App\Sessions\RefitPlans;
use App\Sessions\Requests\FitRequest;
use App\Sessions\Requests\RemoveTemplateRequest;
use App\Sessions\Requests\SheetRequest;
use App\Sessions\Requests\SwapRequest;
use App\Sessions\Requests\TemplateRequest;
use App\Sessions\Sheet;
use App\Sessions\SheetScreen;
use App\Sessions\SheetTemplate;
use App\Sessions\SwapScreen;
use App\Sessions\SwapWork;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class SheetController
{
    #[Answers(SheetView::class)]
    public function show(Request $request, Sheet $sheet): JsonResponse
    {
        return response()->json(SheetScreen::view(
            OpenSheet::of(RefitPlans::toLookAt($sheet, $request->user()->workspace->today())), $request->user(),
        ));
    }

    #[Answers(SheetView::class)]
    public function preview(SheetRequest $request, Sheet $sheet): JsonResponse
    {
        $open = OpenSheet::of(RefitPlans::toLookAt($sheet, $request->user()->workspace->today()));

        return response()->json(SheetScreen::preview($open, $request->blocks(), $request->user()));
    }

    #[Answers(SheetView::class)]
    public function save(SheetRequest $request, Sheet $sheet): JsonResponse
    {
        RefitPlans::beforeWriting($sheet, $request->user()->workspace->today());
        EditSheet::save($sheet, $request->blocks(), $request->integer('version'));

        return response()->json(SheetScreen::view(OpenSheet::of($sheet->refresh()), $request->user()));
    }

    #[Answers(SheetView::class)]
    public function fit(FitRequest $request, Sheet $sheet): JsonResponse
    {
        RefitPlans::beforeWriting($sheet, $request->user()->workspace->today());
        EditSheet::fitAnew($sheet, $request->integer('version'));

        return response()->json(SheetScreen::view(OpenSheet::of($sheet->refresh()), $request->user()));
    }

    /** What may be put on it. */
    #[Answers(AddableView::class, list: true)]
    public function addable(Sheet $sheet): JsonResponse
    {
        return response()->json(AddableScreen::view(OpenSheet::of($sheet)));
    }

    /** Its doses for the whole squad to use again. */
    #[Answers(null)]
    public function keepTemplate(TemplateRequest $request, Sheet $sheet): JsonResponse
    {
        SheetTemplate::keep($sheet, $request->validated(), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function removeTemplate(RemoveTemplateRequest $request, Sheet $sheet, string $template): JsonResponse
    {
        SheetTemplate::remove($sheet, $template, $request->boolean('removed'), $request->user());

        return response()->json(status: 204);
    }

    /** What is left when the work of the day was taken away. */
    #[Answers(SwapView::class)]
    public function swap(Request $request, Sheet $sheet): JsonResponse
    {
        return response()->json(SwapScreen::view(OpenSheet::of(RefitPlans::toLookAt($sheet, $request->user()->workspace->today()))));
    }

    /** Takes it up; what is answered may be another sheet. */
    #[Answers(SheetView::class)]
    public function takeSwap(SwapRequest $request, Sheet $sheet): JsonResponse
    {
        RefitPlans::beforeWriting($sheet, $request->user()->workspace->today());

        $next = SwapWork::take($sheet, $request->validated(), $request->user());

        return response()->json(SheetScreen::view(OpenSheet::of($next), $request->user()));
    }

    #[Answers(CourtsideView::class)]
    public function courtside(Request $request, Sheet $sheet): JsonResponse
    {
        $open = OpenSheet::of(RefitPlans::toLookAt($sheet, $request->user()->workspace->today()));

        return response()->json(CourtsideScreen::view($open, $request->user()));
    }

    #[Answers(EventsAnswerView::class)]
    public function events(EventsRequest $request, Sheet $sheet, RepLog $log): JsonResponse
    {
        RefitPlans::beforeWriting($sheet, $request->user()->workspace->today());
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
    public function missing(MissingCountsRequest $request, MissingCounts $missing): JsonResponse
    {
        $given = $request->validated();
        $missing->tell($given['device'], array_map(intval(...), array_column($given['athletes'], 'count', 'athlete_id')), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function giveUpMissing(Request $request, Athlete $athlete, MissingCounts $missing): JsonResponse
    {
        $missing->giveUp($athlete, $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function finish(FinishRequest $request, Sheet $sheet): JsonResponse
    {
        FinishSheet::by($request->user(), $sheet, $request->validated());

        return response()->json(status: 204);
    }

    /** Sums of a session nobody counted, or counts put right. */
    #[Answers(null)]
    public function counts(CountsRequest $request, Sheet $sheet, EnterCounts $enter): JsonResponse
    {
        $enter->enter($sheet, $request->validated(), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(AfterView::class)]
    public function after(Request $request, Sheet $sheet, AfterScreen $screen): JsonResponse
    {
        return response()->json($screen->view(OpenSheet::of($sheet), $request->user()));
    }
}
