<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Http\Answers;
use App\Seasons\Answers\SkillsView;
use App\Seasons\Requests\SkillsRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class SkillsController
{
    public function __construct(private readonly SkillsScreen $screen, private readonly PlanTogether $together) {}

    #[Answers(SkillsView::class)]
    public function show(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->view($athlete, $request->user()->workspace->today()));
    }

    #[Answers(SkillsView::class)]
    public function draft(SkillsRequest $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->asked($athlete, $request->validated(), $request->user()->workspace->today()));
    }

    #[Answers(SkillsView::class)]
    public function keep(SkillsRequest $request, Athlete $athlete): JsonResponse
    {
        $this->together->keep($athlete, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }
}
