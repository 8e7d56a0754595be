<?php

$redis = ['url' => env('REDIS_URL'), 'host' => env('REDIS_HOST', '127.0.0.1'), 'port' => env('REDIS_PORT', '6379')];

return [
    'default' => env('DB_CONNECTION', 'sqlite'),
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', storage_path('app/augendo.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'busy_timeout' => 15000,
            'journal_mode' => 'wal',
            // FULL: what was acknowledged survives a pulled plug, not only a killed process.
            'synchronous' => 'full',
            // From PHP 8.4 on; below it app/Records/ImmediatePdo sees to the same.
            'transaction_mode' => 'IMMEDIATE',
        ],
        'pgsql' => [
            'driver' => 'pgsql',
            // A host name, or the folder of a socket.
            'host' => env('DB_HOST', '/var/run/postgresql'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'augendo'),
            'username' => env('DB_USERNAME', 'augendo'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => 'public',
            'sslmode' => env('DB_SSLMODE', 'prefer'),
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
    // Several hosts of one club may share cache and queue in Redis; one host needs none.
    'redis' => [
        'client' => 'phpredis',
        'options' => ['prefix' => env('REDIS_PREFIX', 'augendo_')],
        'default' => $redis + ['database' => '0'],
        'cache' => $redis + ['database' => '1'],
    ],
];
