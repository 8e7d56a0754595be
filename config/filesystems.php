<?php

declare(strict_types=1);

return [
    'disks' => [
        // Pictures and clips of people: outside the web root, and in no copy of the database. Several hosts share one folder.
        'film' => ['driver' => 'local', 'root' => env('AUGENDO_FILM_FOLDER', storage_path('app/film')), 'throw' => true],
    ],
];
