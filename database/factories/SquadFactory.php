<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Athletes\Squad;
use App\People\Workspace;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A squad on the starter limits, indoors.
 *
 * @extends Factory<Squad>
 */
final class SquadFactory extends Factory
{
    protected $model = Squad::class;

    public function definition(): array
    {
        return [
            'workspace_id' => WorkspaceFactory::new(),
            'name' => 'Evening squad',
            'rule_set' => 'starter',
            'floor' => 'sprung',
        ];
    }

    public function in(Workspace $workspace): self
    {
        return $this->state(['workspace_id' => $workspace->id]);
    }
}
