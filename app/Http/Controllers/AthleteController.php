<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Problem;
use App\Http\Requests\ClearanceRequest;
use App\Http\Requests\DecisionRequest;
use App\Http\Requests\ReportsRequest;
use App\Http\Views\AthleteView;
use App\Http\Views\WhyView;
use App\Models\Athlete;
use App\Records\HealthLog;
use App\Records\PromotionDesk;
use App\Screens\AthleteScreen;
use App\Screens\WhyScreen;
use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class AthleteController
{
    #[OA\Get(path: '/api/athletes/{athlete}', operationId: 'athlete', parameters: [new OA\PathParameter(name: 'athlete', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'Where an athlete stands', content: new OA\JsonContent(ref: AthleteView::class))])]
    public function show(Request $request, Athlete $athlete, AthleteScreen $screen): JsonResponse
    {
        return response()->json($screen->view($request->user(), $athlete));
    }

    #[OA\Get(path: '/api/athletes/{athlete}/limits/{limit}', operationId: 'why', parameters: [new OA\PathParameter(name: 'athlete', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'limit', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'day', in: 'query', required: false, schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The sets behind a limit', content: new OA\JsonContent(ref: WhyView::class))])]
    public function why(Request $request, Athlete $athlete, string $limit, WhyScreen $screen): JsonResponse
    {
        try {
            $day = $request->has('day') ? Day::of($request->string('day')->toString()) : $request->user()->workspace->today();
        } catch (InvalidValue $error) {
            throw new Problem(422, 'Some of it cannot be used', $error->getMessage(), ['day' => [$error->getMessage()]]);
        }

        return response()->json($screen->view($athlete, $day, $limit));
    }

    #[OA\Post(path: '/api/athletes/{athlete}/reports', operationId: 'report', parameters: [new OA\PathParameter(name: 'athlete', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'Kept; where the athlete stands now', content: new OA\JsonContent(ref: AthleteView::class))])]
    public function report(ReportsRequest $request, Athlete $athlete, HealthLog $log, AthleteScreen $screen): JsonResponse
    {
        $log->report($athlete, $request->validated('reports'), $request->user());

        return response()->json($screen->view($request->user(), $athlete));
    }

    #[OA\Post(path: '/api/athletes/{athlete}/clearances', operationId: 'clear', parameters: [new OA\PathParameter(name: 'athlete', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'Kept; where the athlete stands now', content: new OA\JsonContent(ref: AthleteView::class))])]
    public function clear(ClearanceRequest $request, Athlete $athlete, HealthLog $log, AthleteScreen $screen): JsonResponse
    {
        $log->clear($athlete, $request->validated(), $request->user());

        return response()->json($screen->view($request->user(), $athlete));
    }

    #[OA\Post(path: '/api/athletes/{athlete}/decisions', operationId: 'decide', parameters: [new OA\PathParameter(name: 'athlete', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'Kept; where the athlete stands now', content: new OA\JsonContent(ref: AthleteView::class))])]
    public function decide(DecisionRequest $request, Athlete $athlete, PromotionDesk $desk, AthleteScreen $screen): JsonResponse
    {
        $desk->decide($athlete, $request->validated(), $request->user());

        return response()->json($screen->view($request->user(), $athlete));
    }
}
