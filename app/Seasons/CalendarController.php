<?php

declare(strict_types=1);

namespace App\Seasons;

use App\People\Link;
use Illuminate\Http\Response;

/** What is planned, for any calendar application. */
final class CalendarController
{
    public function __invoke(string $token, CalendarFeed $feed): Response
    {
        $link = Link::usable($token, Link::CALENDAR);
        $user = $link?->user()->whereNull('closed_at')->first();
        if ($user === null) {
            abort(404);
        }
        $link->update(['used_at' => now()]);

        return response(
            $feed->of($user),
            200,
            [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="augendo.ics"',
                'Cache-Control' => 'private, max-age=900',
            ],
        );
    }
}
