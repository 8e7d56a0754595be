<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Frames\MomentFind;

/** An instant of the movement at which a picture is looked at. */
final readonly class Moment
{
    /**
     * @param  string  $text  how to find it
     * @param  MomentFind|null  $find  how it is proposed; null: it is found by hand alone
     */
    public function __construct(public string $id, public string $name, public string $text, public ?MomentFind $find = null) {}
}
