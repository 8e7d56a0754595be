<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Squad;
use App\Http\Answers;
use App\Http\CalendarDay;
use App\Sessions\Answers\CalendarView;
use App\Sessions\Answers\PlanChangeView;
use App\Sessions\Answers\SessionMadeView;
use App\Sessions\Answers\SessionPreviewView;
use App\Sessions\Answers\WeekView;
use App\Sessions\Requests\CallOffRequest;
use App\Sessions\Requests\CloseSessionRequest;
use App\Sessions\Requests\CopyWeekRequest;
use App\Sessions\Requests\JoinRequest;
use App\Sessions\Requests\SessionChangeRequest;
use App\Sessions\Requests\SessionRequest;
use Augendo\Core\Day;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The calendar of a squad, and what becomes of the sessions on it. */
final class CalendarController
{
    public function __construct(
        private readonly CalendarScreen $screen,
        private readonly PlanSessions $plan,
        private readonly ChangeSession $change,
    ) {}

    #[Answers(CalendarView::class, query: ['squad' => 'integer', 'from' => 'string', 'to' => 'string'])]
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();
        $given = $request->validate([
            'from' => ['nullable', 'bail', new CalendarDay],
            'to' => ['nullable', 'bail', new CalendarDay],
        ]);

        return response()->json($this->screen->view(
            $user,
            $user->squadOrFirst($request->has('squad') ? $request->integer('squad') : null),
            isset($given['from']) ? Day::of($given['from']) : null,
            isset($given['to']) ? Day::of($given['to']) : null,
        ));
    }

    #[Answers(WeekView::class, query: ['squad' => 'integer', 'day' => 'string'])]
    public function week(Request $request, WeekScreen $screen): JsonResponse
    {
        $user = $request->user();
        $given = $request->validate(['day' => ['nullable', 'bail', new CalendarDay]]);

        return response()->json($screen->view(
            $user,
            $user->squadOrFirst($request->has('squad') ? $request->integer('squad') : null),
            isset($given['day']) ? Day::of($given['day']) : null,
        ));
    }

    #[Answers(SessionMadeView::class)]
    public function plan(SessionRequest $request, Squad $squad): JsonResponse
    {
        return $this->made($this->plan->plan($squad, $request->validated(), $request->user()));
    }

    #[Answers(SessionPreviewView::class)]
    public function preview(SessionRequest $request, Squad $squad): JsonResponse
    {
        return response()->json($this->screen->preview(...$this->plan->preview($squad, $request->validated(), $request->user())));
    }

    #[Answers(SessionMadeView::class)]
    public function copyWeek(CopyWeekRequest $request, Squad $squad): JsonResponse
    {
        $given = $request->validated();

        return $this->made($this->plan->copyWeek($squad, $given['id'], Day::of($given['week']), $request->user()));
    }

    #[Answers(PlanChangeView::class)]
    public function change(SessionChangeRequest $request, TrainingSession $session): JsonResponse
    {
        return $this->said($this->change->change($session, $request->validated(), $request->user()), $request);
    }

    /** With a reason it stays on the calendar; without one it was planned by mistake. */
    #[Answers(PlanChangeView::class)]
    public function callOff(CallOffRequest $request, TrainingSession $session): JsonResponse
    {
        $given = $request->validated();

        return $this->said($given['reason'] === null
            ? $this->change->delete($session, $given['scope'], $request->user())
            : $this->change->callOff($session, $given['scope'], $given['reason'], $request->user()), $request);
    }

    #[Answers(PlanChangeView::class)]
    public function join(JoinRequest $request, TrainingSession $session): JsonResponse
    {
        $given = $request->validated();
        $athlete = $request->user()->visibleAthletes()->findOrFail($given['athlete_id']);

        return $this->said($this->change->join($session, $athlete, $given['ladders'] ?? null, $request->user()), $request);
    }

    #[Answers(PlanChangeView::class)]
    public function takeOut(JoinRequest $request, TrainingSession $session): JsonResponse
    {
        $athlete = $request->user()->visibleAthletes()->findOrFail($request->validated('athlete_id'));

        return $this->said($this->change->takeOut($session, $athlete, $request->user()), $request);
    }

    #[Answers(null)]
    public function close(CloseSessionRequest $request, TrainingSession $session): Response
    {
        $this->change->close($session, $request->integer('version'), $request->user());

        return response()->noContent();
    }

    #[Answers(null)]
    public function takeBack(Request $request, SessionChange $change): Response
    {
        TakeBackChange::by($request->user(), $change);

        return response()->noContent();
    }

    private function made(SessionsMade $made): JsonResponse
    {
        return response()->json(new SessionMadeView($made->changeId, count($made->sessionIds), $made->sheets, $made->leftOut));
    }

    private function said(SessionChange $change, Request $request): JsonResponse
    {
        return response()->json($this->screen->change($change, $request->user()));
    }
}
