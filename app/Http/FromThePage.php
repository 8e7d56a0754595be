<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Signing in and joining begin a session, and only a page of this address has one: from elsewhere nothing is begun, and
 * nothing is made.
 */
final class FromThePage
{
    public function handle(Request $request, Closure $next): Response
    {
        if (! $request->hasSession()) {
            throw new Problem(ProblemType::NotFromHere, 'Open Augendo in a browser, at its own address, and sign in there.');
        }

        return $next($request);
    }
}
