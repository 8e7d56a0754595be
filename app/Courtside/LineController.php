<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Courtside\Answers\DecidedTogetherView;
use App\Courtside\Answers\LineHeardView;
use App\Courtside\Answers\PaperRowView;
use App\Courtside\Answers\SquadAfterView;
use App\Courtside\Requests\DecideTogetherRequest;
use App\Courtside\Requests\FinishTogetherRequest;
use App\Http\Answers;
use App\Http\Asked;
use App\Sessions\TrainingSession;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A line of athletes counted together, and what comes of the session for all of them. */
final class LineController
{
    #[Answers(LineHeardView::class, list: true, query: ['device' => 'string'])]
    public function heard(Request $request, TrainingSession $session): JsonResponse
    {
        return response()->json(LineScreen::news(Asked::text($request, 'device'), $session, $request->user()));
    }

    #[Answers(null)]
    public function finish(FinishTogetherRequest $request, TrainingSession $session, FinishTogether $together): JsonResponse
    {
        $together->finish($session, $request->validated(), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(PaperRowView::class, list: true)]
    public function paper(Request $request, TrainingSession $session): JsonResponse
    {
        return response()->json(PaperScreen::rows($session, $request->user()));
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
