<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\Requests\ConditionRequest;
use App\Http\Requests\IntakeRequest;
use App\Http\Requests\WellnessRequest;
use App\Http\Views\IntakeView;
use App\Http\Views\TokenView;
use App\Models\Athlete;
use App\Models\Link;
use App\Records\HealthLog;
use App\Records\IntakeDesk;
use App\Records\LinkDesk;
use App\Records\Privacy;
use App\Screens\IntakeScreen;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class IntakeController
{
    public function __construct(private readonly IntakeDesk $desk, private readonly IntakeScreen $screen) {}

    #[Answers(IntakeView::class)]
    public function show(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->view($request->user(), $athlete));
    }

    #[Answers(IntakeView::class)]
    public function save(IntakeRequest $request, Athlete $athlete): JsonResponse
    {
        $this->desk->save($athlete, $request->safe()->except('version'), $request->integer('version'), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function confirmUsualWeek(Request $request, Athlete $athlete): JsonResponse
    {
        $this->desk->confirmUsualWeek($athlete, $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function condition(ConditionRequest $request, Athlete $athlete, HealthLog $log): JsonResponse
    {
        $log->setCondition($athlete, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(null)]
    public function wellness(WellnessRequest $request, Athlete $athlete, HealthLog $log): JsonResponse
    {
        $log->wellness($athlete, $request->validated(), $request->user()->workspace->today());

        return response()->json(status: 204);
    }

    #[Answers(TokenView::class)]
    public function link(Request $request, Athlete $athlete, LinkDesk $links): JsonResponse
    {
        $given = $request->validate(
            ['label' => ['required', 'string', 'max:60']],
            ['label.required' => 'Say whom the link is for, for example “mother’s phone”.'],
        );
        $token = $links->checkIn($athlete, $given['label'], $request->user());

        return response()->json(
            new TokenView($token, Link::query()->where('token_hash', hash('sha256', $token))->firstOrFail()->expires_at->toDateString()),
        );
    }

    #[Answers(null)]
    public function export(Request $request, Athlete $athlete, Privacy $privacy): JsonResponse
    {
        return response()->json(
            $privacy->export($athlete, $request->user()),
            headers: ['Content-Disposition' => "attachment; filename=\"augendo-{$athlete->id}.json\""],
        );
    }

    #[Answers(null)]
    public function erase(Request $request, Athlete $athlete, Privacy $privacy): JsonResponse
    {
        $given = $request->validate(['name' => ['required', 'string']]);
        if (trim($given['name']) !== $athlete->name()) {
            throw new Problem(
                422,
                'Nothing was erased',
                "Write the whole name as it stands, “{$athlete->name()}”, to erase it for good.",
                ['name' => ['This is not the name.']],
            );
        }
        $privacy->erase($athlete, $request->user());

        return response()->json(status: 204);
    }
}
