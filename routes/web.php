<?php

use App\Http\Middleware\SecurityHeaders;
use Illuminate\Support\Facades\Route;

// Kept at the root, so that it may serve every address of the application when there is no connection.
Route::get('sw.js', fn () => response()->file(public_path('build/sw.js'), ['Content-Type' => 'text/javascript', 'Cache-Control' => 'no-cache']));

// The browser application answers every other address itself.
Route::view('/{any?}', 'app')->where('any', '(?!api/|build/|sanctum/).*')->middleware(SecurityHeaders::class);
