<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Station;
use Augendo\Core\Planning\StationAthlete;
use Augendo\Core\Planning\StationPlan;
use Augendo\Core\Planning\UsualStations;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;

/** A squad's session with its stations: set, changed in a hurry, and taken back. */
final class Stations
{
    /** As long as the title of a station may be. */
    private const TITLE_MOST = 60;

    /** @var Collection<int, Sheet>|null */
    private ?Collection $sheets = null;

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

    /** @return array<string, mixed> what is set: minutes, adults, balls, stations, absent and late */
    public function setup(): array
    {
        $kept = $this->session->stations;
        unset($kept['before']);

        $venue = $kept === null ? Venue::named($this->session->squad->workspace_id, $this->session->place) : null;

        return $kept ?? [
            'minutes' => $this->session->minutes ?? UsualStations::MINUTES,
            'adults' => UsualStations::ADULTS,
            'balls' => $venue->balls ?? UsualStations::BALLS,
            'stations' => $this->usualStations($venue?->length_m),
            'absent' => [],
            'late' => [],
        ];
    }

    /**
     * @param  float|null  $roomM  as long as the venue is; null: not known
     * @return list<array<string, mixed>>
     */
    private function usualStations(?float $roomM): array
    {
        $plans = array_merge([], ...$this->sheets()->map(fn (Sheet $sheet): array => $this->plans($sheet))->all());
        $floor = $this->session->floor ?? $this->session->squad->floor;

        return array_map(fn (Station $station): array => [
            'id' => $station->id,
            'title' => $station->title,
            'kinds' => array_map(fn (BlockKind $kind): string => $kind->value, $station->kinds),
            'length_m' => $station->lengthM,
            'capacity' => $station->capacity,
            'needs_adult' => $station->needsAdult,
            'surface' => $station->surface?->value,
            'gloves' => $station->gloves,
            'balls_each' => $station->ballsEach,
        ], UsualStations::for(
            $plans,
            $floor === null ? null : Surface::from($floor),
            $this->titleOf(...),
            $roomM,
        ));
    }

    /** @param  non-empty-array<BlockPlan>  $plans  done there: the drill most have names it, with its skill */
    private function titleOf(array $plans): string
    {
        $skills = $this->library->skillNames();
        $names = array_map(fn (BlockPlan $plan): string => "{$plan->asked->title}, {$skills[$plan->asked->skill->id]}", $plans);
        $counted = array_count_values($names);
        arsort($counted);
        $title = (string) array_key_first($counted);

        return Str::limit($title, self::TITLE_MOST - 11, '…').(count($counted) === 1 ? '' : ' and others');
    }

    /** @return list<BlockPlan> */
    public function plans(Sheet $sheet): array
    {
        return $sheet->blocks->map(fn ($block): BlockPlan => $block->plan($this->library))->all();
    }

    public function plan(): StationPlan
    {
        $setup = $this->setup();
        $there = $this->sheets()->reject(fn (Sheet $sheet): bool => in_array($sheet->athlete_id, $setup['absent'], true));

        return StationPlan::make($there->map(fn (Sheet $sheet): StationAthlete => new StationAthlete(
            id: $sheet->athlete_id,
            name: $sheet->athlete->name(),
            hand: $sheet->athlete->throwing_side,
            ladder: $sheet->ladder,
            level: (int) $this->library->ladder($sheet->ladder)->position($sheet->rung),
            blocks: $this->plans($sheet),
            lateMinutes: (int) ($setup['late'][$sheet->athlete_id] ?? 0),
        ))->values()->all(), array_map(self::station(...), $setup['stations']), $setup['minutes'], $setup['adults'], $setup['balls']);
    }

    /** @param  array<string, mixed>  $kept */
    public static function station(array $kept): Station
    {
        return new Station(
            id: $kept['id'],
            title: $kept['title'],
            kinds: array_map(BlockKind::from(...), $kept['kinds']),
            lengthM: (float) $kept['length_m'],
            capacity: (int) $kept['capacity'],
            needsAdult: (bool) $kept['needs_adult'],
            surface: $kept['surface'] === null ? null : Surface::from($kept['surface']),
            gloves: (bool) $kept['gloves'],
            ballsEach: (int) $kept['balls_each'],
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
                    || self::floors($before) !== self::floors($setup),
            );
        });
    }

    public function undo(): void
    {
        Alone::inClub($this->session->squad->workspace_id, function (): void {
            $before = $this->session->refresh()->stations['before']
                ?? throw new Problem(ProblemType::NothingToTakeBack, 'The stations are as they were first made.');
            $this->write(
                [...$before, 'before' => null],
                $before['minutes'] !== $this->session->stations['minutes']
                    || self::floors($before) !== self::floors($this->session->stations),
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
     * @return array<string, string|null> by station
     */
    private static function floors(array $setup): array
    {
        return array_column($setup['stations'], 'surface', 'id');
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
