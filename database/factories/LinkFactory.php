<?php

declare(strict_types=1);

namespace Database\Factories;

use App\People\Link;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * A check-in link that works for a week; with() says its token.
 *
 * @extends Factory<Link>
 */
final class LinkFactory extends Factory
{
    protected $model = Link::class;

    public function definition(): array
    {
        return [
            'workspace_id' => WorkspaceFactory::new(),
            'purpose' => Link::CHECK_IN,
            'token_hash' => hash('sha256', bin2hex(random_bytes(16))),
            'label' => 'A parent',
            'made_by' => UserFactory::new(),
            'expires_at' => Carbon::now()->addWeek(),
        ];
    }

    public function with(string $token): self
    {
        return $this->state(['token_hash' => hash('sha256', $token)]);
    }
}
