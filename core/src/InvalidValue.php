<?php

declare(strict_types=1);

namespace Augendo\Core;

/** A value the job cannot mean. The message says what, and what would be right. */
final class InvalidValue extends \InvalidArgumentException {}
