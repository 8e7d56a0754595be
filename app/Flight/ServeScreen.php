<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Flight\Answers\ArcView;
use App\Flight\Answers\ServeChangeView;
use App\Flight\Answers\ServeCourtView;
use App\Flight\Answers\ServeMissesView;
use App\Flight\Answers\ServeView;
use App\Flight\Answers\TwoServesView;
use App\People\User;
use App\Wording\ServeWording;
use Augendo\Core\Flight\Scatter;
use Augendo\Core\Flight\ServeAdvice;
use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Flight\ServeCounts;
use Augendo\Core\Flight\ServeLook;
use Augendo\Core\Flight\TwoServes;
use Augendo\Core\Mechanics\Statistics;

/** Why do the serves miss, and what would bring more of them in? */
final class ServeScreen
{
    private const SURE = 0.95;

    private const OUTLINES_SD = [1.0, 2.0];

    public function __construct(
        private readonly FlightTables $tables,
        private readonly UsualServe $usual,
        private readonly ServeTargets $targets,
    ) {}

    /** @param  array<string, mixed>  $given  validated */
    public function view(Athlete $athlete, array $given, User $by): ServeView
    {
        $on = $by->workspace->today();
        $day = new AthleteDay($athlete, $on);
        $asked = $this->usual->of($day, $given);
        $courts = $this->tables->courts($athlete->workspace_id);
        $court = $courts[$asked->court];
        $ball = $this->usual->ball($day, $asked->skill);
        $look = ServeLook::at($asked->serve($court, $ball->ball));
        $counts = new ServeCounts($asked->in, $asked->net, $asked->long, $asked->right, $asked->left);
        $scatter = self::scatter($look, $counts);
        $share = $scatter === null ? null : $look->share($scatter);
        $standing = ServeStanding::of($day, $asked->skill);
        $why = ServeWording::noAdvice($standing->allowed->refusesAdvice(), $standing, $look, $counts);
        $advice = $why !== null || $scatter === null || $share === null ? null : new ServeAdvice(
            now: $look,
            scatter: $scatter,
            share: $share,
            maySpin: $standing->allowed->moreSpin($asked->topspin_rpm),
            mayReach: $standing->allowed->higher(),
        );
        $view = fn (ServeChange $change): ServeChangeView => ServeChangeView::of($change, $asked->goal);
        $alone = $advice?->alone($asked->goal) ?? [];
        $cheapest = $advice?->cheapest($asked->goal, $alone);
        $between = $counts->all === 0 ? null : Statistics::wilsonInterval($counts->in, $counts->all, self::SURE);
        $isDrifting = $look->serve->isWithoutSpin();

        return new ServeView(
            athlete: Cards::athlete($athlete, $on),
            courts: array_values(array_map(ServeCourtView::of(...), $courts)),
            asked: $asked,
            up_deg: $look->up,
            arcs: self::arcs($look),
            outlines: $scatter === null || $isDrifting ? [] : self::outlines($look, $scatter),
            share: $share,
            misses: $scatter === null ? null : ServeMissesView::of($look->misses($scatter), $isDrifting),
            no_advice: $why,
            less_pace: $advice === null ? [] : array_map($view, $advice->withLessPace()),
            alone: array_values(array_map($view, array_filter($alone))),
            cheapest: $cheapest === null ? null : $view($cheapest),
            left_out: $advice === null ? [] : ServeWording::leftOut($standing->allowed, $asked->topspin_rpm),
            two: $court->tries === 2 && $share !== null
                ? TwoServesView::of(new TwoServes($share, $asked->second, $asked->won_first, $asked->won_second), $share)
                : null,
            said: ServeWording::told($counts, $between, $look, $scatter),
            sheet_id: $this->targets->nextSheet($athlete, $asked->skill, $on, $by)?->id,
            source: $ball->source,
        );
    }

    private static function scatter(ServeLook $look, ServeCounts $counts): ?Scatter
    {
        return $look->up === null || $look->across === null || $counts->all < ServeCounts::LEAST
            ? null
            : $counts->scatter($look->up, $look->across);
    }

    /** @return list<ArcView> from where it is hit on */
    private static function arcs(ServeLook $look): array
    {
        $arcs = $look->arcs() ?? [];

        return array_map(
            fn (string $name): ArcView => ArcView::of(ucfirst($name), $arcs[$name], $look->serve->speedMs), array_keys($arcs),
        );
    }

    /** @return list<list<list<float>>> */
    private static function outlines(ServeLook $look, Scatter $scatter): array
    {
        $round = fn (array $at): array => [round($at[0], 3), round($at[1], 3)];

        return array_map(fn (float $sd): array => array_map($round, $look->outline($scatter, $sd)), self::OUTLINES_SD);
    }
}
