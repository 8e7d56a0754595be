<?php

declare(strict_types=1);

namespace App\Wording;

use App\Sessions\Sheet;
use App\Sessions\SheetNote;
use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Library\DrillWith;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Channel;
use Augendo\Core\Planning\ClaimKind;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\OtherWork;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\StepAsked;

/** Why a sheet is what it is, in words. */
final class SheetWording
{
    public const FLOOR_NOT_KNOWN = 'The floor is not known: landings count as on a hard one. Say it on the page of the '
        .'session, or for the squad under People.';

    public const WAITS_TO_BE_FITTED = 'Something changed for the squad, and this sheet waits to be fitted to it. Until '
        .'then it shows never more than was planned and never more than is left.';

    public function __construct(private readonly Library $library) {}

    public function note(SheetNote $note, Sheet $sheet): string
    {
        $of = $note->figures;

        return match ($note->why) {
            'trim' => Wording::trim(Trim::fromArray($of), $sheet->day()),
            'swap' => $this->swap($of),
            'room' => self::room($of),
            'floor_not_known' => self::FLOOR_NOT_KNOWN,
            'way_back' => $this->wayBack($of, $sheet),
            'way_back_elsewhere' => 'On the way back on another ladder: what loads the '.Wording::site(Site::from($of['site']))
                .' is left to the return.',
            'layoff' => Wording::count($of['idle_days'], 'idle day').': begin again on the rung below, '
                ."“{$this->rungName($this->ladder($sheet), $of['below'])}”. What was missed is not made up.",
            'drill' => "“{$this->faultName($sheet, $of['fault'])}” led last time: its drill goes before the judged block and again "
                .'in the middle of it.',
            'emphasis' => 'From the season: '.lcfirst(PlanWording::emphasis(Emphasis::from($of['emphasis']))).'.',
            'test_waits' => 'Test day: it waits for the word Full, today is '.Wording::word(Word::from($of['word']))
                .'. This holds what was reached.',
            'gave_way' => self::gaveWay($of['to']),
            'swapped' => $this->swapped($of),
            'serve_target' => self::serveTarget($of),
            'other_work' => $this->source($of['from'], $of['ladder'], $of['rung'], $of['name']),
            default => $of['words'],
        };
    }

    /** @param  array<string, mixed>  $of */
    private static function serveTarget(array $of): string
    {
        $change = new ServeChange($of['pace'], $of['topspin_rpm'], $of['higher_m'], $of['aimed'], null);

        return 'From the serve window: '.lcfirst(ServeWording::change($change)).'.';
    }

    /** @param  non-empty-list<array{kind: string, title: string, starts_at: string}>  $first */
    private static function gaveWay(array $first): string
    {
        $names = array_map(fn (array $each): string => match (ClaimKind::from($each['kind'])) {
            ClaimKind::ReturnStage => "the stage of the way back at {$each['starts_at']}",
            ClaimKind::Match => "the match at {$each['starts_at']} (“{$each['title']}”)",
            default => "the session at {$each['starts_at']} (“{$each['title']}”)",
        }, $first);
        $verb = count($names) === 1 ? 'comes' : 'come';

        return ucfirst(implode(' and ', $names))." {$verb} first on this day: this session gave way and got what was left.";
    }

    /** @param  array<string, mixed>  $of */
    private function swapped(array $of): string
    {
        $ladder = $this->library->ladder($of['ladder']);

        return "The work of {$ladder->name}, “{$this->rungName($ladder, $of['rung'])}”, is not for this day: this is what is left. "
            .'It does not count on that rung.';
    }

    /** Where something comes from that no rung of the day asked for. */
    public function source(string $from, ?string $ladder, ?string $rung, ?string $name): string
    {
        $of = $ladder === null ? null : $this->library->ladder($ladder);
        $where = $of === null ? '' : "{$of->name}, “{$this->rungName($of, (string) $rung)}”";

        return match ($from) {
            'own' => "Nothing in the hand, from {$where}.",
            'other_side' => 'The other side, easily: '.lcfirst($where).'.',
            'ladder' => "From {$where}.",
            'fault' => "Mends a fault of {$where}.",
            'template' => 'From a template of the squad.',
            default => $this->drill($name),
        };
    }

    private function drill(?string $id): string
    {
        $drill = $this->library->drills()[$id ?? ''] ?? null;
        if ($drill === null && $id !== null) {
            return 'A drill of our own.';
        }

        return match ($drill?->with) {
            DrillWith::Partner => 'A drill with a partner.',
            DrillWith::Group => 'A drill with a group.',
            default => 'A drill.',
        };
    }

    /** @param  array<string, mixed>  $of */
    private static function room(array $of): string
    {
        $far = $of['distance_m'] === null ? '' : ', '.Wording::number((float) $of['distance_m']).' m,';
        $asked = "“{$of['title']}”{$far}";

        return match ($of['how']) {
            'shorter' => "{$asked} is done from ".Wording::number((float) $of['shorter_m']).' m: no space is longer.',
            'indoors' => "No space holds {$asked} so “{$of['instead']}” is done indoors. It does not count on the rung.",
            'nothing_thrown' => "No space holds {$asked} so everybody warms up without a throw.",
            default => "No space holds {$asked} so it is left out.",
        };
    }

    /** What somebody whose work is gone is asked to do instead; where nothing is left, why. */
    public static function instead(OtherWork $work, Readiness $readiness, string $name): string
    {
        return match (true) {
            $readiness->isIll() => "{$name} is ill: no work today. Get well first.",
            $readiness->openReferrals !== [] => "{$name} waits for a clinician, so nothing that loads the body until then. "
                .'Being part of it is still possible: watch, keep the score, think ahead.',
            $work->minutes() === null => 'Nothing is left that today allows. Watching and calling are.',
            $work->leads !== null => "{$work->leads->ladder->name}, “{$work->leads->rung->name}”, judged as ever, "
                .'and what else today allows.',
            default => "What today allows, from the ladders and drills {$name} knows.",
        };
    }

    /**
     * Why a dose may not be added; null: it may.
     *
     * @param  list<Channel>  $resting  parts of it that a way back keeps for its own stages
     */
    public static function whyNot(Word $word, array $resting): ?string
    {
        return match (true) {
            $resting !== [] => 'The way back keeps the '.Wording::channels($resting).' for its own stages.',
            ! $word->allowsWork() => 'Not today: '.Wording::word($word).'.',
            default => null,
        };
    }

    /** The heading under which something that may be added stands. */
    public function group(string $from, ?string $ladder, ?string $rung, ?string $name): string
    {
        if ($from === 'template') {
            return "Template “{$name}”";
        }
        if ($ladder === null) {
            return 'Drills of no ladder';
        }
        $of = $this->library->ladder($ladder);
        $where = "{$of->name}, “{$this->rungName($of, (string) $rung)}”";

        return $from === 'fault' ? "Drills that mend: {$where}" : $where;
    }

    /** @param  array<string, mixed>  $of */
    private function swap(array $of): string
    {
        $name = fn (string $id): string => lcfirst(($this->library->objects()[$id] ?? null)->name ?? $id);

        $instead = $of['for'] === null ? 'left out' : "done with {$name($of['for'])}";

        return "No {$name($of['asked'])} at hand: “{$of['title']}” is {$instead}.";
    }

    /** @param  array<string, mixed>  $of */
    private function wayBack(array $of, Sheet $sheet): string
    {
        $return = $sheet->playReturn()->first();
        if ($return === null) {
            return 'On the way back.';
        }
        $stages = count($return->programmeAsOpened()->stages);

        return 'On the way back'.($of['stage'] === null ? '' : ', stage '.($of['stage'] + 1)." of {$stages}").'. '
            .ReturnWording::sentence($return, StepAsked::fromArray($of['asked']))
            .($of['word'] === null ? '' : ' Not today: the word is '.Wording::word(Word::from($of['word'])).'.');
    }

    private function ladder(Sheet $sheet): Ladder
    {
        return $this->library->ladder($sheet->ladder, $sheet->ladder_version);
    }

    private function rungName(Ladder $ladder, string $rung): string
    {
        return $ladder->rung($rung)->name ?? $rung;
    }

    private function faultName(Sheet $sheet, string $fault): string
    {
        return $this->ladder($sheet)->rung($sheet->rung)?->fault($fault)->name ?? $fault;
    }
}
