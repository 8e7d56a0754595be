<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gates\Decision;
use App\Gates\KeptEvidence;
use App\Returns\PlayReturn;
use App\Sessions\Sheet;
use App\Sessions\SheetNote;
use App\Wording\SheetWording;
use Augendo\Core\Library\Library;
use Database\Factories\ReturnStepTakenFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What was kept, in each form it was ever kept in, is read; nothing new is kept in words. */
final class KeptReasonsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string}> a note as it is kept, and what it says */
    public static function notes(): iterable
    {
        $limit = [
            'id' => 'arm_day', 'label' => 'Arm load today', 'kind' => 'cap', 'measure' => 'reps', 'level' => null, 'status' => 'within',
            'used' => 40, 'projected' => 60, 'max' => 75, 'remaining' => 15, 'earliest' => null,
        ];
        $trim = [
            'block' => 1, 'what' => 'reps', 'from' => 24, 'to' => 12, 'cause' => 'limit', 'limits' => [$limit], 'word' => null,
            'idle_days' => null, 'channels' => [], 'minutes' => null, 'title' => null,
        ];
        $words = '24 → 12 reps: arm reduced today.';
        yield 'words of form 0' => [['block' => 2, 'sentence' => $words], $words];
        yield 'a limit' => [['v' => 1, 'why' => 'trim', 'block' => 1, 'figures' => $trim], '15 of 75 reps left'];
        yield 'the word' => [
            ['v' => 1, 'why' => 'trim', 'block' => 1, 'figures' => [
                ...$trim, 'cause' => 'word', 'limits' => [], 'word' => 'none', 'channels' => ['hand'], 'what' => 'dropped',
            ]],
            'no work for the hand today',
        ];
        yield 'nothing to warm up for' => [
            ['v' => 1, 'why' => 'trim', 'block' => 0, 'figures' => [...$trim, 'cause' => 'own_dose', 'limits' => [], 'what' => 'dropped']],
            'Left out: what this session is for does not fit today.',
        ];
        yield 'another implement' => [
            ['v' => 1, 'why' => 'swap', 'block' => null, 'figures' => ['title' => 'Whole', 'asked' => 'nothing', 'for' => null]],
            '“Whole” is left out',
        ];
        yield 'an unknown floor' => [['v' => 1, 'why' => 'floor_not_known', 'block' => null, 'figures' => []], 'floor'];
        yield 'a return elsewhere' => [
            ['v' => 1, 'why' => 'way_back_elsewhere', 'block' => null, 'figures' => ['site' => 'upper_arm']], 'upper arm',
        ];
        yield 'a break' => [
            ['v' => 1, 'why' => 'layoff', 'block' => null, 'figures' => ['idle_days' => 30, 'below' => 'gone']], '30 idle days',
        ];
        yield 'a drill' => [['v' => 1, 'why' => 'drill', 'block' => null, 'figures' => ['fault' => 'gone']], '“gone” led last time'];
        yield 'a short hall' => [
            ['v' => 1, 'why' => 'room', 'block' => null, 'figures' => [
                'title' => 'Five-step throw', 'distance_m' => 24.5, 'how' => 'indoors', 'instead' => 'Soft ball into a net',
                'shorter_m' => 5,
            ]],
            'No space holds “Five-step throw”, 24.5 m, so “Soft ball into a net” is done indoors.',
        ];
        yield 'work swapped' => [
            ['v' => 1, 'why' => 'swapped', 'block' => null, 'figures' => [
                'change' => '019f0000-0000-7000-8000-000000000000', 'ladder' => 'javelin-throw', 'rung' => 'gone',
            ]],
            'The work of Javelin throw, “gone”, is not for this day',
        ];
        yield 'work of another ladder' => [
            ['v' => 1, 'why' => 'other_work', 'block' => 0, 'figures' => [
                'from' => 'ladder', 'ladder' => 'javelin-throw', 'rung' => 'gone', 'name' => null,
            ]],
            'From Javelin throw, “gone”.',
        ];
        yield 'a target from the serve window' => [
            ['v' => 1, 'why' => 'serve_target', 'block' => 0, 'figures' => [
                'pace' => 0.9, 'topspin_rpm' => 0, 'higher_m' => 0, 'aimed' => 1,
            ]],
            'From the serve window: aim at the middle of the window, 90 % of the pace.',
        ];
        yield 'nearer than was asked' => [
            ['v' => 1, 'why' => 'trim', 'block' => 1, 'figures' => [
                ...$trim, 'cause' => 'reach', 'limits' => [], 'what' => 'distance', 'from' => 36, 'to' => 28,
            ]],
            '36 → 28 m: further is no throw of this effort any more',
        ];
        yield 'a test that waits' => [
            ['v' => 1, 'why' => 'test_waits', 'block' => null, 'figures' => ['word' => 'reduced']], 'it waits for the word Full',
        ];
        yield 'a light day' => [['v' => 1, 'why' => 'emphasis', 'block' => null, 'figures' => ['emphasis' => 'light']], 'light day'];
    }

    /** @param  array<string, mixed>  $kept */
    #[DataProvider('notes')]
    public function test_every_form_of_a_sheets_reasons_is_read(array $kept, string $says): void
    {
        $sheet = Sheet::query()->firstOrFail();
        $sheet->trims = [$kept];
        $this->assertStringContainsString($says, app(SheetWording::class)->note($sheet->notes()[0], $sheet));
        if (isset($kept['v'])) {
            $this->assertEquals($kept, SheetNote::fromArray($kept)->toArray());
        }
    }

    public function test_the_way_back_says_what_was_asked_then(): void
    {
        $sheet = Sheet::query()->whereNotNull('return_id')->firstOrFail();
        $sheet->trims = [['v' => 1, 'why' => 'way_back', 'block' => null, 'figures' => [
            'asked' => ['action' => 'start', 'stage' => 0, 'waits_until' => null], 'stage' => 0, 'word' => null,
        ]]];
        $this->assertStringContainsString('stage 1 of', app(SheetWording::class)->note($sheet->notes()[0], $sheet));
    }

    public function test_evidence_of_each_form_is_read_with_its_figures(): void
    {
        $decision = Decision::query()->firstOrFail();
        $decision->evidence = ['criteria' => [['label' => 'Mechanics', 'evidence' => '30 of 40 good']]];
        $this->assertSame(['Mechanics: 30 of 40 good'], KeptEvidence::words($decision, app(Library::class)));
        $passes = array_fill_keys([
            'evidence', 'mechanics', 'streak', 'safety', 'fade', 'soreness', 'readiness', 'load', 'prerequisites', 'clearance',
        ], 'pass');
        $decision->evidence = ['v' => 2, 'word' => 'full', 'gate' => [
            'decision' => 'advance', 'criteria' => $passes, 'observed' => 40, 'good' => 37, 'rate' => 0.925, 'lower_bound' => 0.84,
            'observed_days' => 3, 'best_run' => 12, 'safety_faults' => 0, 'fade' => 0.0, 'worst_soreness' => 1, 'morning_after' => true,
            'last_rep_day' => '2026-11-20', 'awaits_confirmation' => false,
        ]];
        $words = KeptEvidence::words($decision, app(Library::class));
        $this->assertCount(10, $words);
        $this->assertStringContainsString('37 of 40 good', implode(' ', $words));
        // Kept before a criterion came to the gate: told with those it was decided by.
        $gate = $decision->evidence['gate'];
        unset($gate['criteria']['prerequisites']);
        $decision->evidence = ['v' => 2, 'word' => 'full', 'gate' => $gate];
        $this->assertCount(9, KeptEvidence::words($decision, app(Library::class)));
        $decision->evidence = ['v' => 2, 'word' => 'full', 'match' => [
            'criteria' => array_fill_keys(['held', 'varied', 'apart', 'safety', 'readiness', 'clearance'], 'pass'),
            'good_days' => ['2026-11-10', '2026-11-20'], 'judged' => 20, 'good' => 18, 'safety_faults' => 0,
        ]];
        $this->assertStringContainsString('18 of 20 good', implode(' ', KeptEvidence::words($decision, app(Library::class))));
    }

    public function test_a_step_of_a_return_is_read_in_both_forms(): void
    {
        $return = PlayReturn::query()->firstOrFail();
        $taken = fn (array $evidence) => ReturnStepTakenFactory::new()->create([
            'id' => (string) Str::uuid7(), 'return_id' => $return->id, 'attempt_id' => null, 'action' => 'advance', 'from_stage' => 0,
            'to_stage' => 1, 'not_before' => null, 'evidence' => $evidence, 'decided_by' => $this->coach()->id, 'decided_at' => now(),
        ]);
        $taken(['sentence' => 'Ready for the second stage, as it was said then.', 'attempts' => []]);
        $taken(['v' => 2, 'asked' => ['action' => 'advance', 'stage' => 1, 'waits_until' => null], 'attempts' => []]);
        $said = json_encode($this->actingAs($this->coach())->getJson("/api/returns/{$return->id}")->json('steps'), JSON_UNESCAPED_UNICODE);
        $this->assertStringContainsString('as it was said then', (string) $said);
        $this->assertStringContainsString("Ready for “{$return->programmeAsOpened()->stages[1]->name}”", (string) $said);
    }

    /** A sentence ends in a stop after a word; reasons are codes, names and figures. What people wrote themselves is theirs. */
    public function test_nothing_that_is_worked_out_is_kept_in_words(): void
    {
        $this->assertNotSame([], DB::table('decisions')->pluck('evidence')->all());
        $kept = [['sheets', 'trims'], ['decisions', 'evidence'], ['return_steps', 'evidence'], ['seasons', 'agreed']];
        foreach ($kept as [$table, $column]) {
            $kept = DB::table($table)->pluck($column)->all();
            $this->assertSame([], preg_grep('/[a-z”]\.( |")/u', $kept), "{$table}.{$column}");
        }
    }
}
