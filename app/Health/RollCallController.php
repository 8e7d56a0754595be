<?php

declare(strict_types=1);

namespace App\Health;

use App\Health\Answers\RollCallView;
use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

final class RollCallController
{
    #[Answers(RollCallView::class, query: ['squad' => 'integer'])]
    public function show(Request $request, RollCallScreen $screen): JsonResponse
    {
        $user = $request->user();

        return response()->json($screen->view($user, $user->squadOrFirst($request->has('squad') ? $request->integer('squad') : null)));
    }

    #[Answers(null)]
    public function withdraw(Request $request, SorenessReport $report, HealthLog $log): JsonResponse
    {
        Gate::authorize('report', $report->athlete()->firstOrFail());
        $log->withdraw($report, $request->user());

        return response()->json(status: 204);
    }
}
