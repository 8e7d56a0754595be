<?php

declare(strict_types=1);

namespace Database\Factories;

use App\People\Role;
use App\People\User;
use App\People\Workspace;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A head coach of a club of their own, unless something else is said. Everybody’s password is “lighthouse”.
 *
 * @extends Factory<User>
 */
final class UserFactory extends Factory
{
    protected $model = User::class;

    public function definition(): array
    {
        return [
            'workspace_id' => WorkspaceFactory::new(),
            'name' => 'Robin Sand',
            'email' => Str::random(12).'@lighthouse.example',
            'password' => 'lighthouse',
            'role' => Role::Coach,
        ];
    }

    public function in(Workspace $workspace, Role $role = Role::Coach): self
    {
        return $this->state(['workspace_id' => $workspace->id, 'role' => $role]);
    }

    /** A clinician whom the head coach has met. */
    public function confirmedBy(User $head, int $daysAgo = 0): self
    {
        return $this->state([
            'invited_by' => $head->id, 'confirmed_by' => $head->id, 'confirmed_at' => Carbon::now()->subDays($daysAgo),
        ]);
    }
}
