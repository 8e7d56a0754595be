<?php

use Laravel\Sanctum\Sanctum;

return [
    // The browser application is served from the host it calls, whatever that host is named.
    'stateful' => [ltrim(Sanctum::currentRequestHost(), ',')],
    'guard' => ['web'],
    'expiration' => null,
    'middleware' => [
        'authenticate_session' => Laravel\Sanctum\Http\Middleware\AuthenticateSession::class,
        'encrypt_cookies' => Illuminate\Cookie\Middleware\EncryptCookies::class,
        'validate_csrf_token' => Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class,
    ],
];
