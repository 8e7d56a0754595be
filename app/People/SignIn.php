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
            key: $user->key(),
            name: $user->name,
            role: $user->role->value,
            workspace: $user->workspace->name,
            today: $user->workspace->today()->iso(),
            records: $user->role->records(),
            decides: $user->role->decides(),
            clears: $user->mayClear(),
            squads: Cards::squads($user),
            code: $user->code,
            head: Rights::isHead($user),
        );
    }
}
