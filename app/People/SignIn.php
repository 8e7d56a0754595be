<?php

declare(strict_types=1);

namespace App\People;

use App\Athletes\Cards;
use App\People\Answers\MeView;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Lets somebody in, and says who it is. */
final class SignIn
{
    /** On a session of their own: nothing of whoever sat here before is left in it. */
    public static function enter(Request $request, User $user): MeView
    {
        $request->session()->invalidate();
        Auth::guard('web')->login($user);
        $request->session()->regenerateToken();

        return self::about($user);
    }

    public static function about(User $user): MeView
    {
        return new MeView(
            $user->key(), $user->name, $user->role->value, $user->workspace->name, $user->workspace->today()->iso(),
            $user->role->records(), $user->role->decides(), $user->mayClear(), Cards::squads($user), $user->code, Rights::isHead($user),
        );
    }
}
