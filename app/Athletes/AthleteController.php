<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\AthleteView;
use App\Courtside\Answers\MatchCountView;
use App\Courtside\Answers\ScoresView;
use App\Courtside\MatchScreen;
use App\Courtside\Requests\ScoreRequest;
use App\Courtside\Requests\TakeBackRequest;
use App\Courtside\Scores;
use App\Courtside\ScoreScreen;
use App\Gates\Answers\HelpedLogView;
use App\Gates\DecideRung;
use App\Gates\HelpedScreen;
use App\Gates\Requests\DecisionRequest;
use App\Gates\Requests\SecondLookRequest;
use App\Gates\SecondLooks;
use App\Health\HealthLog;
use App\Health\Requests\ClearanceRequest;
use App\Health\Requests\ReportsRequest;
use App\Http\Answers;
use App\Http\Asked;
use App\Http\CalendarDay;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\Answers\DayWorkView;
use App\Limits\Answers\HeadroomGridView;
use App\Limits\Answers\LoadView;
use App\Limits\Answers\WhatIfView;
use App\Limits\Answers\WhyView;
use App\Limits\HeadroomScreen;
use App\Limits\LoadScreen;
use App\Limits\WhyScreen;
use App\Seasons\Requests\WeekElsewhereRequest;
use App\Seasons\Requests\WorkBesideRequest;
use App\Seasons\WeeksElsewhere;
use App\Seasons\WorkBeside;
use App\Sessions\Answers\HomeworkView;
use App\Sessions\HomeworkScreen;
use App\Sessions\Requests\WorkRequest;
use App\Sessions\WorkLog;
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
            $day = $request->has('day') ? Day::of(Asked::text($request, 'day')) : $request->user()->workspace->today();
        } catch (InvalidValue $error) {
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, $error->getMessage(), ['day' => [$error->getMessage()]]);
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
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, $error->getMessage(), ['day' => [$error->getMessage()]]);
        }
    }

    #[Answers(ScoresView::class)]
    public function scores(Request $request, Athlete $athlete, ScoreScreen $screen): JsonResponse
    {
        return response()->json($screen->view($athlete, $request->user()->workspace->today()));
    }

    #[Answers(ScoresView::class)]
    public function score(ScoreRequest $request, Athlete $athlete, Scores $open, ScoreScreen $screen): JsonResponse
    {
        $open->add($athlete, $request->validated(), $request->user());

        return $this->scores($request, $athlete, $screen);
    }

    #[Answers(ScoresView::class)]
    public function withdrawScore(
        TakeBackRequest $request, Athlete $athlete, string $score, Scores $scores, ScoreScreen $screen,
    ): JsonResponse {
        $scores->withdraw($athlete, $score, $request->validated('reason'), $request->user());

        return $this->scores($request, $athlete, $screen);
    }

    #[Answers(HelpedLogView::class)]
    public function helped(Request $request, Athlete $athlete, HelpedScreen $screen): JsonResponse
    {
        return response()->json($screen->view($athlete, $request->user()->workspace->today()));
    }

    #[Answers(HomeworkView::class, query: ['ladder' => 'string', 'drill' => 'string'])]
    public function homework(Request $request, Athlete $athlete, HomeworkScreen $screen): JsonResponse
    {
        $given = $request->validate([
            'ladder' => ['sometimes', 'nullable', 'string', 'max:100'],
            'drill' => ['sometimes', 'nullable', 'string', 'max:100'],
        ]);
        $today = $request->user()->workspace->today();

        return response()->json($screen->view($athlete, $today, $given['ladder'] ?? null, $given['drill'] ?? null));
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

    #[Answers(null)]
    public function report(ReportsRequest $request, Athlete $athlete, HealthLog $log): JsonResponse
    {
        $log->report($athlete, $request->validated('reports'), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function clear(ClearanceRequest $request, Athlete $athlete, HealthLog $log): JsonResponse
    {
        $log->clear($athlete, $request->validated(), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function decide(DecisionRequest $request, Athlete $athlete, DecideRung $open): JsonResponse
    {
        $open->decide($athlete, $request->validated(), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function secondLook(SecondLookRequest $request, Athlete $athlete, string $decision, SecondLooks $looks): JsonResponse
    {
        $looks->answer($athlete, $decision, $request->validated('answer'), $request->validated('reason'), $request->user());

        return response()->json(status: 204);
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
    public function tellWeekElsewhere(WeekElsewhereRequest $request, Athlete $athlete, WeeksElsewhere $weeks): JsonResponse
    {
        $weeks->tell($athlete, $request->validated(), $request->user()->workspace->today(), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function tellWorkBeside(WorkBesideRequest $request, Athlete $athlete, WorkBeside $work): JsonResponse
    {
        $given = $request->validated();
        $work->tell($athlete, $given['id'], $given['fixture'], $given['done'], $request->user()->workspace->today(), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function takeBackWork(TakeBackRequest $request, Athlete $athlete, string $entry, WorkLog $log): JsonResponse
    {
        $log->takeBack($athlete, $entry, $request->validated('reason'), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(MatchCountView::class)]
    public function match(Request $request, Athlete $athlete, MatchScreen $screen): JsonResponse
    {
        return response()->json($screen->view($athlete, $request->user()->workspace->today()));
    }
}
