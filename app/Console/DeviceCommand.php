<?php

declare(strict_types=1);

namespace App\Console;

use App\Devices\DeviceKind;
use App\Devices\SimulatedDevice;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Http;

/** A stand-in for a device: it sends what a real one would, over the same door. */
final class DeviceCommand extends Command
{
    protected $signature = 'augendo:device
        {kind : speed-gun, wrist-counter, landing-pad or feeder}
        {token : shown when the device was added}
        {--url=http://localhost:8000 : where Augendo runs}
        {--count=20 : how many repetitions it is there for}
        {--every=8 : seconds between them, in the mean}
        {--missed=0.05 : share it misses}
        {--false=0.05 : share of false counts}
        {--clock=0 : seconds its clock is behind}
        {--at-once : all of it as if it had happened just now, instead of waiting}';

    protected $description = 'A simulated speed gun, wrist counter, landing pad or feeder that sends readings';

    public function handle(): int
    {
        $kind = DeviceKind::tryFrom(strtr((string) $this->argument('kind'), '-', '_'));
        if ($kind === null) {
            $this->error('There is no such device. Choose speed-gun, wrist-counter, landing-pad or feeder.');

            return self::INVALID;
        }
        $device = new SimulatedDevice(
            $kind, (float) $this->option('missed'), (float) $this->option('false'), (float) $this->option('clock'),
        );
        $every = (float) $this->option('every');
        $count = (int) $this->option('count');
        $sent = 0;
        $at = $this->option('at-once') ? Carbon::now()->subMilliseconds((int) (1000 * $every * $count)) : Carbon::now();
        for ($i = 0; $i < $count; $i++) {
            if (! $this->option('at-once')) {
                usleep((int) (1_000_000 * $every));
                $at = Carbon::now();
            }
            $readings = $device->repetition($at);
            $at = $at->copy()->addMilliseconds((int) (1000 * $every));
            $answer = Http::withToken((string) $this->argument('token'))->acceptJson()->post("{$this->option('url')}/api/readings", [
                'device_clock' => $device->clock(Carbon::now()), 'battery' => $device->battery(), 'readings' => $readings,
            ]);
            if ($answer->failed()) {
                $this->error((string) ($answer->json('detail') ?? "The server answered {$answer->status()}."));

                return self::FAILURE;
            }
            $sent += $answer->json('taken');
        }
        $this->line("{$sent} readings sent.");

        return self::SUCCESS;
    }
}
