<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Squad;
use App\Http\Answers;
use App\Http\Asked;
use App\Sessions\Answers\TodayRowsView;
use App\Sessions\Answers\TodayView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class TodayController
{
    public function __construct(private readonly TodayScreen $screen) {}

    #[Answers(TodayView::class, query: ['squad' => 'integer'])]
    public function show(Request $request): JsonResponse
    {
        return JsonResponse::fromJsonString($this->screen->json($request->user(), self::squad($request)));
    }

    #[Answers(TodayRowsView::class, query: ['squad' => 'integer', 'athletes' => 'string'])]
    public function rows(Request $request): JsonResponse
    {
        $ids = explode(',', Asked::text($request, 'athletes'));

        return JsonResponse::fromJsonString($this->screen->rowsJson($request->user(), self::squad($request), $ids));
    }

    private static function squad(Request $request): Squad
    {
        return $request->user()->squadOrFirst($request->has('squad') ? $request->integer('squad') : null);
    }
}
