<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

/** Answers cases with the core alone: no database, no clock, no network. */
final class Evaluator
{
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

            return match ($case->get('kind')->word(['load', 'readiness', 'gate', 'return', 'stations'])) {
                'load' => LoadCase::answer($case),
                'readiness' => ReadinessCase::answer($case),
                'gate' => GateCase::answer($case),
                'return' => ReturnCase::answer($case),
                default => StationsCase::answer($case),
            };
        } catch (CaseError $error) {
            return ['error' => ['code' => $error->errorCode, 'path' => $error->path, 'message' => $error->getMessage()]];
        }
    }
}
