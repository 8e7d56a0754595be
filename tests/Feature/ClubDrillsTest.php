<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use App\Sessions\Sheet;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** A club's own drills: looked up by a coach's words, put on a sheet inside its limits, and gone from both when they are taken away. */
#[Group('once')]
final class ClubDrillsTest extends TestCase
{
    private const DRILL = [
        'name' => 'Towel whip at the rail', 'about' => 'practice', 'with' => 'alone', 'purpose' => 'The elbow leads without a ball.',
        'mends' => 'Elbow behind', 'cue' => 'Whip the rail', 'stop' => 'When it makes no sound.',
        'dose' => [
            'block' => 'part', 'title' => 'Towel whip at the rail', 'text' => 'A towel in the {throwing} hand, whip it at a rail.',
            'skill' => 'float-serve', 'object' => 'nothing', 'sets' => 2, 'reps' => 6, 'effort' => 0.3,
        ],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
    }

    public function test_it_is_found_put_on_a_sheet_and_taken_away_again(): void
    {
        $kept = $this->save(self::DRILL, 0)->assertOk()->json('0');
        $this->assertSame([1, false], [$kept['version'], $kept['withdrawn']]);
        $found = fn (string $words): array => array_column(
            $this->getJson('/api/drills?words='.rawurlencode($words))->assertOk()->json('drills'), 'title',
        );
        $this->assertSame(['Towel whip at the rail'], $found('towel whip'));
        $this->assertSame(['Towel whip at the rail'], $found('whip the rail'), 'by its cue');
        $this->assertNotContains('Towel whip at the rail', $found('sore shoulder, towel'), 'it loads the arm');

        $sheet = $this->sheet();
        $offered = fn (): array => $this->getJson("/api/sheets/{$sheet->id}/addable")->assertOk()->json();
        $name = "drill/{$kept['id']}";
        $this->assertContains($name, $this->names($offered()));

        $changed = [...$kept['definition'], 'cue' => 'Hear the rail sing'];
        $this->save($changed, 0)->assertOk();
        $this->save([...$changed, 'id' => $kept['id']], 9)->assertStatus(409);
        $this->save([...$changed, 'id' => $kept['id'], 'withdrawn' => true], 1)->assertOk();
        $this->assertNotContains($name, $this->names($offered()));
        $this->assertCount(1, $found('rail sing'), 'the copy alone');
    }

    public function test_a_mistake_has_its_place_and_another_club_sees_none(): void
    {
        $dose = self::DRILL['dose'];
        foreach ([
            '/name' => ['name' => ''] + self::DRILL,
            '/about' => ['about' => 'dancing'] + self::DRILL,
            '/dose/skill' => ['dose' => ['skill' => 'juggling'] + $dose] + self::DRILL,
            '/dose/effort' => ['dose' => ['effort' => 7] + $dose] + self::DRILL,
            '/dose/judged' => ['dose' => $dose + ['judged' => true]] + self::DRILL,
            '/for/0' => self::DRILL + ['for' => ['juggling']],
        ] as $place => $wrong) {
            $this->save($wrong, 0)->assertStatus(422)->assertJsonStructure(['errors' => [$place]]);
        }
        $this->save(self::DRILL, 0)->assertOk();
        $this->actingAs($this->stranger(Role::Coach));
        $this->assertSame([], $this->getJson('/api/club-drills')->assertOk()->json());
        $this->assertSame([], $this->getJson('/api/drills?words=towel%20whip')->json('drills'));
    }

    public function test_where_it_mends_what_is_worked_on_it_is_the_homework_and_another_one_can_be_given(): void
    {
        $path = "/api/athletes/{$this->athlete('Yuna')->id}/homework";
        $before = $this->getJson($path)->assertOk()->assertJsonPath('drill', 'fault')->json();
        $this->assertNotNull($before['picture']);
        $own = [...self::DRILL, 'mends' => $before['focus'], 'picture' => 'elbow-at-wall'];
        $id = $this->save($own, 0)->assertOk()->json('0.id');
        $after = $this->getJson($path)->assertOk()->assertJsonPath('drill', $id)->assertJsonPath('picture.beside', 'wall_front')->json();
        $titles = fn (array $card): array => array_column($card['days'][0]['blocks'] ?? [], 'title');
        $this->assertContains('Towel whip at the rail', $titles($after));
        $this->assertNotContains('Towel whip at the rail', $titles($before));
        $again = $this->getJson("{$path}?drill=fault")->assertOk()->json('days.0.blocks');
        $this->assertSame($before['days'][0]['blocks'], $again, 'that of the fault');
        $this->getJson("{$path}?drill=mirror-partner")->assertStatus(422)->assertJsonStructure(['errors' => ['drill']]);
        // One that is taken away is given to nobody.
        $this->save([...$own, 'id' => $id, 'withdrawn' => true], 1)->assertOk();
        $this->getJson($path)->assertOk()->assertJsonPath('drill', 'fault');
        $this->getJson("{$path}?drill={$id}")->assertStatus(422);
    }

    private function sheet(): Sheet
    {
        return $this->sheetOf('Yuna');
    }

    /** @param  array<string, mixed>  $definition */
    private function save(array $definition, int $version): TestResponse
    {
        return $this->postJson('/api/club-drills', ['version' => $version, 'definition' => $definition]);
    }

    /**
     * @param  array<string, mixed>  $offered
     * @return list<string>
     */
    private function names(array $offered): array
    {
        $names = [];
        array_walk_recursive($offered, function (mixed $value) use (&$names): void {
            if (is_string($value)) {
                $names[] = $value;
            }
        });

        return $names;
    }
}
