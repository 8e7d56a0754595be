<?php

use App\Http\Middleware\SecurityHeaders;
use Illuminate\Support\Facades\Route;

// The browser application answers every other address itself.
Route::view('/{any?}', 'app')->where('any', '(?!api/|build/|sanctum/).*')->middleware(SecurityHeaders::class);
