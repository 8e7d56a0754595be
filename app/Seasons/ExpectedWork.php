<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Courtside\EnteredWork;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\CountedMatches;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/** What was expected of a fixed day, put on record as it was expected. */
final class ExpectedWork
{
    public function __construct(private readonly Library $library, private readonly EnteredWork $work) {}

    /**
     * Coming twice it changes nothing. Call it alone with the athlete.
     *
     * @param  bool  $estimated  nobody said what it took
     */
    public function take(Athlete $athlete, Fixture $fixture, bool $estimated): void
    {
        $event = $fixture->event($this->library->skills(), $athlete->id);
        foreach ($event->doses as $nth => $dose) {
            $id = Uuid::uuid5($fixture->id, "{$athlete->id} {$nth}")->toString();
            if ($dose->reps < 1 || DB::table('work_sets')->where('client_id', $id)->exists()) {
                continue;
            }
            $session = CountedMatches::session($fixture->id);
            $set = WorkSet::ordinarily($fixture->day(), $session, $dose->skill, $dose->reps, $dose->effort, side: $dose->side);
            $this->work->add($athlete, $id, $set, $fixture->source(), $dose->skill->ordinaryImplement()->value, estimated: $estimated);
        }
    }
}
