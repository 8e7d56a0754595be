<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\Views\MeView;
use App\Models\User;
use App\Screens\Parts;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
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
        $user = User::query()->where('email', $given['email'])->whereNull('closed_at')->first();
        if ($user === null || ! Hash::check($given['password'], $user->password)) {
            RateLimiter::hit($tries);
            throw new Problem(422, 'Not signed in', 'Name and password do not go together. Check both and try again.', ['password' => ['Name and password do not go together.']]);
        }
        RateLimiter::clear($tries);

        return $this->enter($request, $user);
    }

    /** Signs somebody in on a session of their own: nothing of whoever sat here before is left in it. */
    public function enter(Request $request, User $user): JsonResponse
    {
        $request->session()->invalidate();
        Auth::guard('web')->login($user);
        $request->session()->regenerateToken();

        return $this->about($user);
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
        return $this->about($request->user());
    }

    private function about(User $user): JsonResponse
    {
        return response()->json(new MeView(
            $user->key(), $user->name, $user->role->value, $user->workspace->name, $user->workspace->today()->iso(),
            $user->role->records(), $user->role->decides(), $user->role->clears(), Parts::squads($user),
        ));
    }
}
