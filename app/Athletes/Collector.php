<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Records\Record;

/**
 * Somebody a guardian named: the child may be handed to them.
 *
 * @property string $id
 * @property string $athlete_id
 * @property string $name
 * @property int $named_by
 */
final class Collector extends Record {}
