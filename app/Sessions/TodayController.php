<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Answers;
use App\Sessions\Answers\TodayView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class TodayController
{
    #[Answers(TodayView::class, query: ['squad' => 'integer'])]
    public function __invoke(Request $request, TodayScreen $screen): JsonResponse
    {
        $user = $request->user();

        $squad = $user->squadOrFirst($request->has('squad') ? $request->integer('squad') : null);

        return JsonResponse::fromJsonString($screen->json($user, $squad));
    }
}
