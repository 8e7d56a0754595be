<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Skill;

/** A drill as it is looked up: that of a fault on a ladder, or one that belongs to no rung. */
final readonly class DrillCard
{
    use CopiesItself;

    /**
     * @param  string  $mends  the name of the fault; empty: it mends none
     * @param  string  $cue  empty: none
     * @param  string|null  $stop  when to stop
     * @param  list<string>  $ladders  names of the ladders it is on; none: of no ladder
     * @param  list<Channel>  $loads  the parts that have to be well enough for it
     * @param  bool  $far  whether its object flies far and needs a sector
     * @param  string|null  $picture  id of what it is drawn as, of Figures
     * @param  bool  $seated  whether it is done from a chair, too
     */
    public function __construct(
        public string $title,
        public string $text,
        public string $mends,
        public string $cue,
        public ?string $stop,
        public array $ladders,
        public Skill $skill,
        public DrillWith $with,
        public array $loads,
        public bool $far,
        public DrillDose $dose,
        public int $sets,
        public bool $safety,
        public ?string $picture,
        public bool $seated,
    ) {}

    /**
     * All there are, each once: what mends the same fault in the same words on several ladders is one drill.
     *
     * @param  list<Ladder>  $ladders
     * @param  list<Drill>  $drills
     * @return list<self>
     */
    public static function all(array $ladders, array $drills): array
    {
        $cards = [];
        foreach ($ladders as $ladder) {
            foreach (self::ofLadder($ladder) as $card) {
                // What is done on the feet on one ladder, and from a chair on another, is two drills.
                $key = implode('|', [$card->text, $card->dose->skill->id, $card->seated ? 'seated' : '']);
                $known = $cards[$key]->ladders ?? [];
                if (! in_array($ladder->name, $known, true)) {
                    $cards[$key] = $card->with(['ladders' => [...$known, $ladder->name]]);
                }
            }
        }
        foreach ($drills as $drill) {
            $cards[] = self::ofDrill($drill);
        }

        return array_values($cards);
    }

    /** @return list<self> of the faults of its rungs, and as they are mended from a chair */
    private static function ofLadder(Ladder $ladder): array
    {
        $cards = [];
        foreach ($ladder->rungs as $rung) {
            $fromAChair = array_column($ladder->seated?->rung($rung)->faults ?? [], null, 'id');
            foreach ($rung->faults as $fault) {
                $seated = $fromAChair[$fault->id] ?? null;
                $isTheSame = $seated !== null && [$seated->drill, $seated->how] === [$fault->drill, $fault->how];
                $cards[] = self::ofFault($fault, $ladder, $isTheSame);
                $written = $seated === null || $isTheSame ? null : self::ofFault($seated, $ladder, true);
                $cards[] = $written?->with(['loads' => Seated::loads($written->loads)]);
            }
        }

        return array_values(array_filter($cards));
    }

    /** @return string all that is looked through, in small letters */
    public function words(): string
    {
        return mb_strtolower(implode(' ', [$this->title, $this->mends, $this->cue, $this->text, ...$this->ladders]));
    }

    private static function ofFault(Fault $fault, Ladder $ladder, bool $seated): ?self
    {
        $dose = $fault->dose;
        // Nobody has said that such a drill spares the legs it is done on.
        $loads = $dose?->skill->isFootwork() === true ? [Channel::Trunk, Channel::Landing] : $dose?->skill->loadedChannels();

        return $dose === null ? null : new self(
            title: $fault->drill, text: $fault->how ?? "{$fault->drill}.", mends: $fault->name, cue: $fault->cue, stop: $fault->stop,
            ladders: [$ladder->name], skill: $ladder->skill, with: $fault->with, loads: $loads ?? [],
            far: $dose->object->far, dose: $dose, sets: 1, safety: $fault->safety,
            picture: $fault->picture, seated: $seated,
        );
    }

    private static function ofDrill(Drill $drill): self
    {
        $dose = $drill->dose;

        return new self(
            title: $dose->title, text: trim("{$drill->purpose} {$dose->text}"), mends: $drill->mends ?? '', cue: $drill->cue ?? '',
            stop: $drill->stop, ladders: [], skill: $dose->skill, with: $drill->with,
            loads: $dose->loadedChannels(), far: $dose->object->far,
            dose: new DrillDose(
                $dose->skill, $dose->object, $dose->reps, $dose->effort, $dose->distanceM, $dose->holdS, $dose->surface, $dose->legs,
                $dose->dropCm,
            ),
            sets: $dose->sets, safety: false, picture: $drill->picture, seated: $drill->seated,
        );
    }
}
