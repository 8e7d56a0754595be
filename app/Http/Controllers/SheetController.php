<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Problem;
use App\Http\Requests\DosesRequest;
use App\Http\Requests\EventsRequest;
use App\Http\Requests\FinishRequest;
use App\Http\Views\AfterView;
use App\Http\Views\CourtsideView;
use App\Http\Views\SheetView;
use App\Models\Sheet;
use App\Records\RepLog;
use App\Records\SheetDesk;
use App\Screens\AfterScreen;
use App\Screens\CourtsideScreen;
use App\Screens\SheetScreen;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class SheetController
{
    #[OA\Get(path: '/api/sheets/{sheet}', operationId: 'sheet', parameters: [new OA\PathParameter(name: 'sheet', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The sheet', content: new OA\JsonContent(ref: SheetView::class))])]
    public function show(Sheet $sheet): JsonResponse
    {
        return response()->json(SheetScreen::view(SheetDesk::open($sheet)));
    }

    #[OA\Post(path: '/api/sheets/{sheet}/preview', operationId: 'previewSheet', parameters: [new OA\PathParameter(name: 'sheet', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The sheet', content: new OA\JsonContent(ref: SheetView::class))])]
    public function preview(DosesRequest $request, Sheet $sheet): JsonResponse
    {
        $desk = SheetDesk::open($sheet);

        return response()->json(SheetScreen::view($desk, $desk->withDoses($request->doses())));
    }

    #[OA\Put(path: '/api/sheets/{sheet}', operationId: 'saveSheet', parameters: [new OA\PathParameter(name: 'sheet', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The sheet', content: new OA\JsonContent(ref: SheetView::class))])]
    public function save(DosesRequest $request, Sheet $sheet): JsonResponse
    {
        $desk = SheetDesk::open($sheet);
        $desk->save($request->doses(), $request->integer('version'));

        return response()->json(SheetScreen::view(SheetDesk::open($sheet->refresh())));
    }

    #[OA\Post(path: '/api/sheets/{sheet}/fit', operationId: 'fitSheet', parameters: [new OA\PathParameter(name: 'sheet', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The sheet', content: new OA\JsonContent(ref: SheetView::class))])]
    public function fit(Request $request, Sheet $sheet): JsonResponse
    {
        $desk = SheetDesk::open($sheet);
        $desk->refuseStale($request->integer('version'));
        if ($sheet->state !== 'planned') {
            throw new Problem(409, 'Already started', 'A session that has started is not fitted anew; change its doses instead.');
        }
        $desk->fit();

        return response()->json(SheetScreen::view(SheetDesk::open($sheet->refresh())));
    }

    #[OA\Get(path: '/api/sheets/{sheet}/courtside', operationId: 'courtside', parameters: [new OA\PathParameter(name: 'sheet', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'What courtside takes along', content: new OA\JsonContent(ref: CourtsideView::class))])]
    public function courtside(Sheet $sheet): JsonResponse
    {
        return response()->json(CourtsideScreen::view(SheetDesk::open($sheet)));
    }

    #[OA\Post(path: '/api/sheets/{sheet}/events', operationId: 'sendEvents', parameters: [new OA\PathParameter(name: 'sheet', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'What was kept and what was refused', content: new OA\JsonContent(required: ['kept', 'refused'], properties: [new OA\Property(property: 'kept', type: 'array', items: new OA\Items(type: 'string')), new OA\Property(property: 'refused', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]))])]
    public function events(EventsRequest $request, Sheet $sheet, RepLog $log): JsonResponse
    {
        [$valid, $refused] = $request->sorted($sheet);
        if ($valid !== []) {
            $log->append($sheet, $valid, $request->user());
        }

        return response()->json(['kept' => array_column($valid, 'id'), 'refused' => (object) $refused]);
    }

    #[OA\Post(path: '/api/sheets/{sheet}/finish', operationId: 'finishSheet', parameters: [new OA\PathParameter(name: 'sheet', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The session in one look', content: new OA\JsonContent(ref: AfterView::class))])]
    public function finish(FinishRequest $request, Sheet $sheet, AfterScreen $screen): JsonResponse
    {
        SheetDesk::open($sheet)->finish($request->validated());

        return $this->after($request, $sheet->refresh(), $screen);
    }

    #[OA\Get(path: '/api/sheets/{sheet}/after', operationId: 'after', parameters: [new OA\PathParameter(name: 'sheet', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The session in one look', content: new OA\JsonContent(ref: AfterView::class))])]
    public function after(Request $request, Sheet $sheet, AfterScreen $screen): JsonResponse
    {
        return response()->json($screen->view(SheetDesk::open($sheet), $request->user()->workspace->today()));
    }
}
