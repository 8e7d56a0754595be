<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * An answer to somebody who is not signed in brings no session along: it may come after a sign-in that was sent later, and would end it.
 * Signing out does, because it ends one; so does a personal page, whose writes need its token against forgery.
 */
final class GuestsKeepNoSession
{
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if (Auth::guard('web')->guest() && ! $request->is('api/sign-out', 'api/link', 'api/link/*')) {
            foreach ([(string) config('session.cookie'), 'XSRF-TOKEN'] as $cookie) {
                $response->headers->removeCookie($cookie, (string) config('session.path'), config('session.domain'));
            }
        }

        return $response;
    }
}
