<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Load\Skill;

/** What is drawn from joint angles: the key positions of each skill, and what drills look like. */
final readonly class Figures
{
    private const ASKED = ['name', 'text', 'trunk', 'throwing_arm', 'front_arm', 'front_leg', 'back_leg', 'lift'];

    private const TOOLS = ['ball', 'racket', 'javelin'];

    private const BESIDE = [
        'bench', 'wall_front', 'wall_behind', 'fence', 'fence_behind', 'net', 'barrier', 'rope', 'bar', 'marks', 'step', 'band',
    ];

    /**
     * @param  array<string, list<Pose>>  $ofSkills  in the order they are gone through
     * @param  array<string, Pose>  $pictures  what a drill may be drawn as, by id; a key position of a skill is “skill/name”
     */
    private function __construct(private array $ofSkills, public array $pictures) {}

    /**
     * @param  array<string, Skill>  $skills
     *
     * @throws CaseError
     */
    public static function of(Node $file, array $skills): self
    {
        $file->keys(['figures', 'drills'], ['$schema']);
        $ofSkills = [];
        $pictures = array_map(self::pose(...), $file->get('drills')->entries());
        foreach ($file->get('figures')->entries() as $skill => $poses) {
            if (! isset($skills[$skill])) {
                throw new CaseError('unknown_reference', $poses->path, "There is no skill “{$skill}”.");
            }
            $ofSkills[$skill] = array_map(self::pose(...), $poses->items());
            foreach ($ofSkills[$skill] as $pose) {
                $pictures["{$skill}/".str_replace(' ', '-', strtolower($pose->name))] = $pose;
            }
        }

        return new self($ofSkills, $pictures);
    }

    /** @return list<Pose> */
    public function ofSkill(string $skill): array
    {
        return $this->ofSkills[$skill] ?? [];
    }

    /**
     * @return string the id of a picture
     *
     * @throws CaseError when there is none
     */
    public function known(Node $id): string
    {
        return isset($this->pictures[$id->string()]) ? $id->string() : throw new CaseError(
            'unknown_reference', $id->path,
            "There is no picture “{$id->string()}”; there is “half-kneel” or “javelin/draw”, for example.",
        );
    }

    private static function pose(Node $pose): Pose
    {
        $angle = fn (Node $n): float => $n->number(-200, 200);
        $pair = fn (Node $n): array => count($n->items()) === 2
            ? array_map($angle, $n->items())
            : throw $n->outOfRange('Two angles are needed: the upper part, then the lower.');
        $pose->keys(self::ASKED, ['tool', 'beside']);

        return new Pose(
            name: $pose->get('name')->string(),
            text: $pose->get('text')->string(),
            trunk: $angle($pose->get('trunk')),
            throwingArm: $pair($pose->get('throwing_arm')),
            frontArm: $pair($pose->get('front_arm')),
            frontLeg: $pair($pose->get('front_leg')),
            backLeg: $pair($pose->get('back_leg')),
            lift: $pose->get('lift')->number(0, 3),
            tool: $pose->get('tool')->optional(fn (Node $n): string => $n->word(self::TOOLS)),
            beside: $pose->get('beside')->optional(fn (Node $n): string => $n->word(self::BESIDE)),
        );
    }
}
