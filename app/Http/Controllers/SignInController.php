<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\SignInTries;
use App\Http\Views\MeView;
use App\Models\User;
use App\Records\Rights;
use App\Screens\Parts;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;

final class SignInController
{
    private static ?string $nobody = null;

    private static function nobodysPassword(): string
    {
        return self::$nobody ??= Cache::rememberForever(
            'nobodys-password-'.config('hashing.bcrypt.rounds', 12),
            fn (): string => Hash::make(bin2hex(random_bytes(16))),
        );
    }

    #[Answers(MeView::class)]
    public function signIn(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => ['required', 'email'], 'password' => ['required', 'string', 'max:200']]);
        $tries = SignInTries::of($request, $given['email']);
        $tries->check();
        $user = User::query()->where('email', $given['email'])->whereNull('closed_at')->first();
        // A name nobody has takes as long as one that somebody has.
        $fits = Hash::check($given['password'], $user->password ?? self::nobodysPassword());
        if ($user === null || ! $fits) {
            $tries->failed();
            throw new Problem(
                422,
                'Not signed in',
                'Name and password do not go together. Check both and try again.',
                ['password' => ['Name and password do not go together.']],
            );
        }
        $tries->worked();

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
            $user->role->records(), $user->role->decides(), $user->mayClear(), Parts::squads($user), $user->code, Rights::isHead($user),
        ));
    }
}
