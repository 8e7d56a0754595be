<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\Views\MeView;
use App\Models\User;
use App\Records\Rights;
use App\Screens\Parts;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;

final class SignInController
{
    /** Failed tries of one name from one address; a sign-in that works forgets them. */
    private const TRIES_A_MINUTE = 10;

    /** Failed tries from one address, whatever the names; a club behind one address stays well below it. */
    private const TRIES_OF_AN_ADDRESS = 40;

    /** Failed tries of one name, from wherever. */
    private const TRIES_OF_A_NAME = 30;

    private static ?string $nobody = null;

    private static function nobodysPassword(): string
    {
        return self::$nobody ??= Cache::rememberForever('nobodys-password-'.config('hashing.bcrypt.rounds', 12), fn (): string => Hash::make(bin2hex(random_bytes(16))));
    }

    #[Answers(MeView::class)]
    public function signIn(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => ['required', 'email'], 'password' => ['required', 'string', 'max:200']]);
        // By name and address; by address alone, so that names cannot be tried one after the other; and by name alone, wherever it is tried from.
        $buckets = ['sign-in|'.mb_strtolower($given['email']).'|'.$request->ip() => self::TRIES_A_MINUTE, 'sign-in at|'.$request->ip() => self::TRIES_OF_AN_ADDRESS, 'sign-in as|'.mb_strtolower($given['email']) => self::TRIES_OF_A_NAME];
        foreach ($buckets as $bucket => $most) {
            if (RateLimiter::tooManyAttempts($bucket, $most)) {
                throw new Problem(429, 'Too many tries', 'Wait a minute, then try again.');
            }
        }
        $user = User::query()->where('email', $given['email'])->whereNull('closed_at')->first();
        // A name nobody has takes as long as one that somebody has.
        $fits = Hash::check($given['password'], $user->password ?? self::nobodysPassword());
        if ($user === null || ! $fits) {
            array_map(RateLimiter::hit(...), array_keys($buckets));
            throw new Problem(422, 'Not signed in', 'Name and password do not go together. Check both and try again.', ['password' => ['Name and password do not go together.']]);
        }
        RateLimiter::clear(array_key_first($buckets));

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
