<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Sessions\SheetBlock;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Library;
use Augendo\Core\Planning\BlockPlan;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * The own dose of a rung as it is asked for.
 *
 * @extends Factory<SheetBlock>
 */
final class SheetBlockFactory extends Factory
{
    protected $model = SheetBlock::class;

    public function definition(): array
    {
        $rung = app(Library::class)->ladder('volleyball-float-serve')->rung('line');

        return ['sheet_id' => SheetFactory::new(), 'position' => 0, ...self::asAsked($rung->ownDose())];
    }

    public function dosed(BlockDose $dose): self
    {
        return $this->state(self::asAsked($dose));
    }

    /** @return array<string, mixed> */
    private static function asAsked(BlockDose $dose): array
    {
        return array_diff_key(SheetBlock::of(BlockPlan::asAsked($dose), 0)->attributesToArray(), ['position' => true]);
    }
}
