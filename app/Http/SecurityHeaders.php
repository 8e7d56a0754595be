<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/** Nothing is fetched from elsewhere and no script stands in the page. */
final class SecurityHeaders
{
    public function handle(Request $request, Closure $next): Response
    {
        // The dialog parts add one style element while they are open; it carries this nonce. Positions are style attributes.
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        // On the film page alone: the model that looks for joints is compiled from our own file, and a clip of this device is played.
        $film = $request->is('athletes/*/film') ? "script-src 'self' 'wasm-unsafe-eval'; media-src blob:; " : '';
        $response->headers->set(
            'Content-Security-Policy',
            "default-src 'self'; {$film}style-src 'self' 'nonce-{$nonce}'; style-src-attr 'unsafe-inline'; img-src 'self' "
                ."data:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'",
        );

        return $response;
    }
}
