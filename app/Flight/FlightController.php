<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\Athlete;
use App\Flight\Answers\ThrowCheckView;
use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class FlightController
{
    #[Answers(ThrowCheckView::class, query: [
        'skill' => 'string', 'object' => 'string', 'distance_m' => 'number', 'effort' => 'number',
    ])]
    public function throwCheck(Request $request, Athlete $athlete, ThrowCheckScreen $screen): JsonResponse
    {
        $given = $request->validate([
            'skill' => ['required', 'string'],
            'object' => ['required', 'string'],
            'distance_m' => ['required', 'numeric', 'between:1,120'],
            'effort' => ['required', 'numeric', 'between:0.05,1'],
        ], ['distance_m.between' => 'A throw goes 1 to 120 m.', 'effort.between' => 'An effort lies between 5 and 100 %.']);

        return response()->json($screen->view($athlete, $request->user()->workspace->today(), $given));
    }
}
