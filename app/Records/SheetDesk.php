<?php

declare(strict_types=1);

namespace App\Records;

use App\Http\Problem;
use App\Models\Athlete;
use App\Models\Sheet;
use App\Models\SheetBlock;
use App\Models\Squad;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\RuleSet;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Channel;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\BuiltSession;
use Augendo\Core\Planning\LayoffRule;
use Augendo\Core\Planning\SessionBuilder;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Readiness\Readiness;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/** One sheet with everything it has to fit into; fits it, and keeps what was fitted. */
final class SheetDesk
{
    private ?SessionFrame $frame = null;

    private ?Readiness $readiness = null;

    private function __construct(
        private readonly Library $library,
        private readonly LoadBook $loads,
        public readonly Sheet $sheet,
        public readonly Athlete $athlete,
        public readonly Squad $squad,
    ) {}

    public static function open(Sheet $sheet): self
    {
        $sheet->loadMissing('trainingSession.squad', 'athlete');

        return new self(app(Library::class), app(LoadBook::class), $sheet, $sheet->athlete, $sheet->trainingSession->squad);
    }

    /** After a report or a clearance: what is planned for the athlete today is fitted anew, unless a coach has edited it by hand. */
    public static function refitToday(Athlete $athlete, Day $on): void
    {
        foreach ($athlete->sheets()->where('held_on', $on->iso())->where('state', 'planned')->where('edited', false)->get() as $sheet) {
            self::open($sheet)->fit();
        }
    }

    public function day(): Day
    {
        return $this->sheet->day();
    }

    public function ladder(): Ladder
    {
        return $this->library->ladder($this->sheet->ladder);
    }

    public function rung(): Rung
    {
        return $this->ladder()->rung($this->sheet->rung)
            ?? throw new \RuntimeException("Ladder {$this->sheet->ladder} has no rung {$this->sheet->rung}.");
    }

    public function ruleSet(): RuleSet
    {
        return $this->library->ruleSet($this->squad->rule_set);
    }

    public function readiness(): Readiness
    {
        return $this->readiness ??= (new ReadinessBook([$this->athlete], $this->day()))->readiness($this->athlete, $this->squad);
    }

    public function load(): AthleteLoad
    {
        return $this->loads->for([$this->athlete], $this->day(), $this->sheet->id)[$this->athlete->id];
    }

    public function frame(): SessionFrame
    {
        return $this->frame ??= $this->load()->frame($this->day(), $this->sheet->id, $this->readiness(), $this->ruleSet()->limits, $this->armFirst($this->rung()));
    }

    /** @return list<BlockPlan> */
    public function plans(): array
    {
        return $this->sheet->blocks->map(fn (SheetBlock $block): BlockPlan => $block->plan($this->library))->all();
    }

    /** Builds the sheet from its rung and keeps it; after a long layoff, from the rung below. */
    public function fit(): void
    {
        DB::transaction(function (): void {
            $rung = $this->rung();
            $idle = $this->load()->idleDays($this->day(), $this->armFirst($rung));
            $below = $idle !== null && $idle >= LayoffRule::BEGIN_AGAIN_DAYS ? $this->ladder()->before($rung->id) : null;
            $built = SessionBuilder::build($this->frame(), $below ?? $rung);
            $trims = $this->tell($built);
            if ($below !== null) {
                array_unshift($trims, ['block' => null, 'sentence' => "{$idle} idle days: begin again on the rung below, “{$below->name}”. What was missed is not made up."]);
            }
            $this->sheet->update([
                'rung' => ($below ?? $rung)->id, 'ladder_version' => $this->ladder()->version, 'trims' => $trims,
                'version' => $this->sheet->exists ? $this->sheet->version + 1 : 1, 'edited' => false,
            ]);
            $this->sheet->blocks()->delete();
            foreach ($built->blocks as $position => $plan) {
                // Named by its place, so that a tap made offline on the sheet as it was still finds its block.
                $this->sheet->blocks()->save(SheetBlock::of($plan, $position)->forceFill(['id' => Uuid::uuid5($this->sheet->id, "block {$position}")->toString()]));
            }
            $this->sheet->unsetRelation('blocks');
            Athlete::raiseRevision($this->athlete->id);
        });
    }

    /** @throws Problem when somebody saved the sheet since it was read */
    public function refuseStale(int $version): void
    {
        if ($version !== $this->sheet->version) {
            throw new Problem(409, 'Changed meanwhile', "Somebody saved this sheet since you opened it (version {$this->sheet->version}, yours {$version}). Your doses are kept on the screen: look at both, then save again.", extra: ['version' => $this->sheet->version]);
        }
    }

    /**
     * Keeps edited doses.
     *
     * @param  list<array{id: string, sets: int, reps: int, effort: float, distance_m: float|null}>  $doses
     *
     * @throws Problem when they are stale, or break a hard limit or the word
     */
    public function save(array $doses, int $version): void
    {
        DB::transaction(function () use ($doses, $version): void {
            $this->sheet->refresh();
            $this->refuseStale($version);
            if ($this->sheet->state === 'finished') {
                throw new Problem(409, 'Already finished', 'A finished session keeps its doses.');
            }
            $plans = $this->withDoses($doses);
            $refusals = $this->refusals($plans);
            if ($refusals !== []) {
                throw new Problem(422, 'Over a hard limit', implode(' ', $refusals), ['blocks' => $refusals]);
            }
            foreach ($this->sheet->blocks as $i => $block) {
                $block->update(['sets' => $plans[$i]->sets, 'reps' => $plans[$i]->reps, 'effort' => $plans[$i]->effort, 'distance_m' => $plans[$i]->distanceM]);
            }
            $this->sheet->update(['version' => $version + 1, 'edited' => true]);
            Athlete::raiseRevision($this->athlete->id);
        });
    }

    /** @param  array<string, mixed>  $given  validated minutes and session RPE; finishing again changes only these */
    public function finish(array $given): void
    {
        DB::transaction(function () use ($given): void {
            $this->sheet->update([...$given, 'state' => 'finished', 'finished_at' => $this->sheet->finished_at ?? now()->toIso8601String()]);
            Athlete::raiseRevision($this->athlete->id);
        });
    }

    /** @return list<array{block: int|null, sentence: string}> */
    private function tell(BuiltSession $built): array
    {
        return array_map(fn (Trim $trim): array => [
            'block' => $trim->block,
            'sentence' => Wording::trim($trim, $this->day()),
        ], $built->trims);
    }

    /**
     * Edited doses laid over the blocks of the sheet.
     *
     * @param  list<array{id: string, sets: int, reps: int, effort: float, distance_m: float|null}>  $doses
     * @return list<BlockPlan>
     */
    public function withDoses(array $doses): array
    {
        $byId = array_column($doses, null, 'id');

        return $this->sheet->blocks->map(function (SheetBlock $block) use ($byId): BlockPlan {
            $dose = $byId[$block->id] ?? null;

            return $dose === null
                ? $block->plan($this->library)
                : new BlockPlan($block->dose($this->library), $dose['sets'], $dose['reps'], $dose['effort'], $dose['distance_m']);
        })->all();
    }

    /**
     * Why these doses may not be done: a hard limit, or the word.
     *
     * @param  list<BlockPlan>  $plans
     * @return list<string>
     */
    public function refusals(array $plans): array
    {
        $refusals = [];
        foreach ($this->frame()->broken($plans) as $state) {
            $refusals[] = "{$state->limit->label}: ".Wording::limit($state, $this->day());
        }
        foreach ($plans as $plan) {
            $word = $this->frame()->wordFor($plan);
            if ($plan->reps === 0) {
                continue;
            }
            $title = Wording::blockKind($plan->asked->kind).' “'.$plan->asked->title.'”';
            if (! $word->allowsWork()) {
                $refusals[] = "{$title}: the word is ".Wording::word($word).', this work is not for today.';
            } elseif ($plan->effort > $this->frame()->effortCap($word) + 1e-9) {
                $refusals[] = "{$title}: at most ".Wording::percent($this->frame()->effortCap($word)).' effort while the word is '.Wording::word($word).'.';
            }
        }

        return array_values(array_unique($refusals));
    }

    /** @return list<string> what may still be trained, when something may not */
    public function swaps(): array
    {
        $readiness = $this->readiness();
        $free = array_values(array_filter(Channel::cases(), fn (Channel $channel): bool => $readiness->channels[$channel->value]->allowsWork()));
        if (count($free) === count(Channel::cases()) || $free === []) {
            return [];
        }
        $possible = array_filter($this->rung()->blocks, fn (BlockDose $dose): bool => $dose->reps > 0 && $readiness->forChannels($dose->skill->loadedChannels())->allowsWork());

        return [
            'Free today: '.implode(', ', array_map(Wording::channel(...), $free)).'.',
            $possible === []
                ? 'Nothing counted on this rung is free of the sore part. Footwork without the swing, watching and calling are.'
                : 'From this rung: '.implode(', ', array_map(fn (BlockDose $dose): string => lcfirst($dose->title), $possible)).'.',
        ];
    }

    /** @return list<Channel> the channels a layoff is counted on: the arm where the rung loads it, else all it loads */
    private function armFirst(Rung $rung): array
    {
        $channels = $rung->loadedChannels();

        return in_array(Channel::Arm, $channels, true) ? [Channel::Arm] : $channels;
    }
}
