<?php

declare(strict_types=1);

namespace App\Library;

use Augendo\Core\Library\OwnLadders;
use Illuminate\Support\Facades\DB;

/** The ladders of every club as they are kept; who may use which is Ladders's to say. */
final class KeptLadders implements OwnLadders
{
    public function text(string $id, ?int $version): ?string
    {
        return DB::table('ladders')
            ->where('slug', $id)
            ->when($version !== null, fn ($query) => $query->where('version', $version))
            ->orderByDesc('version')
            ->value('definition');
    }
}
