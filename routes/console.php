<?php

use App\Film\FilmFiles;
use App\People\Workspace;
use App\Sessions\FitTheDay;
use Illuminate\Support\Facades\Schedule;

// Every quarter of an hour some club's day may begin; for a club whose day is under way there is little to find.
Schedule::call(function (): void {
    foreach (Workspace::query()->pluck('id') as $id) {
        FitTheDay::dispatch($id);
    }
})->name('fit the day')->everyFifteenMinutes()->withoutOverlapping()->onOneServer();

// A picture that was just saved has its row before its file: nothing that is wanted is swept.
Schedule::call(fn () => FilmFiles::sweep())->name('sweep film')->dailyAt('03:40')->onOneServer();
