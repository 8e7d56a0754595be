<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Library\DrillCard;
use Augendo\Core\Library\DrillWanted;
use Augendo\Core\Library\DrillWith;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\Site;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DrillWantedTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, list<Site>, bool, bool}> */
    public static function asked(): iterable
    {
        yield 'a fault' => ['Elbow drops', ['elbow', 'drops'], [], false, false];
        yield 'no partner' => ['no partner, elbow', ['elbow'], [], true, false];
        yield 'indoors and alone' => ['toss alone, indoors', ['toss'], [], true, true];
        yield 'what is sore' => ['sore wrist', [], [Site::Wrist], false, false];
        yield 'in another order' => ['shoulder hurts: footwork', ['footwork'], [Site::Shoulder], false, false];
        yield 'two words for one place' => ['upper arm sore', [], [Site::UpperArm], false, false];
        yield 'a place alone is a word to look for' => ['knee', ['knee'], [], false, false];
        yield 'many' => ['sore knees and ankle', [], [Site::Knee, Site::Ankle], false, false];
        yield 'as it is said' => ['my wrist hurts and my thumb aches', [], [Site::Wrist, Site::Finger], false, false];
        yield 'other words' => ['sore feet and calves', [], [Site::Shin, Site::Foot], false, false];
        yield 'nothing' => ['  ', [], [], false, false];
    }

    /**
     * @param  list<string>  $words
     * @param  list<Site>  $sore
     */
    #[DataProvider('asked')]
    public function test_it_is_understood_as_a_coach_says_it(string $text, array $words, array $sore, bool $alone, bool $indoors): void
    {
        $wanted = DrillWanted::of($text);
        $this->assertSame([$words, $sore, $alone, $indoors], [$wanted->words, $wanted->sore, $wanted->alone, $wanted->indoors]);
    }

    public function test_from_a_chair_only_what_somebody_wrote_for_it_is_named(): void
    {
        $cards = $this->cards();
        foreach (['from a chair', 'wheelchair', 'seated', 'sitting'] as $said) {
            $wanted = DrillWanted::of("{$said}, alone");
            $this->assertSame([true, true, []], [$wanted->seated, $wanted->alone, $wanted->words]);
        }
        $found = DrillWanted::of('from a chair')->find($cards);
        $titles = array_column($found, 'title');
        $this->assertContains('See it before', $titles);
        $this->assertNotContains('Three steps and stop', $titles);
        $this->assertNotContains('Half kneeling, elbow over a rope', $titles, 'mended otherwise from a chair');
        $this->assertContains('Elbow over a rope', $titles);
        $this->assertContains('Exaggerate the finish and freeze there', $titles, 'mended as on the feet');
        $knee = array_column(DrillWanted::of('from a chair, sore knee')->find($cards), 'title');
        $this->assertContains('Elbow over a rope', $knee, 'a sore knee keeps nobody from it');
        $this->assertSame([], DrillWanted::of('from a chair, hops')->find($cards), 'it takes legs');
        $feet = array_column(DrillWanted::of('half kneeling, elbow')->find($cards), 'title');
        $this->assertContains('Half kneeling, elbow over a rope', $feet, 'and there it stays');
    }

    public function test_what_is_sore_is_spared_with_all_that_shares_its_channel(): void
    {
        $cards = $this->cards();
        foreach (['sore wrist' => Channel::Hand, 'sore elbow' => Channel::Arm, 'sore knee' => Channel::Landing] as $text => $channel) {
            $found = DrillWanted::of($text)->find($cards);
            $this->assertNotSame([], $found, $text);
            foreach ($found as $card) {
                $this->assertNotContains($channel, $card->loads, "{$text}: {$card->title}");
            }
        }
        $bands = fn (string $text): array => array_filter(
            DrillWanted::of($text)->find($cards), fn (DrillCard $card): bool => str_contains($card->words(), 'band round the knees'),
        );
        $this->assertNotSame([], $bands('knees'));
        $this->assertSame([], $bands('sore knee'), 'slow bends are done on the knees');
        $this->assertSame([], DrillWanted::of('sore neck')->find($cards), 'that goes to a clinician');
        $this->assertTrue(DrillWanted::of('sore head')->refers());
        $somewhere = DrillWanted::of('sore, toss');
        $this->assertSame([true, []], [$somewhere->asksWhere(), $somewhere->find($cards)], 'nobody knows what to spare');
        $this->assertSame([true, []], [DrillWanted::of('sore widget')->asksWhere(), DrillWanted::of('sore widget')->find($cards)]);
        $this->assertFalse(DrillWanted::of('sore wrist')->asksWhere());
    }

    public function test_each_drill_is_there_once_and_found_by_its_fault_alone_and_indoors(): void
    {
        $cards = $this->cards();
        $texts = array_map(fn (DrillCard $card): string => "{$card->text}|{$card->skill->id}", $cards);
        $this->assertSame(count($texts), count(array_unique($texts)));
        $this->assertGreaterThan(100, count($cards));
        $found = DrillWanted::of('knees fall')->find($cards);
        $this->assertNotSame([], $found);
        foreach ($found as $card) {
            $this->assertStringContainsStringIgnoringCase('knee', $card->words());
        }
        foreach (DrillWanted::of('alone indoors')->find($cards) as $card) {
            $this->assertSame([DrillWith::Alone, false], [$card->with, $card->far], $card->title);
        }
        $this->assertLessThan(count($cards), count(DrillWanted::of('alone')->find($cards)));
        $this->assertLessThan(count($cards), count(DrillWanted::of('indoors')->find($cards)));
        $this->assertSame([], DrillWanted::of('zeppelin')->find($cards));
    }

    /** @return list<DrillCard> */
    private function cards(): array
    {
        $library = new Library(dirname(__DIR__, 2).'/library');

        return DrillCard::all(array_map($library->ladder(...), $library->ladderIds()), array_values($library->drills()));
    }
}
