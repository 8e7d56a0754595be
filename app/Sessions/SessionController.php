<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Answers;
use App\Sessions\Answers\BriefView;
use App\Sessions\Answers\CoachNoteView;
use App\Sessions\Answers\PickUpView;
use App\Sessions\Answers\SessionView;
use App\Sessions\Requests\CoachNoteRequest;
use App\Sessions\Requests\FloorRequest;
use App\Sessions\Requests\PickUpRequest;
use App\Sessions\Requests\StationsRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class SessionController
{
    public function __construct(private readonly SessionScreen $screen) {}

    #[Answers(SessionView::class)]
    public function show(Request $request, TrainingSession $session): JsonResponse
    {
        return response()->json($this->screen->view($session, $request->user()));
    }

    #[Answers(SessionView::class)]
    public function preview(StationsRequest $request, TrainingSession $session): JsonResponse
    {
        return response()->json($this->screen->preview($session, $request->user(), $request->stations(), $request->integer('version')));
    }

    #[Answers(SessionView::class)]
    public function keep(StationsRequest $request, TrainingSession $session): JsonResponse
    {
        Stations::open($session, $request->user())->keep($request->stations(), $request->integer('version'));

        return $this->show($request, $session->refresh());
    }

    #[Answers(SessionView::class)]
    public function floor(FloorRequest $request, TrainingSession $session): JsonResponse
    {
        Stations::open($session, $request->user())->floor($request->floor());

        return $this->show($request, $session->refresh());
    }

    #[Answers(SessionView::class)]
    public function undo(Request $request, TrainingSession $session): JsonResponse
    {
        Stations::open($session, $request->user())->undo();

        return $this->show($request, $session->refresh());
    }

    /** For whoever stands in. */
    #[Answers(BriefView::class)]
    public function brief(Request $request, TrainingSession $session): JsonResponse
    {
        return response()->json(BriefScreen::view($session, $request->user()));
    }

    #[Answers(CoachNoteView::class, list: true)]
    public function note(CoachNoteRequest $request, TrainingSession $session): JsonResponse
    {
        CoachNotes::write($session, $request->validated(), $request->user());

        return response()->json(CoachNotes::at($session, $request->user()));
    }

    /** The children of the session, and who took them home. */
    #[Answers(PickUpView::class, list: true)]
    public function pickUps(Request $request, TrainingSession $session): JsonResponse
    {
        return response()->json(PickUps::of($session, $request->user()));
    }

    #[Answers(PickUpView::class, list: true)]
    public function pickUp(PickUpRequest $request, TrainingSession $session): JsonResponse
    {
        PickUps::note($session, $request->validated(), $request->user());

        return $this->pickUps($request, $session);
    }
}
