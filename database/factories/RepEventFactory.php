<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Courtside\RepEvent;
use App\Sessions\SheetBlock;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A good repetition, tapped a moment ago.
 *
 * @extends Factory<RepEvent>
 */
final class RepEventFactory extends Factory
{
    protected $model = RepEvent::class;

    public function definition(): array
    {
        return [
            'block_id' => SheetBlockFactory::new(),
            'sheet_id' => fn (array $tap): string => SheetBlock::query()->whereKey($tap['block_id'])->value('sheet_id'),
            'set_no' => 1,
            'kind' => 'rep',
            'verdict' => 'good',
            'side' => 'dominant',
            'at' => Carbon::now('Europe/Lisbon')->toIso8601String(),
            'seq' => 0,
            'device' => (string) Str::uuid(),
            'user_id' => UserFactory::new(),
            'received_at' => Carbon::now(),
        ];
    }
}
