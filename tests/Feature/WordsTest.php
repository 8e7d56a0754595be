<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Returns\PlayReturn;
use App\Seasons\Season;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** How Augendo talks: what nobody should have to read is on no page and in no refusal (tests/words-not-read.json). */
final class WordsTest extends TestCase
{
    #[Group('once')]
    public function test_no_answer_holds_a_word_that_must_not_be_read(): void
    {
        $this->actingAs($this->coach());
        $season = Season::query()->firstOrFail()->id;
        $return = PlayReturn::query()->firstOrFail()->id;
        $paths = ['today', 'roll-call', 'gates', 'plan', 'limits', 'returns', "seasons/{$season}", "returns/{$return}"];
        foreach (['Mira', 'Sofie', 'Luca', 'Henrike', 'Tomas', 'Noor', 'Ilse', 'Ravi'] as $name) {
            $sheet = $this->sheetOf($name);
            $athlete = "athletes/{$sheet->athlete_id}";
            $paths = [
                ...$paths, $athlete, "{$athlete}/load", "{$athlete}/scores", "{$athlete}/homework", "{$athlete}/what-helped",
                "sheets/{$sheet->id}", "sheets/{$sheet->id}/courtside", "sheets/{$sheet->id}/after",
                "sessions/{$sheet->training_session_id}",
            ];
        }
        foreach ($paths as $path) {
            $this->assertNotRead($this->getJson("/api/{$path}")->assertOk()->json(), $path);
        }
    }

    public function test_no_refusal_speaks_as_a_machine(): void
    {
        $this->actingAs($this->coach());
        $mira = $this->athlete('Mira');
        $squad = $this->coach()->squadOrFirst(null);
        foreach ([
            "squads/{$squad->id}/sessions" => ['day' => '2020-01-01', 'starts_at' => 'noon', 'title' => '', 'minutes' => 9999],
            "squads/{$squad->id}/fixtures" => ['kind' => 'x', 'day' => '2020-01-01', 'weeks' => 'two', 'doses' => []],
            "athletes/{$mira->id}/reports" => ['reports' => [['score' => 99]]],
            "athletes/{$mira->id}/decisions" => [],
            "athletes/{$mira->id}/logged-work" => ['reps' => -4, 'day' => '2199-01-01'],
            'people/invitations' => ['role' => 'king'],
        ] as $path => $body) {
            $answer = $this->postJson("/api/{$path}", $body)->assertStatus(422);
            $this->assertNotRead($answer->json('errors'), $path);
            $this->assertNotRead([$answer->json('detail')], $path);
        }
    }

    /** @param  array<array-key, mixed>  $answer */
    private function assertNotRead(array $answer, string $where): void
    {
        $banned = json_decode((string) file_get_contents(base_path('tests/words-not-read.json')), true);
        array_walk_recursive($answer, function (mixed $text) use ($banned, $where): void {
            foreach (is_string($text) ? $banned : [] as $word => $instead) {
                $this->assertDoesNotMatchRegularExpression("/{$word}/u", $text, "{$where}; say instead: {$instead}");
            }
        });
    }
}
