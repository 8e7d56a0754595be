<?php

return [
    'default' => 'sqlite',
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
            // From PHP 8.4 on; below it app/Database sees to the same.
            'transaction_mode' => 'IMMEDIATE',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
