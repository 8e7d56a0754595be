<?php

declare(strict_types=1);

namespace App\Library\Answers;

use Augendo\Core\Library\Figures;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Pose;

/** A key position as joint angles, degrees; 0 hangs down, positive swings towards the target. */
final readonly class FigurePoseView
{
    public function __construct(
        public string $name,
        public string $text,
        public float $trunk,
        /** @var list<float> upper arm, forearm */
        public array $throwing_arm,
        /** @var list<float> */
        public array $front_arm,
        /** @var list<float> thigh, shin */
        public array $front_leg,
        /** @var list<float> */
        public array $back_leg,
        /** off the ground, in heads */
        public float $lift,
        /** in the throwing hand */
        public ?string $tool,
        /** what is stood at, sat on or thrown over */
        public ?string $beside,
        /** seen from the other side: of a left-hander */
        public bool $mirrored,
    ) {}

    /** @param  string|null  $id  of the picture of a drill; null: nobody has drawn it */
    public static function ofPicture(Figures $figures, ?string $id, Handedness $hand): ?self
    {
        $pose = $figures->pictures[$id ?? ''] ?? null;

        return $pose === null ? null : self::of($pose, $hand);
    }

    public static function of(Pose $pose, Handedness $hand): self
    {
        return new self(
            name: $pose->name,
            text: ucfirst($hand->mirror($pose->text)),
            trunk: $pose->trunk,
            throwing_arm: $pose->throwingArm,
            front_arm: $pose->frontArm,
            front_leg: $pose->frontLeg,
            back_leg: $pose->backLeg,
            lift: $pose->lift,
            tool: $pose->tool,
            beside: $pose->beside,
            mirrored: $hand === Handedness::Left,
        );
    }
}
