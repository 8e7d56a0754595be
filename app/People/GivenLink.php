<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Problem;
use App\Http\ProblemType;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;

/** The link a request stands on instead of a sign-in. Its token comes in a header, never in an address, and so in no log. */
final class GivenLink
{
    private const WRONG_A_MINUTE = 30;

    /** @throws Problem when it does not work any more, or too many that do not were tried from one address */
    public static function to(Request $request, string ...$purposes): Link
    {
        $token = (string) $request->header('X-Link-Token');
        foreach ($purposes as $purpose) {
            $link = Link::usable($token, $purpose);
            if ($link !== null) {
                return $link;
            }
        }
        self::countWrong($request);
        throw new Problem(
            ProblemType::ThisLinkDoesNotWorkAnyMore,
            'It was taken back, has run out, or was copied in part. Ask your coach for a new one.',
        );
    }

    /** Wrong tokens from one address; parents who share one, and whose links are right, are never counted. */
    private static function countWrong(Request $request): void
    {
        $bucket = 'wrong link|'.$request->ip();
        if (RateLimiter::tooManyAttempts($bucket, self::WRONG_A_MINUTE)) {
            throw new Problem(ProblemType::TooManyTries, 'Wait a minute, then try again.');
        }
        RateLimiter::hit($bucket);
    }
}
