<?php

declare(strict_types=1);

namespace App\Gates;

use App\Gates\Answers\GatesView;
use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class GatesController
{
    #[Answers(GatesView::class, query: ['squad' => 'integer'])]
    public function __invoke(Request $request, GatesScreen $screen): JsonResponse
    {
        $user = $request->user();

        $squad = $user->squadOrFirst($request->has('squad') ? $request->integer('squad') : null);

        return JsonResponse::fromJsonString($screen->json($user, $squad));
    }
}
