<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\IntakeView;
use App\Athletes\Requests\HandSpanRequest;
use App\Athletes\Requests\HeightRequest;
use App\Athletes\Requests\MarkRequest;
use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class MeasurementController
{
    public function __construct(private readonly Measurements $measurements, private readonly IntakeScreen $screen) {}

    #[Answers(IntakeView::class)]
    public function height(HeightRequest $request, Athlete $athlete): JsonResponse
    {
        $this->measurements->height($athlete, $request->validated(), $request->user());

        return $this->answer($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function handSpan(HandSpanRequest $request, Athlete $athlete, BodyMeasures $measures): JsonResponse
    {
        $given = $request->validated();
        $measures->add($athlete, [
            'id' => $given['id'], 'what' => HandSpans::WHAT, 'side' => null, 'value' => (float) $given['span_cm'],
            'measured_on' => $given['measured_on'],
        ], $request->user());

        return $this->answer($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function withdrawHandSpan(Request $request, Athlete $athlete, string $id, BodyMeasures $measures): JsonResponse
    {
        $measures->withdraw($athlete, $id, $request->user());

        return $this->answer($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function mark(MarkRequest $request, Athlete $athlete): JsonResponse
    {
        $this->measurements->mark($athlete, $request->validated(), $request->user());

        return $this->answer($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function confirmHeight(Request $request, Athlete $athlete, string $id): JsonResponse
    {
        $this->measurements->confirm($athlete, 'heights', $id, $request->user());

        return $this->answer($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function withdrawHeight(Request $request, Athlete $athlete, string $id): JsonResponse
    {
        $this->measurements->withdraw($athlete, 'heights', $id, $request->user());

        return $this->answer($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function confirmMark(Request $request, Athlete $athlete, string $id): JsonResponse
    {
        $this->measurements->confirm($athlete, 'skill_marks', $id, $request->user());

        return $this->answer($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function withdrawMark(Request $request, Athlete $athlete, string $id): JsonResponse
    {
        $this->measurements->withdraw($athlete, 'skill_marks', $id, $request->user());

        return $this->answer($request, $athlete);
    }

    private function answer(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->view($request->user(), $athlete));
    }
}
