<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

/** Answers cases with the core alone: no database, no clock, no network. */
final class Evaluator
{
    private const KINDS = [
        'load' => LoadCase::class,
        'readiness' => ReadinessCase::class,
        'gate' => GateCase::class,
        'return' => ReturnCase::class,
        'stations' => StationsCase::class,
        'frame' => FrameCase::class,
        'flight' => FlightCase::class,
        'throw_check' => ThrowCheckCase::class,
        'serve_window' => ServeWindowCase::class,
    ];

    /**
     * @param  string  $line  one case as JSON
     * @return array<string, mixed> the answer, or `{"error": {"code", "path", "message"}}`
     */
    public static function answer(string $line): array
    {
        try {
            $case = Node::parse($line);
            if (! $case->raw() instanceof \stdClass) {
                throw $case->wrongType('an object');
            }
            if (! array_key_exists('kind', $case->entries())) {
                throw new CaseError('missing_key', '/kind', '“kind” is missing.');
            }

            $kind = $case->get('kind')->word(array_keys(self::KINDS));

            return self::KINDS[$kind]::answer($case);
        } catch (CaseError $error) {
            return ['error' => ['code' => $error->errorCode, 'path' => $error->path, 'message' => $error->getMessage()]];
        }
    }
}
