<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\People\Workspace;
use Augendo\Core\Day;
use Augendo\Core\Gates\DaySoreness;
use Augendo\Core\Instant;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\DayContext;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\KnownCondition;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessClearance;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\StopTable;
use Augendo\Core\Readiness\Word;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Reports and clearances of many athletes, and the words they come to. */
final class DayReadiness
{
    /** @var array<string, list<SorenessReport>> */
    private array $reports = [];

    /** @var array<string, list<SorenessClearance>> */
    private array $clearances = [];

    /** @var array<string, string> day of the latest morning report */
    private array $mornings = [];

    /** @var array<string, list<KnownCondition>> */
    private array $conditions = [];

    /** @var array<string, int> athletes of whom a device says that it holds counts it has not sent */
    private array $missing = [];

    public readonly DatedBounds $dated;

    /**
     * @param  list<Athlete>  $athletes  of one club
     * @param  DatedBounds|null  $dated  of the athletes and the day, where somebody has asked already
     */
    public function __construct(array $athletes, private readonly Day $on, ?DatedBounds $dated = null)
    {
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        $this->dated = $dated ?? DatedBounds::of($athletes, $on);
        // Whose clock is ahead of the club's lives in a day of their own: what was reported until now holds now, whatever day it is dated.
        $upTo = Workspace::lastDayOf($athletes, $on)->iso();
        $rows = $this->reported($ids, $upTo)
            ->where(fn ($query) => $query->where('day', '>', $on->plus(-Readiness::LOOK_BACK_DAYS)->iso())->orWhere('refers', true))
            ->orderBy('received_at')->orderBy('id')->get();
        foreach ([...$this->lastOfPlaces($ids, $upTo), ...$rows] as $row) {
            $this->reports[$row->athlete_id][] = self::report($row);
        }
        foreach (DB::table('clearances')->whereIn('athlete_id', $ids)->get() as $row) {
            $at = Instant::of($row->at);
            if ($at->day->iso() <= $upTo) {
                $this->clearances[$row->athlete_id][] = new SorenessClearance(
                    $at,
                    $row->sites === null ? null : array_map(fn (string $site): Site => Site::from($site), json_decode($row->sites, true)),
                );
            }
        }
        foreach (
            DB::table('known_conditions')
                ->whereIn('athlete_id', $ids)
                ->whereNull('ended_at')
                ->where('until_day', '>=', $on->plus(-Readiness::LOOK_BACK_DAYS)->iso())
                ->get() as $row
        ) {
            $this->conditions[$row->athlete_id][] = new KnownCondition(
                site: Site::from($row->site),
                side: $row->side,
                kind: Kind::from($row->kind),
                upToScore: (int) $row->up_to_score,
                from: Day::of(substr($row->from_day, 0, 10)),
                until: Day::of(substr($row->until_day, 0, 10)),
            );
        }
        $this->missing = DB::table('missing_counts')->whereIn('athlete_id', $ids)->pluck('count', 'athlete_id')->all();
        $this->mornings = DB::table('soreness_reports')
            ->whereIn('athlete_id', $ids)
            ->where('moment', 'morning')
            ->whereNull('withdrawn_at')
            ->where('day', '<=', $upTo)
            ->groupBy('athlete_id')->selectRaw('athlete_id, max(day) as day')->pluck('day', 'athlete_id')->all();
    }

    /** @param  list<string>  $ids */
    private function reported(array $ids, string $upTo): Builder
    {
        return DB::table('soreness_reports')->whereIn('athlete_id', $ids)->where('day', '<=', $upTo)->whereNull('withdrawn_at');
    }

    /**
     * Three sore days can refer a place until it is reported on again, however long that takes: the last reports of places that have not
     * been reported on since, where a step worse can refer.
     *
     * @param  list<string>  $ids
     * @return list<object> rows, oldest first
     */
    private function lastOfPlaces(array $ids, string $upTo): array
    {
        $before = $this->on->plus(-Readiness::LOOK_BACK_DAYS)->iso();
        $referring = array_column(
            array_filter(Kind::cases(), fn (Kind $kind): bool => Word::None->oneWorse($kind) === Word::Refer),
            'value',
        );
        $places = $this->reported($ids, $upTo)->where('site', '!=', Site::None->value)->groupBy('athlete_id', 'site', 'side')
            ->selectRaw('athlete_id, site, side, max(day) as day')->havingRaw('max(day) <= ?', [$before])
            ->havingRaw(
                'max(day) = max(case when kind in ('.implode(', ', array_fill(0, count($referring), '?')).') then day end)',
                $referring,
            )->get();
        $days = [];
        foreach ($places as $place) {
            foreach (range(0, 2) as $back) {
                $day = Day::of(substr($place->day, 0, 10))->plus(-$back)->iso();
                $days[$day]["{$place->athlete_id}|{$place->site}|{$place->side}"] = true;
            }
        }

        return $this->reported($ids, $upTo)
            ->whereIn('day', array_keys($days))
            ->where('refers', false)
            ->orderBy('received_at')
            ->orderBy('id')
            ->get()
            ->filter(
                fn (object $row): bool => substr($row->day, 0, 10) <= $before
                    && isset($days[substr($row->day, 0, 10)]["{$row->athlete_id}|{$row->site}|{$row->side}"]),
            )->all();
    }

    /**
     * What the core is asked with: the reports, and around them conditions a clinician set, illnesses.
     *
     * @return array{
     *     on: Day,
     *     age: int|null,
     *     reports: list<SorenessReport>,
     *     clearances: list<SorenessClearance>,
     *     school: School|null,
     *     around: DayContext,
     * }
     */
    private function known(Athlete $athlete, ?Squad $squad): array
    {
        return [
            'on' => $this->on,
            'age' => $athlete->ageOn($this->on),
            'reports' => $this->reports[$athlete->id] ?? [],
            'clearances' => $this->clearances[$athlete->id] ?? [],
            'school' => $squad?->school,
            'around' => new DayContext(
                $this->conditions[$athlete->id] ?? [],
                holdsOvernight: true,
                countsMissing: isset($this->missing[$athlete->id]),
                illnesses: $this->dated->illnesses($athlete->id),
            ),
        ];
    }

    /** @param  bool  $expected  of a day ahead: as if nothing were sore then; open referrals hold all the same */
    public function readiness(Athlete $athlete, ?Squad $squad, bool $expected = false): Readiness
    {
        $calm = $expected ? [
            new SorenessReport(
                at: Instant::of("{$this->on->iso()}T00:00:00Z"),
                moment: Moment::Morning,
                site: Site::None,
                side: null,
                kind: Kind::Muscle,
                score: 0,
            ),
        ] : [];

        $known = $this->known($athlete, $squad);

        return Readiness::on(...['reports' => [...$known['reports'], ...$calm]] + $known);
    }

    /**
     * @param  object{at: string, moment: string, site: string, side: string|null, kind: string, score: int|string}  $row
     *   a row or a model
     */
    public static function report(object $row): SorenessReport
    {
        return new SorenessReport(
            at: Instant::of($row->at),
            moment: Moment::from($row->moment),
            site: Site::from($row->site),
            side: $row->side,
            kind: Kind::from($row->kind),
            score: (int) $row->score,
        );
    }

    /**
     * When something was reported or said, by the instant: two offsets, or the hour that comes twice in autumn, sort wrongly as texts.
     *
     * @param  object{at: string}  $row  a row or a model
     */
    public static function instant(object $row): int
    {
        return Instant::of($row->at)->microseconds;
    }

    /** What a report made now would mean, for a device that may have no connection. */
    public function stopTable(Athlete $athlete, ?Squad $squad): StopTable
    {
        return StopTable::of(...$this->known($athlete, $squad));
    }

    /**
     * Since when work on these channels and this side has to stop; null when it does not have to.
     *
     * @param  list<Channel>  $loaded
     * @param  string  $side  `left` or `right`
     */
    public function stoppedSince(Athlete $athlete, ?Squad $squad, array $loaded, string $side): ?Instant
    {
        return Readiness::stoppedSince(...$this->known($athlete, $squad), loaded: $loaded, side: $side);
    }

    /** @return list<SorenessReport> of the day itself, in order of time */
    public function today(Athlete $athlete): array
    {
        $ofToday = fn (SorenessReport $report): bool => ! $this->on->isAfter($report->at->day);

        return SorenessReport::inOrder(array_values(array_filter($this->reports[$athlete->id] ?? [], $ofToday)));
    }

    /** The day a report counts on: one from a clock that is ahead is of today. */
    private function dayOf(SorenessReport $report): Day
    {
        return $report->at->day->isAfter($this->on) ? $this->on : $report->at->day;
    }

    public function school(Athlete $athlete, ?Squad $squad): School
    {
        return $squad->school ?? School::byDefaultAt($athlete->ageOn($this->on));
    }

    /**
     * Soreness of the channels and the side that a rung loads. Arm and hand count on the throwing side alone; the trunk
     * and the legs carry both.
     *
     * @param  list<Channel>  $channels
     * @return list<DaySoreness>
     */
    public function soreness(Athlete $athlete, array $channels): array
    {
        $side = $athlete->throwing_side->value;
        $soreness = [];
        foreach ($this->reports[$athlete->id] ?? [] as $report) {
            // A report about another place still says that this one was asked about and not named.
            $soreness[] = new DaySoreness($this->dayOf($report), $report->moment, $report->concerns($channels, $side) ? $report->score : 0);
        }
        if (isset($this->mornings[$athlete->id])) {
            $soreness[] = new DaySoreness(Day::of(min($this->mornings[$athlete->id], $this->on->iso())), Moment::Morning, 0);
        }

        return $soreness;
    }
}
