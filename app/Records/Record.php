<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/** A record named by a UUID v7, made by the client where the client must be able to send it twice. */
abstract class Record extends Model
{
    use HasUuids;

    protected $guarded = [];

    /** Never, whatever the key is called: asked at each attribute that is read. */
    public function getIncrementing(): bool
    {
        return false;
    }
}
