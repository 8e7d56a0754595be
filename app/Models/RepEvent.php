<?php

declare(strict_types=1);

namespace App\Models;

/** One tap courtside: a repetition, or the withdrawal or correction of an earlier one. Never changed, never deleted. */
final class RepEvent extends Record
{
    public $timestamps = false;
}
