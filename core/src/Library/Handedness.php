<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/**
 * Library text is written once for the throwing side and mirrors: `{throwing}` is the side that throws, `{front}` the side
 * towards the target, which is the other one.
 */
enum Handedness: string
{
    case Right = 'right';
    case Left = 'left';

    public function opposite(): self
    {
        return $this === self::Right ? self::Left : self::Right;
    }

    public function mirror(string $text): string
    {
        return strtr($text, ['{throwing}' => $this->value, '{front}' => $this->opposite()->value]);
    }
}
