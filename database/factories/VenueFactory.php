<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Sessions\Venue;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Venue> */
final class VenueFactory extends Factory
{
    protected $model = Venue::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'workspace_id' => WorkspaceFactory::new(), 'name' => 'Hall A', 'length_m' => 24.0, 'width_m' => 12.0, 'floor' => 'sprung',
            'balls' => 20, 'objects' => null,
        ];
    }
}
