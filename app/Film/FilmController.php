<?php

declare(strict_types=1);

namespace App\Film;

use App\Athletes\Athlete;
use App\Film\Answers\FilmView;
use App\Film\Requests\AskClipRequest;
use App\Film\Requests\ClipRequest;
use App\Film\Requests\FilmConsentRequest;
use App\Film\Requests\FilmReviewRequest;
use App\Film\Requests\KeptClipRequest;
use App\Http\Answers;
use App\People\Answers\TokenView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class FilmController
{
    private const NOWHERE_KEPT = ['Cache-Control' => 'no-store, private'];

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

    /** A saved picture of a moment. */
    #[Answers(null)]
    public function picture(Athlete $athlete, string $picture): Response
    {
        return response(FilmPictures::bytes($athlete, $picture), headers: self::NOWHERE_KEPT + ['Content-Type' => 'image/jpeg']);
    }

    #[Answers(FilmView::class)]
    public function askForClip(AskClipRequest $request, Athlete $athlete, AskedClips $clips): JsonResponse
    {
        $clips->ask($athlete, $request->asked(), $request->user());

        return $this->show($request, $athlete);
    }

    /** The clip that was sent in. */
    #[Answers(null)]
    public function sentClip(Athlete $athlete, string $asked): BinaryFileResponse
    {
        return response()->file(AskedClips::path($athlete, $asked), self::NOWHERE_KEPT + ['Content-Type' => 'application/octet-stream']);
    }

    #[Answers(FilmView::class)]
    public function keepSentClip(KeptClipRequest $request, Athlete $athlete, string $asked): JsonResponse
    {
        AskedClips::keep($athlete, $asked, $request->validated('kept'), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(FilmView::class)]
    public function endAskedClip(Request $request, Athlete $athlete, string $asked): JsonResponse
    {
        AskedClips::end($athlete, $asked, $request->user());

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
        return response()->json($this->reviews->send($athlete, $request->review(), $request->user()));
    }

    #[Answers(FilmView::class)]
    public function withdrawReview(Request $request, Athlete $athlete, string $review): JsonResponse
    {
        $this->reviews->withdraw($athlete, $review, $request->user());

        return $this->show($request, $athlete);
    }
}
