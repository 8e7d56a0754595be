<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Answers;
use App\Sessions\Answers\VenueView;
use App\Sessions\Requests\VenueRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Where the club trains: every change answers with what stands then. */
final class VenueController
{
    public function __construct(private readonly Venues $venues) {}

    #[Answers(VenueView::class, list: true)]
    public function index(Request $request): JsonResponse
    {
        return response()->json($this->venues->all($request->user()));
    }

    #[Answers(VenueView::class, list: true)]
    public function keep(VenueRequest $request): JsonResponse
    {
        $this->venues->keep($request->validated(), $request->user());

        return $this->index($request);
    }

    #[Answers(VenueView::class, list: true)]
    public function remove(Request $request, Venue $venue): JsonResponse
    {
        $this->venues->remove($venue, $request->user());

        return $this->index($request);
    }
}
