<?php

declare(strict_types=1);

namespace App\Library;

use App\Athletes\Answers\IntakeView;
use App\Athletes\Athlete;
use App\Athletes\IntakeScreen;
use App\Http\Answers;
use App\Http\DocumentRequest;
use App\Library\Answers\SizeNumbersView;
use App\Library\Requests\OwnSizeRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class SizesController
{
    public function __construct(private readonly ClubSizes $sizes) {}

    #[Answers(SizeNumbersView::class)]
    public function ofClub(Request $request): JsonResponse
    {
        return response()->json($this->sizes->view($request->user()->workspace_id));
    }

    #[Answers(SizeNumbersView::class)]
    public function save(DocumentRequest $request): JsonResponse
    {
        $this->sizes->save($request->validated('definition'), $request->validated('version'), $request->user());

        return $this->ofClub($request);
    }

    #[Answers(IntakeView::class)]
    public function choose(OwnSizeRequest $request, Athlete $athlete, IntakeScreen $screen): JsonResponse
    {
        $given = $request->validated();
        OwnSizes::choose($athlete, $given['table'], $given['object'], $request->user());

        return response()->json($screen->view($request->user(), $athlete));
    }
}
