<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use App\Athletes\Answers\SquadView;
use App\Courtside\Answers\CorrectionView;
use App\Gates\Answers\SecondLookView;
use App\Library\Answers\LibraryProblemView;
use App\Seasons\Answers\UncountedMatchView;

/** The squad in running order. */
final readonly class TodayView
{
    public function __construct(
        public string $date,
        public SquadView $squad,
        /** @var list<SquadView> */
        public array $squads,
        public string $rule_set,
        public string $rule_notice,
        /** sheets that wait to be fitted to a change for the squad */
        public int $refitting,
        /** @var list<CorrectionView> of the last days that gave somebody more room */
        public array $corrected,
        /** @var list<SecondLookView> decisions that would not pass any more */
        public array $second_looks,
        /** @var list<UncountedMatchView> of the last two weeks */
        public array $uncounted,
        /** @var list<LibraryProblemView> */
        public array $problems,
        /** @var list<string> ids of everybody, in running order */
        public array $order,
        /** @var list<WaitingRowView> whose rows are still to be asked for, whoever may do least first */
        public array $waiting,
        /** @var list<TodayRowView> last of all: TodayScreen writes them into what it made of the rest */
        public array $rows,
    ) {}
}
