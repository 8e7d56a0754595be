<?php

declare(strict_types=1);

namespace App\Models;

final class Clearance extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['sites' => 'array'];
    }
}
