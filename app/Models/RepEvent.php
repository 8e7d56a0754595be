<?php

declare(strict_types=1);

namespace App\Models;

/**
 * One tap courtside: a repetition (rep), its withdrawal or correction, what is tried from here on (trying), how hard a
 * set felt (felt), where it
 * landed (landed), why
 * it went on after a stop that is no hard limit (going_on), or what a second person saw of the same repetition
 * (second). Never changed, never deleted.
 */
final class RepEvent extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['seen' => 'array'];
    }
}
