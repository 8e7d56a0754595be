<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Load\Skill;

/** Reads drills that belong to no rung: those that ship, and a club's own. */
final readonly class DrillReader
{
    private const ASKED = ['about', 'with', 'dose'];

    private const SAID = ['for', 'purpose', 'mends', 'cue', 'stop', 'picture', 'seated'];

    /** What a club's own document has besides. */
    private const OF_A_DOCUMENT = ['id', 'version', 'name', 'withdrawn'];

    private DoseReader $doses;

    /**
     * @param  array<string, Skill>  $skills
     * @param  array<string, LibraryObject>  $objects
     * @param  Figures|null  $figures  null: the pictures it names were looked for before
     */
    public function __construct(private array $skills, array $objects, private ?Figures $figures)
    {
        $this->doses = new DoseReader($skills, $objects);
    }

    /** @throws CaseError */
    public function read(string $id, Node $node): Drill
    {
        $node->keys(self::ASKED, self::SAID);

        return $this->drill($id, $node);
    }

    /**
     * A club's own, as its document has it.
     *
     * @throws CaseError
     */
    public function own(Node $node): Drill
    {
        $node->keys([...self::ASKED, 'id', 'version', 'name'], [...self::SAID, ...self::OF_A_DOCUMENT]);
        if (trim($node->get('name')->string()) === '') {
            throw $node->get('name')->outOfRange('Give the drill a name.');
        }

        return $this->drill($node->get('id')->string(), $node);
    }

    private function drill(string $id, Node $node): Drill
    {
        $text = fn (Node $n): string => $n->string();
        $dose = $this->doses->read($node->get('dose'));
        if ($dose->judged) {
            throw $node->get('dose')->get('judged')->outOfRange('A drill of no rung is no evidence of one: it is not judged.');
        }

        return new Drill(
            id: $id,
            about: $node->get('about')->enum(DrillAbout::class),
            with: $node->get('with')->enum(DrillWith::class),
            skills: $node->get('for')->optional(fn (Node $list): array => array_map(
                fn (Node $n): string => LadderReader::reference($n, $this->skills, 'skill')->id, $list->items(),
            )),
            dose: $dose,
            purpose: $node->get('purpose')->optional($text),
            mends: $node->get('mends')->optional($text),
            cue: $node->get('cue')->optional($text),
            stop: $node->get('stop')->optional($text),
            picture: $node->get('picture')->optional(fn (Node $n): string => $this->figures?->known($n) ?? $n->string()),
            seated: $node->get('seated')->optional(fn (Node $n): bool => $n->bool()) ?? false,
        );
    }
}
