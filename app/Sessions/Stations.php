<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Health\DayReadiness;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\ClubDrills;
use App\People\User;
use App\Records\Alone;
use App\Returns\ReturnsUnderWay;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\Allowed;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\SessionClock;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Stations\Attendee;
use Augendo\Core\Stations\BetweenTurns;
use Augendo\Core\Stations\Hour;
use Augendo\Core\Stations\Piece;
use Augendo\Core\Stations\Space;
use Augendo\Core\Stations\StationPlan;
use Augendo\Core\Stations\UsualHour;
use Illuminate\Support\Collection;

/** A squad's session with its stations: set, changed in a hurry, and taken back. */
final class Stations
{
    /** @var Collection<int, Sheet>|null */
    private ?Collection $sheets = null;

    /** @var array<string, Readiness>|null by athlete */
    private ?array $words = null;

    public function __construct(private readonly Library $library, public readonly TrainingSession $session, private readonly User $user) {}

    public static function open(TrainingSession $session, User $user): self
    {
        return new self(app(Library::class), $session, $user);
    }

    /** @return Collection<int, Sheet> of everybody the user may see, by running order */
    public function sheets(): Collection
    {
        return $this->sheets ??= Sheet::query()
            ->with(['blocks', 'athlete', 'trainingSession.squad'])
            ->where('training_session_id', $this->session->id)
            ->where('state', '!=', Sheet::CALLED_OFF)
            ->whereIn('athlete_id', $this->user->visibleAthletes()->select('athletes.id'))->orderBy('id')->get();
    }

    /** Where somebody of the session lands who may be sent to any of its spaces; null: not known, and that counts as hard. */
    public static function landedOn(TrainingSession $session): ?Surface
    {
        $usual = Surface::tryFrom((string) ($session->floor ?? $session->squad->floor));
        $spaces = $session->stations['spaces'] ?? [];

        return $spaces === [] ? $usual : Surface::landedOn(array_map(
            fn (array $space): ?Surface => Surface::tryFrom((string) $space['surface']) ?? $usual,
            array_values($spaces),
        ));
    }

    /** @return list<Space> those somebody has set; none: whatever a dose asks for is there */
    public static function spacesSet(TrainingSession $session): array
    {
        return array_map(fn (array $kept): Space => self::space($session, $kept), array_values($session->stations['spaces'] ?? []));
    }

    /** @return array<string, mixed> what is set: minutes, adults, balls, spaces, absent and late */
    public function setup(): array
    {
        $kept = $this->session->stations;
        unset($kept['before']);
        if ($kept !== null) {
            return $kept;
        }
        $venue = Venue::named($this->session->squad->workspace_id, $this->session->place);

        return [
            'minutes' => $this->session->minutes ?? UsualHour::MINUTES,
            'adults' => UsualHour::ADULTS,
            'balls' => $venue->balls ?? UsualHour::BALLS,
            'spaces' => $this->usualSpaces($venue),
            'absent' => [],
            'late' => [],
        ];
    }

    /** @return list<array<string, mixed>> */
    private function usualSpaces(?Venue $venue): array
    {
        $attendees = $this->sheets()->map(fn (Sheet $sheet): Attendee => new Attendee($sheet->athlete_id, true, $this->work($sheet)));
        $names = $this->library->skillNames();

        return array_map(fn (Space $space): array => [
            'id' => $space->id,
            'title' => $names[$space->id],
            'length_m' => $space->lengthM,
            'lanes' => $space->lanes,
            'surface' => null,
            'sector' => $space->sector,
        ], UsualHour::spaces(array_values($attendees->all()), null, $venue?->length_m, $venue?->width_m));
    }

    /** @return list<BlockPlan> */
    public function plans(Sheet $sheet): array
    {
        return $sheet->blocks->map(fn ($block): BlockPlan => $block->plan($this->library))->all();
    }

    /** @return list<BlockPlan> the doses that need a place, in the order of the pieces of work */
    public function placedDoses(Sheet $sheet): array
    {
        return array_values(array_filter($this->plans($sheet), fn (BlockPlan $plan): bool => Piece::of($plan) !== null));
    }

    /** @return list<Piece> */
    private function work(Sheet $sheet): array
    {
        return array_values(array_filter(array_map(Piece::of(...), $this->plans($sheet))));
    }

    public function plan(): StationPlan
    {
        $setup = $this->setup();
        $there = $this->sheets()->reject(fn (Sheet $sheet): bool => in_array($sheet->athlete_id, $setup['absent'], true))->values();
        $doses = array_values($there->map($this->plans(...))->all());
        $warmUpMin = SessionClock::longestMin($doses, BlockKind::WarmUp);
        $readiness = $this->readiness();

        return StationPlan::make(new Hour(
            minutes: $setup['minutes'],
            adults: $setup['adults'],
            balls: $setup['balls'],
            warmUpMin: $warmUpMin,
            coolDownMin: SessionClock::longestMin($doses, BlockKind::CoolDown),
            changeOverMin: UsualHour::CHANGE_OVER_MIN,
            leastRoundMin: UsualHour::LEAST_ROUND_MIN,
            spaces: array_map(fn (array $kept): Space => self::space($this->session, $kept), array_values($setup['spaces'])),
            attendees: array_values($there->map(function (Sheet $sheet) use ($setup, $warmUpMin, $readiness): Attendee {
                $lateMin = (int) ($setup['late'][$sheet->athlete_id] ?? 0);

                return new Attendee(
                    $sheet->athlete_id,
                    $readiness[$sheet->athlete_id]->mayCatch(),
                    $this->work($sheet),
                    // Whoever is late warms up first.
                    $lateMin === 0 ? 0 : $lateMin + $warmUpMin,
                );
            })->all()),
        ));
    }

    /** What those do who have no work of their own just now. */
    public function betweenTurns(StationPlan $plan): BetweenTurns
    {
        $sheets = $this->sheets()->keyBy('athlete_id');
        $readiness = $this->readiness();
        $athletes = array_values($sheets->map(fn (Sheet $sheet): Athlete => $sheet->athlete)->all());
        $returns = new ReturnsUnderWay($athletes, $this->session->day());
        $drills = [];
        $all = app(ClubDrills::class)->known($this->session->squad->workspace_id);
        foreach ($sheets as $id => $sheet) {
            $allowed = new Allowed($readiness[$id], $sheet->athlete->throwing_side, $returns->open($id)?->site->channels() ?? []);
            $known = [$this->library->ladder($sheet->ladder, $sheet->ladder_version)->skill];
            $drills[$id] = array_values(array_filter(
                $all,
                fn (Drill $drill): bool => $drill->isFree() && $drill->isFor($known) && $allowed->allows($drill->dose),
            ));
        }

        return BetweenTurns::of($plan, $drills);
    }

    /** @return array<string, Readiness> of everybody, by athlete */
    private function readiness(): array
    {
        if ($this->words !== null) {
            return $this->words;
        }
        $day = $this->session->day();
        $athletes = array_values($this->sheets()->map(fn (Sheet $sheet): Athlete => $sheet->athlete)->all());
        $health = new DayReadiness($athletes, $day);
        $isAhead = $day->isAfter($this->session->squad->workspace->today());
        $this->words = [];
        foreach ($athletes as $athlete) {
            $this->words[$athlete->id] = $health->readiness($athlete, $this->session->squad, $isAhead);
        }

        return $this->words;
    }

    /** @param  array<string, mixed>  $kept */
    private static function space(TrainingSession $session, array $kept): Space
    {
        return new Space(
            id: $kept['id'],
            lengthM: (float) $kept['length_m'],
            lanes: (int) $kept['lanes'],
            surface: Surface::tryFrom((string) ($kept['surface'] ?? $session->floor ?? $session->squad->floor)),
            sector: (bool) $kept['sector'],
        );
    }

    /**
     * Keeps the stations; when the minutes changed, every sheet that nobody has worked on or edited is fitted to them.
     *
     * @param  array<string, mixed>  $setup
     *
     * @throws Problem when somebody changed it since it was read
     */
    public function keep(array $setup, int $version): void
    {
        Alone::inClub($this->session->squad->workspace_id, function () use ($setup, $version): void {
            $this->session->refresh();
            if ($this->session->version !== $version) {
                throw new Problem(
                    ProblemType::ChangedMeanwhile,
                    'Somebody changed the stations since you opened them. What you set is kept on the screen: look at '
                        .'both, then save again.',
                    extra: ['version' => $this->session->version],
                );
            }
            $before = $this->setup();
            $this->write(
                [...$setup, 'before' => $before],
                $before['minutes'] !== $setup['minutes']
                    || $this->session->stations === null
                    || self::rooms($before) !== self::rooms($setup),
            );
        });
    }

    /** Sheets that wait to be fitted to what was set are looked at as they will be: in a preview nothing is kept, so nothing fits them. */
    public function asFitted(): void
    {
        foreach ($this->sheets() as $sheet) {
            if ($sheet->stale && $sheet->state === 'planned' && ! $sheet->edited) {
                FitSheet::toLookAt($sheet->setRelation('trainingSession', $this->session));
            }
        }
    }

    public function undo(): void
    {
        Alone::inClub($this->session->squad->workspace_id, function (): void {
            $before = $this->session->refresh()->stations['before']
                ?? throw new Problem(ProblemType::NothingToTakeBack, 'The stations are as they were first made.');
            $this->write(
                [...$before, 'before' => null],
                $before['minutes'] !== $this->session->stations['minutes']
                    || self::rooms($before) !== self::rooms($this->session->stations),
            );
        });
    }

    /**
     * The floor of the whole session: what is planned is fitted to it, what was landed already is priced by it.
     *
     * @param  string|null  $floor  null: not known, and that counts as hard
     */
    public function floor(?string $floor): void
    {
        Alone::inClub($this->session->squad->workspace_id, function () use ($floor): void {
            $this->session->update(['floor' => $floor, 'version' => $this->session->version + 1]);
            $this->sheets = null;
            foreach ($this->sheets() as $sheet) {
                FitSheet::onItsFloor($sheet);
            }
        });
    }

    /**
     * @param  array<string, mixed>  $setup
     * @return array<string, array{string|null, float, bool}> floor, metres and whether something may fly far, by space
     */
    private static function rooms(array $setup): array
    {
        $what = fn (array $space): array => [$space['surface'], (float) $space['length_m'], (bool) $space['sector']];

        return array_map($what, array_column($setup['spaces'], null, 'id'));
    }

    /** @param  array<string, mixed>  $stations */
    private function write(array $stations, bool $refit): void
    {
        $this->session->update(['stations' => $stations, 'version' => $this->session->version + 1]);
        foreach ($refit ? $this->sheets() : [] as $sheet) {
            if ($sheet->state === 'planned' && ! $sheet->edited) {
                $sheet->update(['pace' => [...$sheet->pace ?? [], 'minutes' => $stations['minutes']]]);
            }
            $sheet->setRelation('trainingSession', $this->session);
            FitSheet::onItsFloor($sheet);
        }
        $this->sheets = null;
    }
}
