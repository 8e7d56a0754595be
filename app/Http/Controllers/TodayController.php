<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Views\TodayView;
use App\Screens\TodayScreen;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class TodayController
{
    #[Answers(TodayView::class, query: ['squad' => 'integer'])]
    public function __invoke(Request $request, TodayScreen $screen): JsonResponse
    {
        $user = $request->user();

        return response()->json($screen->view($user, $user->squadOrFirst($request->has('squad') ? $request->integer('squad') : null)));
    }
}
