<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Planning\PickUp;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PickUpTest extends TestCase
{
    #[TestWith([15, true])]
    #[TestWith([16, false])]
    #[TestWith([null, true])]
    public function test_a_child_is_handed_to_somebody_and_who_has_no_age_is_a_child(?int $age, bool $needed): void
    {
        $this->assertSame($needed, PickUp::isNeeded($age));
    }

    public function test_a_name_is_on_the_list_however_it_is_written_and_no_part_of_it_is(): void
    {
        $names = ['Ana  Duarte', 'Ülo Mägi'];
        $this->assertTrue(PickUp::isOnList(' ana duarte ', $names));
        $this->assertTrue(PickUp::isOnList('ÜLO MÄGI', $names));
        $this->assertFalse(PickUp::isOnList('Ana', $names));
        $this->assertFalse(PickUp::isOnList('', $names));
        $this->assertFalse(PickUp::isOnList('Ana Duarte', []));
    }
}
