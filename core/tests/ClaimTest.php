<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Planning\Claim;
use Augendo\Core\Planning\ClaimKind;
use PHPUnit\Framework\TestCase;

/** Which of two things planned gives way to the other. */
final class ClaimTest extends TestCase
{
    public function test_the_kinds_give_way_in_their_order_on_whatever_day(): void
    {
        $kinds = [ClaimKind::ReturnStage, ClaimKind::Match, ClaimKind::Session, ClaimKind::Season];
        foreach ($kinds as $i => $first) {
            foreach ($kinds as $j => $second) {
                $of = self::claim($first, 'a', '2027-05-10', '20:00');
                $other = self::claim($second, 'b', $i % 2 === 0 ? '2027-05-10' : '2027-05-14', '08:00');
                $this->assertSame($i > $j, $i !== $j && $of->givesWayTo($other), "{$first->value} to {$second->value}");
            }
        }
    }

    public function test_of_two_of_a_kind_the_later_of_one_day_gives_way_and_on_two_days_neither(): void
    {
        $early = self::claim(ClaimKind::Session, 'b', '2027-05-10', '09:00');
        $late = self::claim(ClaimKind::Session, 'a', '2027-05-10', '17:00');
        $same = self::claim(ClaimKind::Session, 'c', '2027-05-10', '17:00');
        $next = self::claim(ClaimKind::Session, 'd', '2027-05-11', '17:00');
        $this->assertTrue($late->givesWayTo($early));
        $this->assertFalse($early->givesWayTo($late));
        $this->assertTrue($same->givesWayTo($late), 'at one hour one of them, always the same');
        $this->assertFalse($late->givesWayTo($same));
        $this->assertFalse($next->givesWayTo($early));
        $this->assertFalse($early->givesWayTo($next));
        $this->assertFalse($early->givesWayTo($early));
        $this->assertSame(['a', 'c'], $early->thatGiveWay([$early, $late, $same, $next]));
        $this->assertSame([$early], $late->comesAfter([$early, $late, $same, $next]));
    }

    public function test_what_is_fixed_gives_way_to_nothing_and_holds_against_what_is_not(): void
    {
        $return = self::claim(ClaimKind::ReturnStage, 'a', '2027-05-10', '09:00');
        $byHand = self::claim(ClaimKind::Season, 'b', '2027-05-10', '17:00', isFixed: true);
        $this->assertFalse($byHand->givesWayTo($return));
        $this->assertFalse($return->givesWayTo($byHand));
        $this->assertSame([], $return->comesAfter([$byHand]));
    }

    public function test_they_are_fitted_by_kind_then_by_day_and_hour(): void
    {
        $claims = [
            self::claim(ClaimKind::Season, 's', '2027-05-10', '08:00'),
            self::claim(ClaimKind::Session, 'later', '2027-05-12', '08:00'),
            self::claim(ClaimKind::Session, 'evening', '2027-05-11', '18:00'),
            self::claim(ClaimKind::Session, 'morning', '2027-05-11', '08:00'),
            self::claim(ClaimKind::ReturnStage, 'r', '2027-05-20', '08:00'),
        ];
        usort($claims, Claim::inOrder(...));
        $order = array_map(fn (Claim $claim): string => $claim->session, $claims);
        $this->assertSame(['r', 'morning', 'evening', 'later', 's'], $order);
    }

    public function test_a_session_is_a_stage_a_seasons_own_or_the_squads(): void
    {
        $this->assertSame(ClaimKind::ReturnStage, ClaimKind::ofSession(isStage: true, isExtra: true));
        $this->assertSame(ClaimKind::Season, ClaimKind::ofSession(isStage: false, isExtra: true));
        $this->assertSame(ClaimKind::Session, ClaimKind::ofSession(isStage: false, isExtra: false));
    }

    private static function claim(ClaimKind $kind, string $session, string $day, string $at, bool $isFixed = false): Claim
    {
        return new Claim($kind, Day::of($day), $at, $session, $session, $isFixed);
    }
}
