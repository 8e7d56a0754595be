<?php

use App\Http\HealthCheck;
use App\Http\SecurityHeaders;
use App\Seasons\CalendarController;
use Illuminate\Support\Facades\Route;

// Kept at the root, so that it may serve every address of the application when there is no connection.
Route::get(
    'sw.js',
    fn () => response()->file(public_path('build/sw.js'), ['Content-Type' => 'text/javascript', 'Cache-Control' => 'no-cache']),
);

// For whoever watches the machine: 200, or 503 with what is wrong.
Route::get('up', HealthCheck::class);

// A calendar application cannot sign in: the token in the address is all it has, so the feed names no athlete and says nothing of health.
Route::get('calendar/{token}.ics', CalendarController::class)->middleware('throttle:links');

// The browser application answers every other address itself.
Route::view('/{any?}', 'app')->where('any', '(?!api/|build/|sanctum/|calendar/).*')->middleware(SecurityHeaders::class);
