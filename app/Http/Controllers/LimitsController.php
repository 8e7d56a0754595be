<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Views\LimitsView;
use App\Screens\LimitsScreen;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class LimitsController
{
    #[Answers(LimitsView::class, query: ['squad' => 'integer'])]
    public function __invoke(Request $request, LimitsScreen $screen): JsonResponse
    {
        $user = $request->user();

        return response()->json($screen->view($user, $user->squadOrFirst($request->has('squad') ? $request->integer('squad') : null)));
    }
}
