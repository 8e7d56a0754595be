<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Whether Augendo can do its work, for whoever watches the machine. It names nobody and needs no sign-in. */
final class HealthCheck
{
    /** Less room than this, and the next backup or day may not fit, bytes. */
    private const LEAST_FREE = 200 * 1024 * 1024;

    /** Work that waits longer has no worker. */
    private const WAITS_AT_MOST_S = 600;

    public function __invoke(): JsonResponse
    {
        $wrong = array_values(array_filter([$this->database(), self::disk(), $this->worker()]));

        return response()->json(['ok' => $wrong === [], 'wrong' => $wrong], $wrong === [] ? 200 : 503);
    }

    private function database(): ?string
    {
        try {
            DB::select('select 1 from migrations limit 1');

            return null;
        } catch (Throwable) {
            return 'The database does not answer.';
        }
    }

    private static function disk(): ?string
    {
        return @disk_free_space(storage_path()) < self::LEAST_FREE ? 'The disk is nearly full.' : null;
    }

    private function worker(): ?string
    {
        try {
            $oldest = DB::table('jobs')->min('available_at');
        } catch (Throwable) {
            return null;
        }

        return $oldest !== null && (int) $oldest < Carbon::now()->getTimestamp() - self::WAITS_AT_MOST_S
            ? 'Work waits and nobody does it: is the worker running?'
            : null;
    }
}
