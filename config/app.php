<?php

return [
    'name' => 'Augendo',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://localhost:8000'),
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    // Tests alone: a file with the time it is to be. Not looked at in production.
    'clock_file' => env('AUGENDO_CLOCK_FILE'),
    // Tests alone: by how much the clock runs ahead.
    'clock_ahead_ms' => env('AUGENDO_CLOCK_AHEAD_MS'),
    // Written by bin/setup from the code itself: what was kept by another build is worked out anew.
    'build' => is_file(base_path('bootstrap/cache/build'))
        ? trim((string) file_get_contents(base_path('bootstrap/cache/build')))
        : 'unbuilt',
    // Tests that run side by side close a door each of their own.
    'trusted_proxies' => array_values(array_filter(explode(',', (string) env('TRUSTED_PROXIES', '')))),
    'maintenance' => ['driver' => env('APP_MAINTENANCE_DRIVER', 'file'), 'store' => env('APP_MAINTENANCE_STORE', 'array')],
];
