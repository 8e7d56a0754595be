<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Sessions\Sheet;
use Database\Factories\AthleteFactory;
use Database\Factories\PlacementFactory;
use Database\Factories\SheetFactory;
use Database\Factories\SquadFactory;
use Database\Factories\TrainingSessionFactory;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Database\Eloquent\Model;
use Symfony\Component\Finder\Finder;
use Tests\TestCase;

/** What tests make of nothing: a row of every model, and a club of one athlete that plays no part in the tests’ squad. */
final class FactoriesTest extends TestCase
{
    public function test_every_model_has_a_factory_that_makes_a_row_with_all_it_leans_on(): void
    {
        $models = [];
        foreach (Finder::create()->in(app_path())->name('*.php')->contains('/ extends (Record|Model|Authenticatable)\b/') as $file) {
            $class = 'App\\'.strtr(substr($file->getRelativePathname(), 0, -4), '/', '\\');
            if (is_subclass_of($class, Model::class) && ! (new \ReflectionClass($class))->isAbstract()) {
                $models[] = $class;
            }
        }
        $this->assertGreaterThan(15, count($models));
        foreach ($models as $model) {
            $factory = 'Database\\Factories\\'.class_basename($model).'Factory';
            $this->assertTrue(is_subclass_of($factory, Factory::class), "{$model} has no factory");
            $made = $factory::new()->create();
            $this->assertInstanceOf($model, $made);
            $this->assertTrue($model::query()->whereKey($made->getKey())->exists());
        }
    }

    public function test_a_club_made_of_nothing_is_closed_to_every_other_and_its_coach_is_at_work(): void
    {
        [$athlete, $sheet] = $this->athleteWithASheet();
        $coach = UserFactory::new()->in($athlete->workspace)->create();
        $rows = $this->actingAs($coach)->getJson('/api/today')->assertOk()->json('rows');
        $this->assertSame([$athlete->id], array_column(array_column($rows, 'athlete'), 'id'));
        $this->assertSame('unknown', $rows[0]['word'], 'nobody has checked in');
        $this->getJson("/api/sheets/{$sheet->id}")->assertOk()->assertJsonPath('rung.rung_name', $rows[0]['rung']['rung_name']);
        $this->actingAs($this->coach())->getJson("/api/sheets/{$sheet->id}")->assertNotFound();
    }

    /** @return array{Athlete, Sheet} on a rung of the float serve, with today’s sheet fitted */
    private function athleteWithASheet(): array
    {
        $squad = SquadFactory::new()->create();
        $athlete = AthleteFactory::new()->in($squad)->create();
        PlacementFactory::new()->create(['athlete_id' => $athlete->id, 'rung' => 'line']);
        $session = TrainingSessionFactory::new()->create(['squad_id' => $squad->id]);

        return [$athlete, SheetFactory::new()->of($athlete, $session)->fitted()->create()];
    }
}
