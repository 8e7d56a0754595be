<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Squad;
use App\Gates\Answers\GatesView;
use App\Gates\Answers\SquadHelpedView;
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

    #[Answers(SquadHelpedView::class, list: true)]
    public function helped(Squad $squad, HelpedScreen $screen): JsonResponse
    {
        return response()->json($screen->ofSquad($squad));
    }
}
