<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Returns\PlayReturn;
use Augendo\Core\Library\Library;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * A way back after a shoulder, opened today, at its first stage.
 *
 * @extends Factory<PlayReturn>
 */
final class PlayReturnFactory extends Factory
{
    protected $model = PlayReturn::class;

    public function definition(): array
    {
        return [
            'athlete_id' => AthleteFactory::new(),
            'programme' => 'serves-effort-first',
            'programme_version' => fn (array $return): int => app(Library::class)->programme($return['programme'])->version,
            'definition' => fn (array $return): string => self::file("returns/{$return['programme']}.json"),
            'ladder' => 'volleyball-float-serve',
            'site' => 'shoulder',
            'side' => 'right',
            'stage' => 0,
            'usual_week' => 100.0,
            'opened_on' => Carbon::now()->toDateString(),
            'opened_by' => UserFactory::new(),
        ];
    }

    private static function file(string $name): string
    {
        return (string) file_get_contents(app(Library::class)->path($name));
    }
}
