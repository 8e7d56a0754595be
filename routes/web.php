<?php

use App\Http\Controllers\CalendarController;
use App\Http\Middleware\SecurityHeaders;
use Illuminate\Support\Facades\Route;

// Kept at the root, so that it may serve every address of the application when there is no connection.
Route::get(
    'sw.js',
    fn () => response()->file(public_path('build/sw.js'), ['Content-Type' => 'text/javascript', 'Cache-Control' => 'no-cache']),
);

// A calendar application cannot sign in: the token in the address is all it has, so the feed names no athlete and says nothing of health.
Route::get('calendar/{token}.ics', CalendarController::class)->middleware('throttle:links');

// The browser application answers every other address itself.
Route::view('/{any?}', 'app')->where('any', '(?!api/|build/|sanctum/|calendar/).*')->middleware(SecurityHeaders::class);
