<?php

declare(strict_types=1);

namespace App\People;

use App\Film\Answers\FilmReviewView;
use App\Film\AskedClips;
use App\Film\FilmConsents;
use App\Film\FilmReviews;
use App\Film\FilmReviewScreen;
use App\Film\OwnLooks;
use App\Film\Requests\FilmClipRequest;
use App\Film\Requests\LinkedFilmRequest;
use App\Film\Requests\OwnLooksRequest;
use App\Health\Answers\CheckInPageView;
use App\Health\CheckInScreen;
use App\Health\HealthLog;
use App\Health\Requests\LinkedReportsRequest;
use App\Http\Answers;
use App\Http\PartRequest;
use App\People\Answers\JoinView;
use App\People\Answers\MeView;
use App\People\Requests\JoinRequest;
use App\People\Requests\ShowScoresRequest;
use App\Seasons\Requests\WeekElsewhereRequest;
use App\Seasons\Requests\WorkBesideRequest;
use App\Seasons\WeeksElsewhere;
use App\Seasons\WorkBeside;
use App\Sessions\Requests\PracticeRequest;
use App\Sessions\WorkLog;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What can be done with a link alone. */
final class LinkController
{
    #[Answers(CheckInPageView::class)]
    public function checkIn(Request $request, CheckInScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::CHECK_IN);

        return response()->json($screen->view($link->athlete()->firstOrFail(), $link));
    }

    #[Answers(CheckInPageView::class)]
    public function report(LinkedReportsRequest $request, HealthLog $log, CheckInScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::CHECK_IN);
        $link->update(['used_at' => now()]);
        $athlete = $link->athlete()->firstOrFail();
        $log->reportByLink($athlete, $request->validated(), $link);

        return response()->json($screen->view($athlete, $link));
    }

    /** Practice at home is load as soon as it is told. */
    #[Answers(CheckInPageView::class)]
    public function practice(PracticeRequest $request, WorkLog $log, CheckInScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::CHECK_IN);
        $athlete = $link->athlete()->firstOrFail();
        $link->update(['used_at' => now()]);
        $log->addByLink($athlete, $request->safe()->only(['id', 'day', 'skill', 'reps', 'felt', 'heard']), $link);

        return response()->json($screen->view($athlete, $link));
    }

    /** What was done elsewhere last week. */
    #[Answers(CheckInPageView::class)]
    public function elsewhere(WeekElsewhereRequest $request, WeeksElsewhere $weeks, CheckInScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::CHECK_IN);
        $athlete = $link->athlete()->firstOrFail();
        $link->update(['used_at' => now()]);
        $weeks->tell($athlete, $request->validated(), $link->workspace()->firstOrFail()->today(), null);

        return response()->json($screen->view($athlete, $link));
    }

    /** Strength, bands or sprints that were planned: done, or not. */
    #[Answers(CheckInPageView::class)]
    public function workBeside(WorkBesideRequest $request, WorkBeside $work, CheckInScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::CHECK_IN);
        $athlete = $link->athlete()->firstOrFail();
        $link->update(['used_at' => now()]);
        $given = $request->validated();
        $work->tell($athlete, $given['id'], $given['fixture'], $given['done'], $link->workspace()->firstOrFail()->today(), null);

        return response()->json($screen->view($athlete, $link));
    }

    /** Whether the athlete may be filmed, said by the side whose page it is. */
    #[Answers(CheckInPageView::class)]
    public function film(LinkedFilmRequest $request, FilmConsents $consents, CheckInScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::CHECK_IN);
        $athlete = $link->athlete()->firstOrFail();
        $link->update(['used_at' => now()]);
        $today = $link->workspace()->firstOrFail()->today();
        $request->validated('agrees')
            ? $consents->giveByLink($athlete, $link, $request->validated(), $today)
            : $consents->withdrawByLink($athlete, $link, $request->validated('kind'), $today);

        return response()->json($screen->view($athlete, $link));
    }

    /** Whether squad-mates who show theirs may see the athlete's scores, said by the side whose page it is. */
    #[Answers(CheckInPageView::class)]
    public function showScores(ShowScoresRequest $request, CheckInScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::CHECK_IN);
        $link->update(['used_at' => now()]);
        $athlete = $link->athlete()->firstOrFail();
        $athlete->update(['shows_scores' => $request->validated('shown')]);

        return response()->json($screen->view($athlete, $link));
    }

    /** A part of the clip the coach asked for. */
    #[Answers(null)]
    public function filmClipPart(PartRequest $request, string $clip, string $no): JsonResponse
    {
        $link = GivenLink::to($request, Link::CHECK_IN);
        $today = $link->workspace()->firstOrFail()->today();
        AskedClips::part($link->athlete()->firstOrFail(), $clip, (int) $no, $request->validated('base64'), $today);

        return response()->json(status: 204);
    }

    /** All of the clip is there. */
    #[Answers(CheckInPageView::class)]
    public function filmClip(FilmClipRequest $request, string $clip, CheckInScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::CHECK_IN);
        $athlete = $link->athlete()->firstOrFail();
        $link->update(['used_at' => now()]);
        AskedClips::whole($athlete, $clip, $request->validated('parts'), $link->workspace()->firstOrFail()->today());

        return response()->json($screen->view($athlete, $link));
    }

    /** What was seen on film, for whoever holds the link, and the word that was told apart. */
    #[Answers(FilmReviewView::class)]
    public function filmReview(Request $request, FilmReviewScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::FILM_REVIEW);
        WordApart::refuseWithout($request, $link);

        return response()->json($screen->view($link->athlete()->firstOrFail(), FilmReviews::behind($link)));
    }

    /** What was seen by whoever holds the page, before the coach's word of it. */
    #[Answers(FilmReviewView::class)]
    public function filmReviewLooks(OwnLooksRequest $request, FilmReviewScreen $screen): JsonResponse
    {
        $link = GivenLink::to($request, Link::FILM_REVIEW);
        WordApart::refuseWithout($request, $link);
        $athlete = $link->athlete()->firstOrFail();
        OwnLooks::keep(FilmReviews::behind($link), $athlete, $request->looks());

        return response()->json($screen->view($athlete, FilmReviews::behind($link)));
    }

    #[Answers(null)]
    public function filmReviewOpened(Request $request): JsonResponse
    {
        $link = GivenLink::to($request, Link::FILM_REVIEW);
        WordApart::refuseWithout($request, $link);
        FilmReviews::wasOpened($link);

        return response()->json(status: 204);
    }

    #[Answers(JoinView::class)]
    public function look(Request $request): JsonResponse
    {
        $link = GivenLink::to($request, Link::INVITATION, Link::PASSWORD);

        return response()->json(
            new JoinView($link->purpose, $link->workspace()->firstOrFail()->name, $link->label, $link->details['role'] ?? null),
        );
    }

    #[Answers(MeView::class)]
    public function join(JoinRequest $request, Links $links): JsonResponse
    {
        $link = $request->link();
        if ($link->purpose === Link::PASSWORD) {
            $links->setPassword($link, $request->validated('password'));
        }
        $user = $link->purpose === Link::PASSWORD ? $link->user()->firstOrFail() : $links->join($link, $request->validated());

        return response()->json(SignIn::enter($request, $user));
    }
}
