<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Gates\Answers\GripsView;
use App\Gates\Requests\GripRequest;
use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Every change answers with what stands then. */
final class GripsController
{
    public function __construct(private readonly Grips $grips) {}

    #[Answers(GripsView::class)]
    public function show(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->grips->view($athlete, $request->user()->workspace->today()));
    }

    #[Answers(GripsView::class)]
    public function add(GripRequest $request, Athlete $athlete): JsonResponse
    {
        $this->grips->add($athlete, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(GripsView::class)]
    public function withdraw(Request $request, Athlete $athlete, string $id): JsonResponse
    {
        $this->grips->withdraw($athlete, $id, $request->user());

        return $this->show($request, $athlete);
    }
}
