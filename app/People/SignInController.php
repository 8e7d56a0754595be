<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Answers\MeView;
use App\People\Requests\SignInRequest;
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
    public function signIn(SignInRequest $request): JsonResponse
    {
        $given = $request->validated();
        $tries = SignInTries::of($request, $given['email']);
        $tries->check();
        $user = User::query()->where('email', $given['email'])->whereNull('closed_at')->first();
        // A name nobody has takes as long as one that somebody has.
        $fits = Hash::check($given['password'], $user->password ?? self::nobodysPassword());
        if ($user === null || ! $fits) {
            $tries->failed();
            throw new Problem(
                ProblemType::NotSignedIn,
                'Name and password do not go together. Check both and try again.',
                ['password' => ['Name and password do not go together.']],
            );
        }
        $tries->worked();

        return response()->json(SignIn::enter($request, $user));
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
        return response()->json(SignIn::about($request->user()));
    }
}
