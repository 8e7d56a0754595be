<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Flight\Answers\ArcView;
use App\Flight\Answers\ServeAskedView;
use App\Flight\Answers\ServeChangeView;
use App\Flight\Answers\ServeCourtView;
use App\Flight\Answers\ServeMissesView;
use App\Flight\Answers\ServeView;
use App\Flight\Answers\TwoServesView;
use App\People\User;
use App\Wording\ServeWording;
use Augendo\Core\Flight\Air;
use Augendo\Core\Flight\Arc;
use Augendo\Core\Flight\Ball;
use Augendo\Core\Flight\Scatter;
use Augendo\Core\Flight\Serve;
use Augendo\Core\Flight\ServeAdvice;
use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Flight\ServeCounts;
use Augendo\Core\Flight\ServeLook;
use Augendo\Core\Flight\Trajectory;
use Augendo\Core\Flight\TwoServes;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryCourt;
use Augendo\Core\Mechanics\Statistics;

/** Why do the serves miss, and what would bring more of them in? */
final class ServeScreen
{
    private const SURE = 0.95;

    public function __construct(
        private readonly Library $library,
        private readonly UsualServe $usual,
        private readonly ServeTargets $targets,
    ) {}

    /** @param  array<string, mixed>  $given  validated */
    public function view(Athlete $athlete, array $given, User $by): ServeView
    {
        $on = $by->workspace->today();
        $day = new AthleteDay($athlete, $on);
        $asked = $this->usual->of($day, $given);
        $court = $this->library->courts()[$asked->court];
        $ball = $this->usual->ball($day, $asked->skill);
        $serve = self::serve($asked, $court, $ball->ball);
        $look = ServeLook::at($serve);
        $counts = new ServeCounts($asked->in, $asked->net, $asked->long, $asked->right, $asked->left);
        $scatter = $look->up === null || $look->across === null || $counts->all < ServeCounts::LEAST
            ? null
            : $counts->scatter($look->up, $look->across);
        $between = $counts->all === 0 ? null : Statistics::wilsonInterval($counts->in, $counts->all, self::SURE);
        $share = $scatter === null ? null : $look->share($scatter);
        $why = self::whyNoAdvice($day, $asked->skill, $look, $counts);
        $advice = $why !== null || $scatter === null
            ? null
            : new ServeAdvice(
                now: $look,
                scatter: $scatter,
                share: (float) $share,
                maySpin: $asked->topspin_rpm >= UsualServe::SPIN_RPM && ServeAllowed::spin($day),
                mayReach: ServeAllowed::reach($day),
            );
        $view = fn (ServeChange $change): ServeChangeView => ServeChangeView::of($change, $asked->goal);
        $second = $court->tries === 2 && $share !== null
            ? new TwoServes($share, $asked->second, $asked->won_first, $asked->won_second)
            : null;
        $alone = $advice?->alone($asked->goal) ?? [];
        $cheapest = $advice?->cheapest($asked->goal, $alone);

        return new ServeView(
            athlete: Cards::athlete($athlete, $on),
            courts: array_values(array_map(ServeCourtView::of(...), $this->library->courts())),
            asked: $asked,
            up_deg: $look->up,
            arcs: self::arcs($look),
            lands: $scatter === null || $serve->isWithoutSpin() ? [] : self::lands($look, $scatter),
            counted: $counts->all === 0 ? null : $counts->share(),
            counted_between: $between,
            share: $share,
            misses: $scatter === null ? null : ServeMissesView::of($look->misses($scatter), $serve->isWithoutSpin()),
            spread_up_deg: $scatter?->elevationDeg,
            spread_across_deg: $scatter?->acrossDeg,
            no_advice: $why,
            less_pace: $advice === null ? [] : array_map($view, $advice->withLessPace()),
            alone: array_values(array_map($view, array_filter($alone))),
            cheapest: $cheapest === null ? null : $view($cheapest),
            two: $second === null ? null : new TwoServesView(
                $second->doubleFault(), $second->won(), $second->wonWithSecondTwice(), $second->worthFrom(),
                ServeWording::two($second, (float) $share),
            ),
            said: array_values(array_filter([
                $between === null ? null : ServeWording::counted($counts, $between),
                $scatter === null ? null : ServeWording::misses($look->misses($scatter), $serve->isWithoutSpin()),
                $look->up !== null && $look->up[1] > ServeCounts::LOB_DEG
                    ? 'So slow a serve does not go long: only the height over the net is told.'.(
                        $asked->long > 0 ? ' Some were counted as long, so it is faster than was said.' : ''
                    )
                    : null,
                $serve->isWithoutSpin()
                    ? 'A ball without spin drifts by itself, which nothing here foresees: only net and length are told.'
                    : null,
            ])),
            sheet_id: $this->targets->nextSheet($athlete, $asked->skill, $on, $by)?->id,
            source: $ball->source,
        );
    }

    private static function serve(ServeAskedView $asked, LibraryCourt $court, Ball $ball): Serve
    {
        return new Serve(
            ball: $ball,
            air: new Air,
            court: $court,
            box: $court->boxes[$asked->box],
            netHeightM: $asked->net_height_m,
            contactM: $asked->contact_m,
            acrossM: $asked->across_m,
            heightM: $asked->height_m,
            speedMs: $asked->speed_ms,
            topspinRpm: $asked->topspin_rpm,
            sidespinRpm: $asked->sidespin_rpm,
        );
    }

    /** The rung, the word and what is known come before any advice. */
    private static function whyNoAdvice(AthleteDay $day, string $skill, ServeLook $look, ServeCounts $counts): ?string
    {
        return ServeAllowed::refusal($day, $skill) ?? match (true) {
            $look->up === null => 'At this speed and from this height nothing is over the net and in. Take pace off, or hit it higher.',
            $look->across === null => 'Where it passes the side lines cannot be told from here.',
            $counts->all < ServeCounts::LEAST => 'Count ten serves at least: in, net, long, right, left.',
            default => null,
        };
    }

    /** @return list<ArcView> from the base line on */
    private static function arcs(ServeLook $look): array
    {
        if ($look->up === null) {
            return [];
        }
        $serve = $look->serve;
        $arcs = [];
        foreach (['Lowest' => $look->up[0], 'Middle' => array_sum($look->up) / 2, 'Highest' => $look->up[1]] as $name => $elevation) {
            $arc = Arc::of($serve->ball, $serve->air, $serve->release($elevation), $serve->ball->radiusM());
            if ($arc !== null) {
                $arcs[] = ArcView::of($name, $arc, $serve->speedMs);
            }
        }

        return $arcs;
    }

    /** @return list<list<float>> outlines at one and two standard deviations, one after the other */
    private static function lands(ServeLook $look, Scatter $scatter): array
    {
        $serve = $look->serve;
        $points = [];
        foreach ([1.0, 2.0] as $sd) {
            for ($i = 0; $i < UsualServe::OUTLINE; $i++) {
                $turn = 2 * M_PI * $i / UsualServe::OUTLINE;
                $release = $serve->release(
                    max(-60.0, min(80.0, $scatter->aimElevationDeg + $sd * sin($turn) * $scatter->elevationDeg)),
                    $serve->aimDeg() + $scatter->meanAcrossDeg + $sd * cos($turn) * $scatter->acrossDeg,
                );
                $landing = Trajectory::of($serve->ball, $serve->air, $release, $serve->ball->radiusM())->landing;
                $points[] = $landing === null
                    ? []
                    : [round($landing->rangeM + $serve->contactM, 3), round($landing->acrossM + $serve->acrossM, 3)];
            }
        }

        return $points;
    }
}
