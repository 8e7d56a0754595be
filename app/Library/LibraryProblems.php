<?php

declare(strict_types=1);

namespace App\Library;

use App\Library\Answers\LibraryProblemView;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use Illuminate\Support\Facades\Cache;

/** Which library files cannot be read: looked through anew when one of them changes. */
final class LibraryProblems
{
    /** @return list<LibraryProblemView> */
    public static function now(Library $library): array
    {
        $problems = Cache::rememberForever(
            "library.problems.{$library->fingerprint()}.".config('app.build'),
            fn (): array => array_map(
                fn (LibraryProblem $problem): array => [$problem->libraryFile, $problem->path, $problem->getMessage()],
                $library->problems(),
            ),
        );

        return array_map(fn (array $problem): LibraryProblemView => new LibraryProblemView(...$problem), $problems);
    }
}
