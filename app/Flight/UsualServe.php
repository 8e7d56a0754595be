<?php

declare(strict_types=1);

namespace App\Flight;

use App\Athletes\AthleteDay;
use App\Flight\Answers\ServeAskedView;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryBall;
use Augendo\Core\Library\LibraryCourt;
use Augendo\Core\Library\Rung;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** How somebody serves, as far as the record knows; the rest is held to be as usual until it is said. */
final class UsualServe
{
    /** Where no height is on record. */
    private const HEIGHT_M = 1.7;

    private const GOAL = 0.6;

    private const SECOND = 0.85;

    private const WON = [0.65, 0.5];

    public function __construct(private readonly Library $library, private readonly FlightTables $tables) {}

    /**
     * @param  array<string, mixed>  $given  validated: what is not said is as usual
     *
     * @throws ValidationException when a court, a box or a serve is not in the library, or they do not go together
     */
    public function of(AthleteDay $day, array $given): ServeAskedView
    {
        $courts = $this->tables->courts($day->athlete->workspace_id);
        $skill = $given['skill'] ?? $this->own($day) ?? array_values($courts)[0]->skills[0];
        $fitting = array_filter($courts, fn (LibraryCourt $court): bool => in_array($skill, $court->skills, true));
        $court = isset($given['court']) ? $fitting[$given['court']] ?? null : (array_values($fitting)[0] ?? null);
        if ($court === null) {
            throw self::refused('court', 'There is no such court for this serve. Choose one of the list.');
        }
        $box = isset($given['box']) ? $court->boxes[$given['box']] ?? null : array_values($court->boxes)[0];
        if ($box === null) {
            throw self::refused('box', 'This court has no such box. Choose one of the list.');
        }
        $number = fn (string $name, float $usual): float => isset($given[$name]) ? (float) $given[$name] : $usual;
        $scored = ScoredServes::of($day->athlete->id, $court, $box, $day->on);
        $count = fn (string $name): int => (int) ($given[$name] ?? $scored->counts[$name]);
        $measured = ServeSpeed::of($day, $skill);
        $across = $number('across_m', $court->stands[0]['across_m']);
        if ($number('contact_m', 0.0) >= $court->netM) {
            throw self::refused('contact_m', 'A serve is hit on this side of the net.');
        }

        return new ServeAskedView(
            skill: $skill,
            court: $court->id,
            box: $box->id,
            net_height_m: $number('net_height_m', $court->netWhereItCrosses($number('contact_m', 0.0), $across, $box)),
            net_hangs: $court->sag !== null && ! isset($given['net_height_m']),
            contact_m: $number('contact_m', 0.0),
            across_m: $across,
            height_m: $number('height_m', round($court->reachShare * $this->heightM($day), 2)),
            speed_ms: $number('speed_ms', $measured->speedMs ?? $court->usualSpeedMs),
            speed_from: isset($given['speed_ms']) ? 'said' : $measured->from ?? 'usual',
            speed_serves: isset($given['speed_ms']) ? 0 : $measured->serves ?? 0,
            topspin_rpm: $number('topspin_rpm', 0.0),
            sidespin_rpm: $number('sidespin_rpm', 0.0),
            in: $count('in'),
            net: $count('net'),
            long: $count('long'),
            right: $count('right'),
            left: $count('left'),
            goal: $number('goal', self::GOAL),
            second: $number('second', $scored->second() ?? self::SECOND),
            won_first: $number('won_first', self::WON[0]),
            won_second: $number('won_second', self::WON[1]),
            scored_since: $scored->since,
        );
    }

    /** The ball of the athlete's own doses; where none flies, any that is served there. */
    public function ball(AthleteDay $day, string $skill): LibraryBall
    {
        return $this->ballOf($this->ownRungs($day), $day, $skill)
            ?? $this->ballOf($this->everyRung(), $day, $skill)
            ?? throw self::refused('skill', 'No ball of the library is served so.');
    }

    /** @param  iterable<Rung>  $rungs */
    private function ballOf(iterable $rungs, AthleteDay $day, string $skill): ?LibraryBall
    {
        $balls = $this->tables->balls($day->athlete->workspace_id);
        foreach ($rungs as $rung) {
            foreach ($rung->blocks as $dose) {
                $object = $dose->forAthlete($day->load->profile, $day->on)->object;
                $ball = $dose->skill->id === $skill ? $balls[$object->id] ?? null : null;
                if ($ball !== null) {
                    return $ball;
                }
            }
        }

        return null;
    }

    /** @return iterable<Rung> of the library, read one ladder after the other */
    private function everyRung(): iterable
    {
        foreach ($this->library->ladderIds() as $id) {
            yield from $this->library->ladder($id)->rungs;
        }
    }

    /** @return list<Rung> */
    private function ownRungs(AthleteDay $day): array
    {
        return array_map($day->ladders->rung(...), array_values($day->ladders->placementsOf($day->athlete)));
    }

    /** @return string|null a serve of a rung the athlete stands on, in the order of their ladders */
    public function own(AthleteDay $day): ?string
    {
        $courts = $this->library->courts();
        $served = array_merge(...array_values(array_map(fn (LibraryCourt $court): array => $court->skills, $courts)));
        foreach ($this->ownRungs($day) as $rung) {
            foreach ($rung->blocks as $dose) {
                if (in_array($dose->skill->id, $served, true)) {
                    return $dose->skill->id;
                }
            }
        }

        return null;
    }

    private function heightM(AthleteDay $day): float
    {
        $cm = DB::table('heights')
            ->where('athlete_id', $day->athlete->id)
            ->where('measured_on', '<=', $day->on->iso())
            ->whereNull('withdrawn_at')
            ->orderByDesc('measured_on')
            ->value('height_cm');

        return $cm === null ? self::HEIGHT_M : (float) $cm / 100;
    }

    private static function refused(string $field, string $message): ValidationException
    {
        return ValidationException::withMessages([$field => [$message]]);
    }
}
