<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Film\Answers\FilmView;
use App\Film\Requests\ClipRequest;
use App\Film\Requests\FilmConsentRequest;
use App\Film\Requests\FilmReviewRequest;
use App\Http\Answers;
use App\People\Answers\TokenView;
use App\People\Links;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class FilmController
{
    public function __construct(
        private readonly FilmScreen $screen,
        private readonly FilmConsents $consents,
        private readonly Clips $clips,
        private readonly FilmReviews $reviews,
    ) {}

    #[Answers(FilmView::class)]
    public function show(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->view($athlete, $request->user()));
    }

    #[Answers(FilmView::class)]
    public function agree(FilmConsentRequest $request, Athlete $athlete): JsonResponse
    {
        $this->consents->give($athlete, $request->consent(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(FilmView::class)]
    public function withdrawConsent(Request $request, Athlete $athlete, string $consent): JsonResponse
    {
        $this->consents->withdraw($athlete, $consent, $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(FilmView::class)]
    public function keep(ClipRequest $request, Athlete $athlete): JsonResponse
    {
        $this->clips->keep($athlete, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(FilmView::class)]
    public function withdraw(Request $request, Athlete $athlete, string $clip): JsonResponse
    {
        $this->clips->withdraw($athlete, $clip, $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(TokenView::class)]
    public function review(FilmReviewRequest $request, Athlete $athlete): JsonResponse
    {
        $token = $this->reviews->send($athlete, $request->review(), $request->user());

        return response()->json(Links::handedOn($token));
    }

    #[Answers(FilmView::class)]
    public function withdrawReview(Request $request, Athlete $athlete, string $review): JsonResponse
    {
        $this->reviews->withdraw($athlete, $review, $request->user());

        return $this->show($request, $athlete);
    }
}
