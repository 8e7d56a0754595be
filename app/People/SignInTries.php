<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Problem;
use App\Http\ProblemType;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Failed sign-ins, counted for a minute in three ways: of one name from one address; of one address whatever the name, so that names
 * cannot be tried one after the other; and of one name wherever it is tried from.
 */
final readonly class SignInTries
{
    private const OF_A_NAME_FROM_AN_ADDRESS = 10;

    /** A club behind one address stays well below it. */
    private const OF_AN_ADDRESS = 40;

    private const OF_A_NAME = 30;

    /** @param  array<string, int>  $buckets the tries each bucket allows, the bucket of this name from this address first */
    private function __construct(private array $buckets) {}

    public static function of(Request $request, string $email): self
    {
        $name = mb_strtolower($email);

        return new self([
            "sign-in|{$name}|{$request->ip()}" => self::OF_A_NAME_FROM_AN_ADDRESS,
            "sign-in at|{$request->ip()}" => self::OF_AN_ADDRESS,
            "sign-in as|{$name}" => self::OF_A_NAME,
        ]);
    }

    /** @throws Problem 429 when one of them is full */
    public function check(): void
    {
        foreach ($this->buckets as $bucket => $most) {
            if (RateLimiter::tooManyAttempts($bucket, $most)) {
                throw new Problem(ProblemType::TooManyTries, 'Wait a minute, then try again.');
            }
        }
    }

    public function failed(): void
    {
        array_map(RateLimiter::hit(...), array_keys($this->buckets));
    }

    /** A sign-in that works forgets the tries of this name from this address, and no others. */
    public function worked(): void
    {
        RateLimiter::clear(array_key_first($this->buckets));
    }
}
