<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Devices\Device;
use App\Devices\DeviceKind;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** @extends Factory<Device> */
final class DeviceFactory extends Factory
{
    protected $model = Device::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'id' => (string) Str::uuid7(), 'workspace_id' => WorkspaceFactory::new(), 'name' => 'Speed gun', 'kind' => DeviceKind::SpeedGun,
            'token_hash' => hash('sha256', Str::random(40)), 'made_at' => Carbon::now(),
        ];
    }
}
