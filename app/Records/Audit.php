<?php

declare(strict_types=1);

namespace App\Records;

use App\Athletes\Athlete;
use App\People\User;
use Spatie\Activitylog\Models\Activity;

/** Says who did what to whose record, in the transaction that did it. */
final class Audit
{
    /** @param  array<string, mixed>  $details  no health data: what was decided or opened, not what hurts */
    public static function of(User $by, ?Athlete $athlete, string $what, array $details = []): void
    {
        $log = activity()->causedBy($by)->withProperties($details)->tap(function (Activity $activity) use ($by): void {
            $activity->setAttribute('workspace_id', $by->workspace_id);
        });
        if ($athlete !== null) {
            $log->performedOn($athlete);
        }
        $log->log($what);
    }
}
