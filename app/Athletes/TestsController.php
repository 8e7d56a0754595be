<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\TestsView;
use App\Athletes\Requests\BodyMeasureRequest;
use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class TestsController
{
    public function __construct(private readonly TestsScreen $screen, private readonly BodyMeasures $measures) {}

    #[Answers(TestsView::class)]
    public function show(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->view($athlete, $request->user()->workspace->today()));
    }

    #[Answers(TestsView::class)]
    public function measure(BodyMeasureRequest $request, Athlete $athlete): JsonResponse
    {
        $this->measures->add($athlete, $request->measure(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(TestsView::class)]
    public function withdraw(Request $request, Athlete $athlete, string $id): JsonResponse
    {
        $this->measures->withdraw($athlete, $id, $request->user());

        return $this->show($request, $athlete);
    }
}
