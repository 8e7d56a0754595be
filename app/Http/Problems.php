<?php

declare(strict_types=1);

namespace App\Http;

use Augendo\Core\InvalidValue;
use Augendo\Core\Library\LibraryProblem;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Every error of the API as application/problem+json: what happened, where, and the way out. */
final class Problems
{
    public static function register(Exceptions $exceptions): void
    {
        // A refusal is an answer, not a fault: it is not logged, for it may name people.
        $exceptions->dontReport([Problem::class, InvalidValue::class, LibraryProblem::class]);
        // What was being written may be somebody's health: of a failed statement only the statement is logged, without its values.
        $exceptions->report(function (QueryException $error): bool {
            Log::error('A statement failed.', ['code' => $error->getCode(), 'sql' => $error->getSql(), 'at' => self::place($error)]);

            return false;
        });
        $exceptions->render(function (Throwable $error, Request $request): ?JsonResponse {
            // Not Request::is: an address that is no UTF-8 fits no pattern.
            if (! str_starts_with($request->getPathInfo(), '/api/')) {
                return null;
            }

            return match (true) {
                $error instanceof Problem => self::answer(
                    $error->type, $error->getMessage(), $error->errors, $error->extra,
                ),
                $error instanceof ValidationException => self::answer(ProblemType::SomeOfItCannotBeUsed,
                    $error->getMessage(),
                    $error->errors(),
                ),
                $error instanceof InvalidValue => self::answer(ProblemType::SomeOfItCannotBeUsed, $error->getMessage()),
                $error instanceof LibraryProblem => self::answer(ProblemType::ALibraryFileCannotBeRead,
                    "library/{$error->libraryFile}, at “{$error->path}”: {$error->getMessage()}"
                        .' Mend the file and load this page again.',
                    ["library/{$error->libraryFile}{$error->path}" => [$error->getMessage()]],
                ),
                $error instanceof AuthenticationException, $error instanceof TokenMismatchException => self::answer(ProblemType::SignedOut,
                    'You are signed out. Sign in again; what you entered is kept on this device.',
                ),
                $error instanceof HttpExceptionInterface => match ($error->getStatusCode()) {
                    401, 419 => self::answer(ProblemType::SignedOut,
                        'You are signed out. Sign in again; what you entered is kept on this device.',
                    ),
                    403 => self::answer(ProblemType::NotYoursToDo, $error->getMessage()),
                    404 => self::answer(ProblemType::NotFound, 'There is nothing here, or it is not yours to see.'),
                    429 => self::answer(ProblemType::TooManyTries, 'Wait a minute, then try again.'),
                    default => self::answer(ProblemType::ThisDidNotWork, $error->getMessage(), status: $error->getStatusCode()),
                },
                default => self::answer(ProblemType::ThisDidNotWork,
                    'Something broke on the server and is in its log. What you entered is kept; try again.',
                ),
            };
        });
    }

    /** @return string file and line of our own code that a statement came from */
    private static function place(Throwable $error): string
    {
        foreach ($error->getTrace() as $frame) {
            if (isset($frame['file'], $frame['line']) && str_contains($frame['file'], '/app/')) {
                return basename($frame['file']).':'.$frame['line'];
            }
        }

        return 'unknown';
    }

    /**
     * @param  array<string, list<string>>  $errors  by field path
     * @param  array<string, mixed>  $extra
     */
    private static function answer(
        ProblemType $type, string $detail, array $errors = [], array $extra = [], ?int $status = null,
    ): JsonResponse {
        $status ??= $type->status();

        return response()->json(
            [
                'type' => $type->uri(),
                'title' => $type->title(),
                'status' => $status,
                'detail' => $detail,
                'errors' => (object) $errors,
                ...$extra,
            ],
            $status,
            ['Content-Type' => 'application/problem+json'],
        );
    }
}
