<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;

/** Something that may be put on a sheet. */
final readonly class AddableView
{
    public function __construct(
        /** by which it is added */
        public string $key,
        /** where it comes from: a rung, a template, the drills */
        public string $group,
        /** @var 'rung'|'fault'|'ladder'|'template'|'drill' */
        public string $from,
        /** of the squad’s templates the one it belongs to */
        public ?string $template_id,
        public string $kind_name,
        public string $title,
        public string $text,
        public int $sets,
        /** in all sets together */
        public int $reps,
        public float $effort,
        public ?float $distance_m,
        public int $rest_s,
        public ?int $hold_s,
        public string $object,
        /** @var value-of<Side> */
        public string $side,
        /** @var value-of<Surface>|null */
        public ?string $surface,
        public bool $judged,
        /** place in a session, from 0 */
        public int $place,
        /** why it may not be done today; null: it may, as far as the word goes */
        public ?string $why_not,
    ) {}
}
