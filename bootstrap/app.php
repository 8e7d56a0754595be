<?php

use App\Http\GuestsKeepNoSession;
use App\Http\PlainHeaders;
use App\Http\Problems;
use App\Http\ReadableInput;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
        // Without a session: the page and the worker script are the same for everybody. With one, an answer that was
        // asked for before somebody signs
        // in and comes after it would bring its own cookie along, and end the sign-in.
        then: fn () => Route::group([], __DIR__.'/../routes/web.php'),
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->statefulApi();
        $middleware->append(PlainHeaders::class);
        $middleware->api(prepend: [GuestsKeepNoSession::class, ReadableInput::class]);
        // One origin, so there is nothing to share across origins.
        $middleware->remove(HandleCors::class);
        $middleware->redirectGuestsTo(fn () => null);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn ($request): bool => str_starts_with($request->getPathInfo(), '/api/'));
        Problems::register($exceptions);
    })
    ->create();
