<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Views\TodayView;
use App\Screens\TodayScreen;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class TodayController
{
    #[OA\Get(path: '/api/today', operationId: 'today', parameters: [new OA\Parameter(name: 'squad', in: 'query', required: false, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The squad in running order', content: new OA\JsonContent(ref: TodayView::class))])]
    public function __invoke(Request $request, TodayScreen $screen): JsonResponse
    {
        $user = $request->user();
        $squads = $user->workspace->squads()->orderBy('id');
        $squad = $request->has('squad') ? $squads->findOrFail($request->integer('squad')) : $squads->firstOrFail();

        return response()->json($screen->view($user, $squad));
    }
}
