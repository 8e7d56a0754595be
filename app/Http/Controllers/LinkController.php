<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\Requests\GoodPassword;
use App\Http\Requests\LinkedReportsRequest;
use App\Http\Views\CheckInPageView;
use App\Http\Views\JoinView;
use App\Http\Views\MeView;
use App\Models\Link;
use App\Records\HealthLog;
use App\Records\LinkDesk;
use App\Screens\CheckInScreen;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;

/** What can be done with a link alone. Its token comes in a header, never in an address, and so in no log. */
final class LinkController
{
    private const WRONG_A_MINUTE = 30;

    #[Answers(CheckInPageView::class)]
    public function checkIn(Request $request, CheckInScreen $screen): JsonResponse
    {
        return response()->json($screen->view($this->link($request, Link::CHECK_IN)->athlete()->firstOrFail()));
    }

    #[Answers(CheckInPageView::class)]
    public function report(LinkedReportsRequest $request, HealthLog $log, CheckInScreen $screen): JsonResponse
    {
        $link = $this->link($request, Link::CHECK_IN);
        $link->update(['used_at' => now()]);
        $athlete = $link->athlete()->firstOrFail();
        $log->reportByLink($athlete, $request->validated(), $link);

        return response()->json($screen->view($athlete));
    }

    #[Answers(JoinView::class)]
    public function look(Request $request): JsonResponse
    {
        $link = $this->entry($request);

        return response()->json(
            new JoinView($link->purpose, $link->workspace()->firstOrFail()->name, $link->label, $link->details['role'] ?? null),
        );
    }

    #[Answers(MeView::class)]
    public function join(Request $request, LinkDesk $links, SignInController $signIn): JsonResponse
    {
        $link = $this->entry($request);
        $club = $link->workspace()->firstOrFail()->name;
        $known = $link->purpose === Link::PASSWORD
            ? [$link->user()->firstOrFail()->name, $link->user()->firstOrFail()->email]
            : array_filter([$request->input('name'), $request->input('email')], is_string(...));
        $rules = ['password' => ['required', 'string', new GoodPassword([$club, ...array_values($known)])]];
        if ($link->purpose === Link::PASSWORD) {
            $links->setPassword($link, $request->validate($rules)['password']);
            $user = $link->user()->firstOrFail();
        } else {
            $user = $links->join(
                $link,
                $request->validate(
                    [...$rules, 'name' => ['required', 'string', 'max:120'], 'email' => ['required', 'email', 'unique:users,email']],
                    ['email.unique' => 'There is an account with this e-mail already: sign in with it.'],
                ),
            );
        }

        return $signIn->enter($request, $user);
    }

    private function entry(Request $request): Link
    {
        return Link::usable((string) $request->header('X-Link-Token'), Link::INVITATION) ?? $this->link($request, Link::PASSWORD);
    }

    private function link(Request $request, string $purpose): Link
    {
        $link = Link::usable((string) $request->header('X-Link-Token'), $purpose);
        if ($link === null) {
            self::countWrong($request);
        }

        return $link ?? throw new Problem(
            404,
            'This link does not work any more',
            'It was taken back, has run out, or was copied in part. Ask your coach for a new one.',
        );
    }

    /** Wrong tokens from one address; parents who share one, and whose links are right, are never counted. */
    private static function countWrong(Request $request): void
    {
        $bucket = 'wrong link|'.$request->ip();
        if (RateLimiter::tooManyAttempts($bucket, self::WRONG_A_MINUTE)) {
            throw new Problem(429, 'Too many tries', 'Wait a minute, then try again.');
        }
        RateLimiter::hit($bucket);
    }
}
