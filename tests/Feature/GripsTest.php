<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** How the ball is held, and what it did: one thing is changed at a time, and several are told. */
#[Group('once')]
final class GripsTest extends TestCase
{
    private string $athlete;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->athlete = $this->athlete('Yuna')->id;
    }

    public function test_what_was_changed_is_told_and_several_at_once_are_warned_of(): void
    {
        $first = $this->add(['day' => '2027-01-04'])->assertOk()->json('grips.0.notes.0');
        $this->assertSame([[], null], [$first['changed'], $first['warning']]);
        $this->add(['day' => '2027-01-05', 'pressure' => 'index finger'])->assertJsonPath('grips.0.notes.0.changed', ['pressure']);
        $two = $this->add(['day' => '2027-01-06', 'thumb' => 'at the side'])->json('grips.0.notes.0');
        $this->assertSame(['pressure', 'thumb'], $two['changed']);
        $this->assertStringContainsString('one', (string) $two['warning']);
        $sheet = $this->sheetOf('Yuna');
        $this->assertSame(['Two across'], $this->getJson("/api/sheets/{$sheet->id}/courtside")->assertOk()->json('grips'), 'to be tried');
        $this->postJson("/api/athletes/{$this->athlete}/grips/{$two['id']}/withdraw")
            ->assertOk()
            ->assertJsonPath('grips.0.notes.0.changed', ['pressure']);
        $this->postJson("/api/athletes/{$this->athlete}/grips/{$two['id']}/withdraw")->assertNotFound();
    }

    public function test_sent_twice_it_is_there_once_and_what_cannot_be_is_refused(): void
    {
        $id = (string) Str::uuid7();
        $this->add(['id' => $id]);
        $this->add(['id' => $id])->assertOk()->assertJsonCount(1, 'grips.0.notes');
        $tomorrow = $this->coach()->workspace->today()->plus(1)->iso();
        $all = [['day' => $tomorrow], ['fingers' => ''], ['name' => str_repeat('x', 61)], ['name' => 'a + b'], ['id' => 'seven']];
        foreach ($all as $wrong) {
            $this->add($wrong)->assertStatus(422)->assertJsonStructure(['errors' => [array_key_first($wrong)]]);
        }
        $this->add(['ladder' => 'discus'])->assertJsonStructure(['errors' => ['ladder']]);
        $this->actingAs($this->stranger(Role::Coach));
        $this->getJson("/api/athletes/{$this->athlete}/grips")->assertNotFound();
        $this->add()->assertNotFound();
    }

    /** @param  array<string, mixed>  $with */
    private function add(array $with = []): TestResponse
    {
        return $this->postJson("/api/athletes/{$this->athlete}/grips", [
            'id' => (string) Str::uuid7(), 'ladder' => 'volleyball-float-serve', 'day' => '2027-01-04', 'name' => 'Two across',
            'fingers' => 'two across the seam', 'pressure' => 'middle finger', 'thumb' => 'under the ball', 'did' => 'fell late', ...$with,
        ]);
    }
}
