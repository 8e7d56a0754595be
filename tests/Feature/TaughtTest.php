<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Library\Answers\TaughtView;
use App\Sessions\Sheet;
use App\Sessions\SheetTemplate;
use App\Wording\LadderWording;
use App\Wording\SchoolWording;
use Augendo\Core\Library\Feed;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Manner;
use Augendo\Core\Library\SchoolQuestion;
use Augendo\Core\Library\Tempo;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\TestCase;

/** How a rung is taught and a block is done: on the sheet, courtside, in a template, in words. */
final class TaughtTest extends TestCase
{
    public function test_a_sheet_keeps_how_each_block_is_done_and_courtside_says_it_mirrored(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Ilse');
        $judged = $sheet->blocks->firstWhere('judged', true);
        $this->assertNotNull($judged);
        $how = LadderWording::manner($judged->dose(app(Library::class))->manner);
        $this->assertNotNull($how);
        $seen = collect($this->getJson("/api/sheets/{$sheet->id}")->assertOk()->json('blocks'))->firstWhere('id', $judged->id);
        $this->assertSame($how, $seen['how']);
        $court = $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk();
        $this->assertSame($how, collect($court->json('blocks'))->firstWhere('id', $judged->id)['how']);
        $this->assertSame(
            ['purpose', 'set_up', 'look_first', 'good', 'easier', 'harder', 'alone', 'group', 'coach_mistake', 'go_back'],
            array_column($court->json('teaching'), 'key'),
        );
        foreach ($court->json('teaching') as $line) {
            $this->assertDoesNotMatchRegularExpression('/[{}]/', $line['text']);
        }
        foreach ($court->json('faults') as $fault) {
            $this->assertNotEmpty($fault['how']);
            $this->assertNotEmpty($fault['stop']);
        }
        $this->assertSame([], $court->json('taught_by'), 'as the library teaches');
    }

    public function test_what_a_throw_was_besides_is_counted_and_told_and_judges_nothing(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Tomas');
        $court = $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->json();
        $this->assertContains('Low', array_column($court['tags'], 'name'));
        $block = $this->judgedBlock($sheet);
        [$first, $second] = [$this->tap($block, 0), $this->tap($block, 1)];
        $tag = fn (int $seq, array $rep, string $note): array => $this->tap($block, $seq, [
            'kind' => 'tag', 'target_id' => $rep['id'], 'verdict' => null, 'note' => $note,
        ]);
        $events = [$first, $second, $tag(2, $first, 'low'), $tag(3, $second, 'low'), $tag(4, $second, '-low'), $tag(5, $second, 'high')];
        $send = fn (array $events): array => $this->postJson("/api/sheets/{$sheet->id}/events", ['events' => $events])
            ->assertOk()
            ->json('refused');
        $this->assertSame([], $send($events));
        $this->assertSame([], $send($events), 'sent twice');
        $wrong = $tag(6, $first, 'Not A Tag!');
        $this->assertArrayHasKey($wrong['id'], $send([$wrong]));
        $after = $this->getJson("/api/sheets/{$sheet->id}/after")->assertOk()->json();
        $this->assertCount(2, $after['tags']);
        $this->assertStringStartsWith('Low, 1 time: ', $after['tags'][0]);
        $this->assertStringStartsWith('Steep, 1 time: ', $after['tags'][1]);
        $this->assertSame([2, 2], [$after['good'], $after['observed']], 'it judges nothing');
        $this->assertSame(2, (int) DB::table('work_sets')->where('session', $sheet->id)->sum('reps'), 'and a foul is a throw');
    }

    public function test_a_template_hands_on_how_it_is_done_and_one_from_before_says_nothing(): void
    {
        $this->actingAs($this->coach());
        $sheet = $this->sheetOf('Ilse');
        SheetTemplate::keep($sheet, ['id' => (string) Str::uuid7(), 'name' => 'As Ilse'], $this->coach());
        $template = SheetTemplate::query()->where('name', 'As Ilse')->firstOrFail();
        $found = $this->addable($sheet, $template);
        $this->assertContains(true, array_map(fn (?Manner $manner): bool => $manner !== null, $found));
        $template->update(['blocks' => array_map(fn (array $block): array => array_diff_key($block, ['manner' => 1]), $template->blocks)]);
        $this->assertSame([null], array_values(array_unique($this->addable($sheet->refresh(), $template), SORT_REGULAR)));
    }

    public function test_feed_and_tempo_in_words(): void
    {
        $this->assertNull(LadderWording::manner(null));
        $this->assertNull(LadderWording::manner(new Manner(feed: Feed::None)), 'no feed needs no word');
        $this->assertSame('fed by the coach, varied; slow, then fast', LadderWording::manner(
            new Manner(feed: Feed::Coach, varied: true, tempo: Tempo::SlowThenFast),
        ));
        $this->assertSame('counted: set, aim, throw', LadderWording::manner(
            new Manner(feed: Feed::None, tempo: Tempo::Counted, counts: ['set', 'aim', 'throw']),
        ));
        $said = [];
        foreach (Feed::cases() as $feed) {
            foreach (Tempo::cases() as $tempo) {
                $counts = $tempo === Tempo::Counted ? ['one', 'two'] : [];
                $said[] = LadderWording::manner(new Manner(feed: $feed, tempo: $tempo, counts: $counts));
            }
        }
        $this->assertNotContains(null, $said);
        $this->assertSame(count($said), count(array_unique($said)), 'each is told apart');
    }

    public function test_each_question_and_answer_has_words_of_its_own_and_only_what_differs_is_named(): void
    {
        $words = [];
        $own = [];
        foreach (SchoolQuestion::cases() as $question) {
            $words[] = SchoolWording::question($question);
            $words[] = SchoolWording::why($question);
            $own[$question->value] = $question->answers()[0];
            $answers = array_map(fn (string $answer): string => SchoolWording::answer($question, $answer), $question->answers());
            $this->assertSame(count($answers), count(array_unique($answers)), $question->value);
        }
        $this->assertSame(count($words), count(array_unique($words)));
        $this->assertSame([], SchoolWording::taught($own));
        $this->assertSame(['One side only'], SchoolWording::taught([...$own, 'other_side' => 'one']));
    }

    public function test_a_rung_reads_for_either_hand_and_one_that_does_not_say_has_no_lines(): void
    {
        $rung = app(Library::class)->ladder('racket-serve')->rung('toss');
        $this->assertNotNull($rung);
        $text = fn (Handedness $hand): string => implode(' ', array_map(
            fn (TaughtView $line): string => $line->text, TaughtView::of($rung->teaching, $hand),
        ));
        $this->assertStringContainsString('right shoulder', $text(Handedness::Right));
        $this->assertStringContainsString('left shoulder', $text(Handedness::Left));
        $this->assertSame([], TaughtView::of(null, Handedness::Left));
    }

    /** @return list<Manner|null> of the blocks of a template, as they would go on a sheet */
    private function addable(Sheet $sheet, SheetTemplate $template): array
    {
        $found = [];
        foreach (SheetTemplate::addable($sheet, app(Library::class)) as $key => $source) {
            if (SheetTemplate::idIn($key) === $template->id) {
                $found[] = $source->dose->manner;
            }
        }

        return $found;
    }
}
