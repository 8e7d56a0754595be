<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** Where an athlete stands on a ladder; the latest one counts. */
final class Placement extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
