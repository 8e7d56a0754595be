<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

/**
 * What would bring a serve to a goal: each thing alone, and the cheapest mixture. The spread of the angles is held to stay what it is, and
 * the net to be cleared by the same angle as now, where the aim is not what is changed.
 */
final readonly class ServeAdvice
{
    private const PACES = [1.0, 0.97, 0.94, 0.91, 0.88, 0.85, 0.82, 0.79, 0.76, 0.73, 0.7];

    private const SPINS = [0.0, 200.0, 400.0, 600.0, 800.0, 1000.0];

    private const HEIGHTS = [0.0, 0.05, 0.1, 0.15, 0.2];

    private const AIMS = [0.0, 0.5, 1.0];

    /** No serve is advised with more. */
    public const MOST_RPM = 3000.0;

    private float $above;

    /** What is worked out quickly is put right by as much as it is wrong now. */
    private float $right;

    /**
     * @param  float  $share  what is in now, as ServeLook::share has it
     * @param  bool  $maySpin  whether more spin may be advised
     * @param  bool  $mayReach  whether a higher contact may
     */
    public function __construct(
        private ServeLook $now,
        private Scatter $scatter,
        float $share,
        private bool $maySpin,
        private bool $mayReach,
    ) {
        $this->above = $now->above($scatter);
        $roughly = $now->roughly($scatter);
        $this->right = $roughly > 0.0 ? $share / $roughly : 1.0;
    }

    /** @return list<ServeChange> as pace comes off, nothing else changed */
    public function withLessPace(): array
    {
        return array_map(fn (float $pace): ServeChange => $this->changed($pace), [1.0, 0.95, 0.9, 0.85, 0.8]);
    }

    /**
     * The least of each that reaches the goal, or the one that comes nearest; null: not for this athlete now.
     *
     * @return array{pace: ServeChange, spin: ServeChange|null, height: ServeChange|null, aim: ServeChange}
     */
    public function alone(float $goal): array
    {
        return [
            'aim' => $this->first(
                $goal, array_map(fn (float $aimed): ServeChange => $this->changed(aimed: $aimed), [0.25, 0.5, 0.75, 1.0]),
            ),
            'pace' => $this->first($goal, array_map(fn (float $pace): ServeChange => $this->changed($pace), array_slice(self::PACES, 1))),
            'spin' => $this->maySpin
                ? $this->first($goal, array_map(fn (float $rpm): ServeChange => $this->changed(topspinRpm: $rpm), $this->spins()))
                : null,
            'height' => $this->mayReach
                ? $this->first(
                    $goal, array_map(fn (float $metres): ServeChange => $this->changed(higherM: $metres), array_slice(self::HEIGHTS, 1)),
                )
                : null,
        ];
    }

    /**
     * @param  array<string, ServeChange|null>  $alone  see alone()
     * @return ServeChange|null the cheapest that reaches the goal, a mixture or one thing alone; null: none of these does
     */
    public function cheapest(float $goal, array $alone): ?ServeChange
    {
        $all = array_values(array_filter($alone));
        foreach ([1.0, 0.94, 0.88, 0.82] as $pace) {
            foreach ($this->maySpin ? [0.0, 300.0, 600.0] : [0.0] as $rpm) {
                foreach ($this->mayReach ? [0.0, 0.05, 0.1] : [0.0] as $higher) {
                    if ($this->now->serve->topspinRpm + $rpm > self::MOST_RPM) {
                        continue;
                    }
                    $look = $this->look($pace, $rpm, $higher);
                    foreach (self::AIMS as $aimed) {
                        $all[] = $this->told($look, $pace, $rpm, $higher, $aimed);
                    }
                }
            }
        }
        $enough = array_filter($all, fn (ServeChange $each): bool => $each->share >= $goal);
        usort($enough, fn (ServeChange $a, ServeChange $b): int => $a->price() <=> $b->price() ?: $b->share <=> $a->share);

        return $enough[0] ?? null;
    }

    /** @return non-empty-list<float> */
    private function spins(): array
    {
        $more = array_filter(
            self::SPINS, fn (float $rpm): bool => $rpm > 0.0 && $this->now->serve->topspinRpm + $rpm <= self::MOST_RPM,
        );

        return array_values($more) ?: [0.0];
    }

    private function changed(float $pace = 1.0, float $topspinRpm = 0.0, float $higherM = 0.0, float $aimed = 0.0): ServeChange
    {
        return $this->told($this->look($pace, $topspinRpm, $higherM), $pace, $topspinRpm, $higherM, $aimed);
    }

    private function look(float $pace, float $topspinRpm, float $higherM): ServeLook
    {
        $serve = $this->now->serve;

        return $pace === 1.0 && $topspinRpm === 0.0 && $higherM === 0.0 ? $this->now : ServeLook::at($serve->with([
            'speedMs' => $pace * $serve->speedMs,
            'topspinRpm' => $serve->topspinRpm + $topspinRpm,
            'heightM' => $serve->heightM + $higherM,
        ]));
    }

    private function told(ServeLook $look, float $pace, float $topspinRpm, float $higherM, float $aimed): ServeChange
    {
        $share = $look->roughly($look->scatter($this->scatter, $this->above, $aimed));

        return new ServeChange($pace, $topspinRpm, $higherM, $aimed, min(1.0, $this->right * $share));
    }

    /** @param  non-empty-list<ServeChange>  $changes  from little to much */
    private function first(float $goal, array $changes): ServeChange
    {
        $best = $changes[0];
        foreach ($changes as $each) {
            if ($each->share >= $goal) {
                return $each;
            }
            $best = $each->share > $best->share ? $each : $best;
        }

        return $best;
    }
}
