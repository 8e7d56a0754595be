<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Problem;
use App\Http\ProblemType;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A page says for whom it speaks. When somebody else has signed in on the device meanwhile, what it sends is theirs to send and not the
 * other's: nothing is kept under the wrong name.
 */
final class SamePerson
{
    public const HEADER = 'X-Augendo-Person';

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $speaksFor = $request->header(self::HEADER);
        if ($user instanceof User && $speaksFor !== null && $speaksFor !== $user->key()) {
            throw new Problem(
                ProblemType::SomebodyElseIsSignedIn,
                'Somebody else has signed in on this device. What you entered is kept on it under your name and sent '
                    .'when you sign in again.',
                extra: ['code' => 'other_person'],
            );
        }

        return $next($request);
    }
}
