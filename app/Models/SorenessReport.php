<?php

declare(strict_types=1);

namespace App\Models;

final class SorenessReport extends Record
{
    public $timestamps = false;
}
