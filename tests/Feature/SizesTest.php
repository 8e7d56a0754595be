<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Library\OwnSizes;
use App\Limits\AthleteLoads;
use App\People\Role;
use App\Sessions\Sheet;
use Augendo\Core\Library\Library;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What is thrown at which age and by which hand: a club's own code, and what was chosen for one athlete, reach the sheets. */
#[Group('once')]
final class SizesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
    }

    public function test_what_is_chosen_for_an_athlete_is_on_the_sheets_from_today_on_and_can_be_taken_back(): void
    {
        $sheet = $this->thrown();
        $by = $this->of($sheet);
        $this->assertNull($by['chosen']);
        $this->assertFalse($by['heavier']);
        $before = $this->objects($sheet);
        $this->choose($sheet, 'javelin-800')->assertOk();
        $this->assertSame(['Javelin 800 g', 'javelin-800', true], array_values(array_intersect_key(
            $this->of($sheet), ['own' => 1, 'chosen' => 1, 'heavier' => 1],
        )));
        $this->assertContains('javelin-800', $this->objects($sheet));
        $this->choose($sheet, 'javelin-800')->assertOk();
        $this->assertSame(1, DB::table('own_sizes')->count(), 'chosen already');
        $this->choose($sheet, null)->assertOk();
        $this->assertSame($before, $this->objects($sheet));
        $this->assertSame(2, DB::table('own_sizes')->count(), 'each choice is kept');
    }

    public function test_what_is_no_size_of_the_table_is_refused_and_nothing_is_kept(): void
    {
        $sheet = $this->thrown();
        $this->choose($sheet, 'shot-7260')->assertStatus(422)
            ->assertJsonPath('errors.object.0', 'Choose one of the sizes of “Javelin”.');
        $this->putJson("/api/athletes/{$sheet->athlete_id}/sizes", ['table' => 'boomerang', 'object' => null])->assertStatus(422);
        $this->putJson("/api/athletes/{$sheet->athlete_id}/sizes", ['table' => 'javelin'])->assertStatus(422);
        $this->putJson("/api/athletes/{$sheet->athlete_id}/sizes", ['table' => ['javelin'], 'object' => null])->assertStatus(422);
        $this->assertSame(0, DB::table('own_sizes')->count());
    }

    public function test_a_clubs_own_code_holds_for_its_athletes_and_for_no_other_club(): void
    {
        $sheet = $this->thrown();
        $was = $this->of($sheet)['own'];
        $file = $this->getJson('/api/sizes')->assertOk()->assertJsonPath('own', false)->json('definition');
        $file['source'] = 'Our federation';
        $file['tables']['javelin']['ages'] = [];
        $file['tables']['javelin']['grown'] = 'javelin-700';
        $this->assertNotSame('Javelin 700 g', $was);
        $this->save($file, 0)->assertOk()->assertJsonPath('version', 1)->assertJsonPath('own', true);
        $this->assertSame('Javelin 700 g', $this->of($sheet)['own']);
        $this->assertContains('javelin-700', $this->objects($sheet));
        $this->getJson('/api/library/javelin-throw')->assertOk()->assertJsonPath('sizes', 'Javelin 700 g.');
        $this->save($file, 0)->assertStatus(409)->assertJsonPath('version', 1);

        // What the club's own does not have, since it ships with a later version, is as it ships.
        unset($file['tables']['discus']);
        $this->save($file, 1)->assertOk()->assertJsonPath('definition.tables.discus.grown', 'discus');

        $wrong = $file;
        $wrong['tables']['javelin']['grown'] = 'shot';
        $this->save($wrong, 2)->assertStatus(422)->assertJsonStructure(['errors' => ['/tables/javelin/grown']]);
        $wrong = $file;
        $wrong['tables']['javelin']['sizes'] = ['javelin-500'];
        $this->save($wrong, 2)->assertStatus(422)->assertJsonStructure(['errors' => ['/tables/javelin/sizes']]);

        $this->actingAs($this->stranger(Role::Coach));
        $this->getJson('/api/sizes')->assertOk()->assertJsonPath('version', 0);
        $this->getJson('/api/library/javelin-throw')->assertOk()->assertJsonMissing(['sizes' => 'Javelin 700 g.']);
    }

    public function test_a_small_hand_gets_the_smaller_one_and_what_is_chosen_goes_before_it(): void
    {
        $athlete = $this->thrown()->athlete()->firstOrFail();
        $on = $this->coach()->workspace->today();
        $ball = app(Library::class)->objects()['handball-2'];
        $own = function () use ($athlete, $on, $ball): string {
            $profile = app(AthleteLoads::class)->profiles([$athlete], $on)[$athlete->id];

            return $profile->sizes->objectFor('handball-standing-throw', $ball, $profile, $on)->id;
        };
        $whole = $own();
        DB::table('body_measures')->insert([
            'id' => (string) Str::uuid7(), 'athlete_id' => $athlete->id, 'what' => 'hand_span_cm', 'side' => null,
            'value' => 14.0, 'measured_on' => $on->iso(), 'recorded_by' => $this->coach()->id, 'recorded_at' => now(),
        ]);
        $this->assertSame('soft-ball', $own());
        $this->assertNotSame($whole, $own());
        OwnSizes::choose($athlete, 'handball', 'handball-2', $this->coach());
        $this->assertSame('handball-2', $own());
        $this->assertSame([], OwnSizes::of([$this->athlete('Mira')->id]), 'of nobody else');
    }

    /** A sheet ahead on which a javelin is thrown, and nothing of a return to play. */
    private function thrown(): Sheet
    {
        return Sheet::query()->where('ladder', 'javelin-throw')->where('state', 'planned')->whereNull('return_stage')
            ->whereIn('id', DB::table('sheet_blocks')->where('skill', 'javelin')->select('sheet_id'))
            ->orderBy('held_on')->orderBy('id')->firstOrFail();
    }

    private function choose(Sheet $sheet, ?string $object): TestResponse
    {
        return $this->putJson("/api/athletes/{$sheet->athlete_id}/sizes", ['table' => 'javelin', 'object' => $object]);
    }

    /** @param  array<string, mixed>  $definition */
    private function save(array $definition, int $version): TestResponse
    {
        return $this->postJson('/api/sizes', ['definition' => $definition, 'version' => $version]);
    }

    /** @return array<string, mixed> */
    private function of(Sheet $sheet): array
    {
        $sizes = $this->getJson("/api/athletes/{$sheet->athlete_id}/intake")->assertOk()->json('sizes');

        return collect($sizes)->firstWhere('table', 'javelin');
    }

    /** @return list<string> */
    private function objects(Sheet $sheet): array
    {
        return array_column($this->getJson("/api/sheets/{$sheet->id}")->assertOk()->json('blocks'), 'object_id');
    }
}
