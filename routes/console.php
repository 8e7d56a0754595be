<?php

use App\People\Workspace;
use App\Sessions\FitTheDay;
use Illuminate\Support\Facades\Schedule;

// Every quarter of an hour some club's day may begin; for a club whose day is under way there is little to find.
Schedule::call(function (): void {
    foreach (Workspace::query()->pluck('id') as $id) {
        FitTheDay::dispatch($id);
    }
})->name('fit the day')->everyFifteenMinutes()->withoutOverlapping()->onOneServer();
