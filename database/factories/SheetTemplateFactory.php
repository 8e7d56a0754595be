<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Sessions\SheetTemplate;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A template without a block.
 *
 * @extends Factory<SheetTemplate>
 */
final class SheetTemplateFactory extends Factory
{
    protected $model = SheetTemplate::class;

    public function definition(): array
    {
        return [
            'squad_id' => SquadFactory::new(),
            'name' => 'Short and light',
            'ladder' => 'volleyball-float-serve',
            'rung' => 'line',
            'blocks' => [],
            'made_by' => UserFactory::new(),
        ];
    }
}
