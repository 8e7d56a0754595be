<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\Requests\CalendarDay;
use App\Http\Requests\ClearanceRequest;
use App\Http\Requests\DecisionRequest;
use App\Http\Requests\ReportsRequest;
use App\Http\Requests\ScoreRequest;
use App\Http\Requests\WorkRequest;
use App\Http\Views\AthleteView;
use App\Http\Views\DayWorkView;
use App\Http\Views\HeadroomGridView;
use App\Http\Views\HelpedLogView;
use App\Http\Views\HomeworkView;
use App\Http\Views\LoadView;
use App\Http\Views\MatchCountView;
use App\Http\Views\ScoresView;
use App\Http\Views\WhatIfView;
use App\Http\Views\WhyView;
use App\Models\Athlete;
use App\Records\HealthLog;
use App\Records\PromotionDesk;
use App\Records\ScoreDesk;
use App\Records\WorkLog;
use App\Screens\AthleteScreen;
use App\Screens\HeadroomScreen;
use App\Screens\HelpedScreen;
use App\Screens\HomeworkScreen;
use App\Screens\LoadScreen;
use App\Screens\MatchScreen;
use App\Screens\ScoreScreen;
use App\Screens\WhyScreen;
use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class AthleteController
{
    #[Answers(AthleteView::class)]
    public function show(Request $request, Athlete $athlete, AthleteScreen $screen): JsonResponse
    {
        return response()->json($screen->view($request->user(), $athlete));
    }

    #[Answers(WhyView::class, query: ['day' => 'string'])]
    public function why(Request $request, Athlete $athlete, string $limit, WhyScreen $screen): JsonResponse
    {
        try {
            $day = $request->has('day') ? Day::of($request->string('day')->toString()) : $request->user()->workspace->today();
        } catch (InvalidValue $error) {
            throw new Problem(422, 'Some of it cannot be used', $error->getMessage(), ['day' => [$error->getMessage()]]);
        }

        return response()->json($screen->view($athlete, $day, $limit));
    }

    #[Answers(LoadView::class, query: ['days' => 'integer'])]
    public function load(Request $request, Athlete $athlete, LoadScreen $screen): JsonResponse
    {
        return response()->json(
            $screen->view($athlete, $request->user()->workspace->today(), max(14, min(366, $request->integer('days', 70)))),
        );
    }

    #[Answers(DayWorkView::class)]
    public function day(Athlete $athlete, string $day, LoadScreen $screen): JsonResponse
    {
        try {
            return response()->json($screen->day($athlete, Day::of($day)));
        } catch (InvalidValue $error) {
            throw new Problem(422, 'Some of it cannot be used', $error->getMessage(), ['day' => [$error->getMessage()]]);
        }
    }

    #[Answers(ScoresView::class)]
    public function scores(Request $request, Athlete $athlete, ScoreScreen $screen): JsonResponse
    {
        return response()->json($screen->view($athlete, $request->user()->workspace->today()));
    }

    #[Answers(ScoresView::class)]
    public function score(ScoreRequest $request, Athlete $athlete, ScoreDesk $desk, ScoreScreen $screen): JsonResponse
    {
        $desk->add($athlete, $request->validated(), $request->user());

        return $this->scores($request, $athlete, $screen);
    }

    #[Answers(HelpedLogView::class)]
    public function helped(Request $request, Athlete $athlete, HelpedScreen $screen): JsonResponse
    {
        return response()->json($screen->view($athlete, $request->user()->workspace->today()));
    }

    #[Answers(HomeworkView::class, query: ['ladder' => 'string'])]
    public function homework(Request $request, Athlete $athlete, HomeworkScreen $screen): JsonResponse
    {
        return response()->json($screen->view($athlete, $request->user()->workspace->today(), $request->query('ladder')));
    }

    #[Answers(WhatIfView::class, query: [
        'skill' => 'string', 'reps' => 'integer', 'effort' => 'number', 'distance_m' => 'number', 'day' => 'string',
    ])]
    public function whatIf(Request $request, Athlete $athlete, LoadScreen $screen): JsonResponse
    {
        $today = $request->user()->workspace->today();
        $given = $request->validate([
            'skill' => ['required', 'string'],
            'reps' => ['required', 'integer', 'between:1,500'],
            'effort' => ['required', 'numeric', 'between:0,1'],
            'distance_m' => ['nullable', 'numeric', 'gt:0', 'max:200'],
            'day' => ['required', 'bail', new CalendarDay, 'after_or_equal:'.$today->iso(), 'before:'.$today->plus(366)->iso()],
        ]);

        return response()->json(
            $screen->whatIf(
                $athlete, $today, Day::of($given['day']), $given['skill'], (int) $given['reps'],
                (float) $given['effort'], isset($given['distance_m']) ? (float) $given['distance_m'] : null,
            ),
        );
    }

    #[Answers(AthleteView::class)]
    public function report(ReportsRequest $request, Athlete $athlete, HealthLog $log, AthleteScreen $screen): JsonResponse
    {
        $log->report($athlete, $request->validated('reports'), $request->user());

        return response()->json($screen->view($request->user(), $athlete));
    }

    #[Answers(AthleteView::class)]
    public function clear(ClearanceRequest $request, Athlete $athlete, HealthLog $log, AthleteScreen $screen): JsonResponse
    {
        $log->clear($athlete, $request->validated(), $request->user());

        return response()->json($screen->view($request->user(), $athlete));
    }

    #[Answers(AthleteView::class)]
    public function decide(DecisionRequest $request, Athlete $athlete, PromotionDesk $desk, AthleteScreen $screen): JsonResponse
    {
        $desk->decide($athlete, $request->validated(), $request->user());

        return response()->json($screen->view($request->user(), $athlete));
    }

    #[Answers(HeadroomGridView::class, query: ['skill' => 'string', 'reps' => 'integer'])]
    public function headroom(Request $request, Athlete $athlete, HeadroomScreen $screen): JsonResponse
    {
        $given = $request->validate(['skill' => ['required', 'string'], 'reps' => ['nullable', 'integer', 'between:1,500']]);

        return response()->json(
            $screen->view($athlete, $request->user()->workspace->today(), $given['skill'], (int) ($given['reps'] ?? 20)),
        );
    }

    #[Answers(null)]
    public function logWork(WorkRequest $request, Athlete $athlete, WorkLog $log): JsonResponse
    {
        $log->add($athlete, $request->validated(), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function takeBackWork(Request $request, Athlete $athlete, string $entry, WorkLog $log): JsonResponse
    {
        $log->takeBack($athlete, $entry, $request->user());

        return response()->json(status: 204);
    }

    #[Answers(MatchCountView::class)]
    public function match(Request $request, Athlete $athlete, MatchScreen $screen): JsonResponse
    {
        return response()->json($screen->view($athlete, $request->user()->workspace->today()));
    }
}
