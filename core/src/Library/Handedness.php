<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Load\Side;

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

    /** @return string `left` or `right`: the side of this athlete's body that does work of a side */
    public function bodySide(Side $side): string
    {
        return ($side === Side::Dominant ? $this : $this->opposite())->value;
    }

    public function mirror(string $text): string
    {
        return strtr($text, ['{throwing}' => $this->value, '{front}' => $this->opposite()->value]);
    }
}
