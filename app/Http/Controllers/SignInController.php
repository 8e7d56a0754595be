<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\Views\MeView;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;

final class SignInController
{
    /** Failed tries of one name from one address; a sign-in that works forgets them. */
    private const TRIES_A_MINUTE = 10;

    #[Answers(MeView::class)]
    public function signIn(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => ['required', 'email'], 'password' => ['required', 'string']]);
        $tries = mb_strtolower($given['email']).'|'.$request->ip();
        if (RateLimiter::tooManyAttempts($tries, self::TRIES_A_MINUTE)) {
            throw new Problem(429, 'Too many tries', 'Wait a minute, then try again.');
        }
        if (! Auth::guard('web')->attempt([...$given, 'closed_at' => null])) {
            RateLimiter::hit($tries);
            throw new Problem(422, 'Not signed in', 'Name and password do not go together. Check both and try again.', ['password' => ['Name and password do not go together.']]);
        }
        RateLimiter::clear($tries);
        $request->session()->regenerate();

        return $this->me($request);
    }

    #[Answers(null)]
    public function signOut(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->json(status: 204);
    }

    #[Answers(MeView::class)]
    public function me(Request $request): JsonResponse
    {
        $user = $request->user() ?? Auth::user();
        assert($user instanceof User);

        return response()->json(new MeView(
            $user->name, $user->role->value, $user->workspace->name, $user->workspace->today()->iso(),
            $user->role->records(), $user->role->decides(), $user->role->clears(),
        ));
    }
}
