<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\Health\Answers\AwayAndHurtView;
use App\Health\Requests\AbsenceRequest;
use App\Health\Requests\EndAbsenceRequest;
use App\Health\Requests\IncidentEntryRequest;
use App\Health\Requests\IncidentRequest;
use App\Health\Requests\RestrictionRequest;
use App\Http\Answers;
use Augendo\Core\Day;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Days away, what a clinician restricts, what happened: every change answers with what stands then. */
final class AwayController
{
    public function __construct(private readonly AwayScreen $screen) {}

    #[Answers(AwayAndHurtView::class)]
    public function show(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->view($request->user(), $athlete));
    }

    #[Answers(AwayAndHurtView::class)]
    public function beAway(AbsenceRequest $request, Athlete $athlete, AwayAndHurt $keep): JsonResponse
    {
        $keep->beAway($athlete, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(AwayAndHurtView::class)]
    public function end(EndAbsenceRequest $request, Athlete $athlete, Absence $absence, AwayAndHurt $keep): JsonResponse
    {
        $keep->end($absence, Day::of($request->validated('last_day')), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(AwayAndHurtView::class)]
    public function takeBack(Request $request, Athlete $athlete, Absence $absence, AwayAndHurt $keep): JsonResponse
    {
        $keep->takeBack($absence, $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(AwayAndHurtView::class)]
    public function restrict(RestrictionRequest $request, Athlete $athlete, AwayAndHurt $keep): JsonResponse
    {
        $keep->restrict($athlete, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(AwayAndHurtView::class)]
    public function lift(Request $request, Athlete $athlete, Restriction $restriction, AwayAndHurt $keep): JsonResponse
    {
        $keep->lift($restriction, $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(AwayAndHurtView::class)]
    public function openIncident(IncidentRequest $request, Athlete $athlete, Incidents $incidents): JsonResponse
    {
        $incidents->open($athlete, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(AwayAndHurtView::class)]
    public function addToIncident(
        IncidentEntryRequest $request, Athlete $athlete, Incident $incident, Incidents $incidents,
    ): JsonResponse {
        $incidents->add($incident, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(AwayAndHurtView::class)]
    public function closeIncident(Request $request, Athlete $athlete, Incident $incident, Incidents $incidents): JsonResponse
    {
        $incidents->close($incident, $request->user());

        return $this->show($request, $athlete);
    }
}
