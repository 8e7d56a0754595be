<?php

declare(strict_types=1);

namespace App\Sessions;

/** What became of planning sessions. */
final readonly class SessionsMade
{
    /**
     * @param  string  $changeId  by which all of it can be taken back
     * @param  list<string>  $sessionIds  in order of their days
     * @param  int  $sheets  made now
     * @param  list<string>  $leftOut  who has none, and why
     */
    public function __construct(public string $changeId, public array $sessionIds, public int $sheets, public array $leftOut) {}
}
