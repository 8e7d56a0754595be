<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\Athlete;
use App\Flight\Answers\FlightNumbersView;
use App\Flight\Answers\ServeView;
use App\Flight\Answers\ThrowCheckView;
use App\Flight\Requests\ServeTargetRequest;
use App\Http\Answers;
use App\Http\DocumentRequest;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Sessions\Sheet;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class FlightController
{
    #[Answers(ThrowCheckView::class, query: [
        'skill' => 'string', 'object' => 'string', 'distance_m' => 'number', 'effort' => 'number',
    ])]
    public function throwCheck(Request $request, Athlete $athlete, ThrowCheckScreen $screen): JsonResponse
    {
        $given = $request->validate([
            'skill' => ['required', 'string'],
            'object' => ['required', 'string'],
            'distance_m' => ['required', 'numeric', 'between:1,120'],
            'effort' => ['required', 'numeric', 'between:0.05,1'],
        ], ['distance_m.between' => 'A throw goes 1 to 120 m.', 'effort.between' => 'An effort lies between 5 and 100 %.']);

        return response()->json($screen->view($athlete, $request->user()->workspace->today(), $given));
    }

    #[Answers(ServeView::class, query: [
        'skill' => 'string', 'court' => 'string', 'box' => 'string', 'net_height_m' => 'number', 'contact_m' => 'number',
        'across_m' => 'number', 'height_m' => 'number', 'speed_ms' => 'number', 'topspin_rpm' => 'number', 'sidespin_rpm' => 'number',
        'in' => 'integer', 'net' => 'integer', 'long' => 'integer', 'right' => 'integer', 'left' => 'integer', 'goal' => 'number',
        'second' => 'number', 'won_first' => 'number', 'won_second' => 'number',
    ])]
    public function serve(Request $request, Athlete $athlete, ServeScreen $screen): JsonResponse
    {
        $given = $request->validate(ServeQuestion::rules(), ServeQuestion::messages());

        return response()->json($screen->view($athlete, $given, $request->user()));
    }

    #[Answers(null)]
    public function target(ServeTargetRequest $request, Athlete $athlete, ServeTargets $targets): JsonResponse
    {
        $given = $request->validated();
        $sheet = Sheet::query()->where('athlete_id', $athlete->id)->find($given['sheet_id'])
            ?? throw new Problem(ProblemType::NotFound, 'This sheet is not there any more. Load the page again.');
        $targets->put($sheet, $given, $request->user()->workspace->today());

        return response()->json(status: 204);
    }

    /** The numbers a club's balls are worked out with, as a document by its schema. */
    #[Answers(FlightNumbersView::class)]
    public function balls(Request $request, FlightTables $tables): JsonResponse
    {
        return response()->json($tables->view($request->user()->workspace_id, 'balls'));
    }

    #[Answers(FlightNumbersView::class)]
    public function courts(Request $request, FlightTables $tables): JsonResponse
    {
        return response()->json($tables->view($request->user()->workspace_id, 'courts'));
    }

    #[Answers(FlightNumbersView::class)]
    public function saveBalls(DocumentRequest $request, FlightTables $tables): JsonResponse
    {
        $tables->save(['id' => 'balls'] + $request->validated('definition'), $request->validated('version'), $request->user());

        return $this->balls($request, $tables);
    }

    #[Answers(FlightNumbersView::class)]
    public function saveCourts(DocumentRequest $request, FlightTables $tables): JsonResponse
    {
        $tables->save(['id' => 'courts'] + $request->validated('definition'), $request->validated('version'), $request->user());

        return $this->courts($request, $tables);
    }
}
