<?php

declare(strict_types=1);

namespace App\Records;

use App\Http\Problem;
use App\Http\ProblemType;
use Illuminate\Support\Facades\DB;

/** Whatever a client makes carries an id of its own, so that sending it twice changes nothing. */
final class Sent
{
    /**
     * Whether a record was sent before. An id that names somebody else's record is no second sending: nothing was kept, and that is said.
     *
     * @param  array<string, mixed>  $owner  column and value of whom the record must belong to
     *
     * @throws Problem
     */
    public static function before(string $table, string $id, array $owner, string $column = 'id'): bool
    {
        $kept = DB::table($table)->where($column, $id)->first(array_keys($owner));
        if ($kept === null) {
            return false;
        }
        if (array_map(strval(...), (array) $kept) != array_map(strval(...), $owner)) {
            throw new Problem(
                ProblemType::NotKept,
                'Something else was kept under this id already, so this was not. Enter it again.',
                ['id' => ['The id is taken.']],
            );
        }

        return true;
    }
}
