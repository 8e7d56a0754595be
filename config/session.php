<?php

return [
    // In the database, so that people can see where they are signed in and end it.
    'driver' => env('SESSION_DRIVER', 'database'),
    'connection' => null,
    'table' => 'sessions',
    // A coach signs in once for a working day.
    'lifetime' => (int) env('SESSION_LIFETIME', 720),
    'expire_on_close' => false,
    'encrypt' => true,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    'cookie' => 'augendo_session',
    'path' => '/',
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
];
