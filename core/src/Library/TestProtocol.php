<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Load\Family;
use Augendo\Core\Readiness\Word;

/** How something is measured at full effort, the same way every time. */
final readonly class TestProtocol
{
    /**
     * @param  list<Family>  $families  of the skills it is for
     * @param  'longest_throw_m'|'reference_speed_ms'|'jump_cm'  $measures
     * @param  list<array{reps: int, effort: float}>  $buildsUp  what comes before the attempts, the easiest first
     */
    public function __construct(
        public string $id,
        public array $families,
        public string $name,
        public string $measures,
        public string $text,
        public array $buildsUp,
        public int $attempts,
        public int $restS,
    ) {}

    /** A test is met fresh: on any word but Full it waits, for whoever has not checked in as well. */
    public static function isGiven(Word $word): bool
    {
        return $word === Word::Full;
    }

    /**
     * A test day put as a rung, so that it is fitted and counted like any other: the rung's warm-up and cool-down, the efforts before, the
     * attempts. Nothing of it is judged, so nothing of it is evidence for a gate.
     */
    public function asRung(Rung $own): Rung
    {
        $dose = $own->ownDose();
        $at = fn (BlockKind $kind, string $title, int $reps, float $effort, int $restS): BlockDose => $dose->with([
            'kind' => $kind, 'title' => $title, 'text' => $kind === BlockKind::Whole ? $this->text : '', 'sets' => 1, 'reps' => $reps,
            'repsMin' => 1, 'effort' => $effort, 'effortMin' => $effort, 'distanceM' => null, 'distanceMinM' => null,
            'distanceShare' => null, 'restS' => $restS, 'holdS' => null, 'judged' => false,
        ]);
        $of = fn (BlockKind $kind): array => array_values(array_filter($own->blocks, fn (BlockDose $each): bool => $each->kind === $kind));

        return $own->with(['id' => $own->id, 'name' => "Test day: {$this->name}", 'goal' => $this->text, 'blocks' => [
            ...$of(BlockKind::WarmUp),
            ...array_map(
                fn (array $step): BlockDose => $at(BlockKind::Part, 'Build up', $step['reps'], $step['effort'], $dose->restS),
                $this->buildsUp,
            ),
            $at(BlockKind::Whole, ucfirst("{$this->name}, measured"), $this->attempts, 1.0, $this->restS),
            ...$of(BlockKind::CoolDown),
        ]]);
    }
}
