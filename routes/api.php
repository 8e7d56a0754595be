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

    // Who may is settled before anything sent is looked at, so that a refusal tells nothing.
    Route::prefix('athletes/{athlete}')->controller(AthleteController::class)->group(function (): void {
        Route::get('', 'show')->can('view', 'athlete');
        Route::get('limits/{limit}', 'why')->can('view', 'athlete');
        Route::post('reports', 'report')->can('report', 'athlete');
        Route::post('clearances', 'clear')->can('clear', 'athlete');
        Route::post('decisions', 'decide')->can('decide', 'athlete');
    });
    Route::prefix('sheets/{sheet}')->controller(SheetController::class)->group(function (): void {
        Route::get('', 'show')->can('view', 'sheet');
        Route::put('', 'save')->can('plan', 'sheet');
        Route::post('preview', 'preview')->can('view', 'sheet');
        Route::post('fit', 'fit')->can('plan', 'sheet');
        Route::get('courtside', 'courtside')->can('view', 'sheet');
        Route::post('events', 'events')->can('record', 'sheet');
        Route::post('finish', 'finish')->can('record', 'sheet');
        Route::get('after', 'after')->can('view', 'sheet');
    });
});
