<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Problem;
use App\Http\ProblemType;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;

/** A word that opens a link, told on another way than the link itself: whoever finds the one does not have the other. */
final class WordApart
{
    private const WRONG_AN_HOUR = 10;

    private const HOUR_S = 3600;

    private const CONSONANTS = 'bdfgklmnprstvz';

    private const VOWELS = 'aeiou';

    private const SYLLABLES = 4;

    /** A word that can be said on the phone: one of 24 million. */
    public static function make(): string
    {
        $word = '';
        for ($i = 0; $i < self::SYLLABLES; $i++) {
            $word .= self::CONSONANTS[random_int(0, strlen(self::CONSONANTS) - 1)].self::VOWELS[random_int(0, strlen(self::VOWELS) - 1)];
        }

        return $word;
    }

    public static function kept(string $word): string
    {
        return password_hash($word, PASSWORD_BCRYPT, ['cost' => 10]);
    }

    /** @throws Problem when the link asks for a word and the request has another one, or none */
    public static function refuseWithout(Request $request, Link $link): void
    {
        $kept = $link->details['word'] ?? null;
        if ($kept === null) {
            return;
        }
        $bucket = "wrong word|{$link->id}";
        if (RateLimiter::tooManyAttempts($bucket, self::WRONG_AN_HOUR)) {
            throw new Problem(ProblemType::TooManyTries, 'Too many words that were wrong. Wait an hour, or ask the coach for a new link.');
        }
        $word = mb_strtolower(trim((string) $request->header('X-Link-Word')));
        if ($word === '') {
            throw new Problem(ProblemType::AWordIsNeeded, 'Write the word you were told with it.');
        }
        if (! password_verify($word, $kept)) {
            RateLimiter::hit($bucket, self::HOUR_S);
            throw new Problem(ProblemType::AWordIsNeeded, 'This is not the word. Look again, or ask the coach.');
        }
    }
}
