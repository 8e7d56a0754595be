<?php

declare(strict_types=1);

namespace App\Health\Answers;

use App\Athletes\Answers\NamedView;
use App\Film\Answers\FilmAskView;
use App\Seasons\Answers\WeekElsewhereView;
use App\Seasons\Answers\WorkBesideView;

/** What a personal check-in page needs to know. */
final readonly class CheckInPageView
{
    public function __construct(
        public string $given_name,
        /** under nine: faces stand for scores */
        public bool $young,
        public bool $asks_wellness,
        /** yesterday's session, when its morning report is missing */
        public ?string $morning_after,
        /** whether knee, heel and elbow are asked about */
        public bool $asks_growth,
        /** @var list<string> what was reported today already */
        public array $today,
        public string $word,
        /** the next session and its dose, in words */
        public ?string $next,
        /** @format date */
        public string $date,
        /** @var list<NamedView> what may have been practised at home: the athlete’s own skills */
        public array $tasks,
        /** @var list<string> @format date days it may be told of, today first */
        public array $days,
        /** @var list<string> what was told of the last days */
        public array $practised,
        public WeekElsewhereView $elsewhere,
        /** @var list<WorkBesideView> planned for today or the last days, and not told yet */
        public array $beside,
        /** whether film is agreed to by whoever holds this page; null: not asked */
        public ?FilmAskView $film,
        /** whether squad-mates who show theirs see the athlete’s scores */
        public bool $shows_scores,
    ) {}
}
