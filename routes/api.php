<?php

use App\Http\Controllers\AthleteController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\TodayController;
use Illuminate\Support\Facades\Route;

Route::post('sign-in', [SignInController::class, 'signIn']);

Route::middleware('auth:sanctum')->group(function (): void {
    Route::post('sign-out', [SignInController::class, 'signOut']);
    Route::get('me', [SignInController::class, 'me']);
    Route::get('today', TodayController::class);

    Route::prefix('athletes/{athlete}')->controller(AthleteController::class)->group(function (): void {
        Route::get('', 'show');
        Route::get('limits/{limit}', 'why');
        Route::post('reports', 'report');
        Route::post('clearances', 'clear');
        Route::post('decisions', 'decide');
    });
    Route::prefix('sheets/{sheet}')->controller(SheetController::class)->group(function (): void {
        Route::get('', 'show');
        Route::put('', 'save');
        Route::post('preview', 'preview');
        Route::post('fit', 'fit');
        Route::get('courtside', 'courtside');
        Route::post('events', 'events');
        Route::post('finish', 'finish');
        Route::get('after', 'after');
    });
});
