<?php

declare(strict_types=1);

namespace Database\Factories;

use App\People\Workspace;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A club.
 *
 * @extends Factory<Workspace>
 */
final class WorkspaceFactory extends Factory
{
    protected $model = Workspace::class;

    public function definition(): array
    {
        return [
            'name' => 'Lighthouse Club',
            'timezone' => 'Europe/Lisbon',
        ];
    }
}
