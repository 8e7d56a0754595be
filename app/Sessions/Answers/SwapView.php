<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** What is left of a day when its work was taken away, as a session to take up. */
final readonly class SwapView
{
    public function __construct(
        public int $version,
        /** whether the work of the session is gone; where it stands, nothing is swapped */
        public bool $due,
        /** @var list<string> what took the work away */
        public array $why,
        /** @var list<AskAgainView> sore places: how are they now? */
        public array $asks,
        /** what the athlete is asked to do instead, in one sentence; where nothing is left, why */
        public string $instead,
        /** @var list<SwapLineView> in the order of a session; empty: nothing is left */
        public array $lines,
        /** @var list<string> what is not for today */
        public array $out,
        /** @var list<string> implements that stay in the bag */
        public array $objects_out,
        public ?int $minutes,
    ) {}
}
