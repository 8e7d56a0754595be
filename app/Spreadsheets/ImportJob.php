<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Foundation\Queue\Queueable;

/** One step of a spreadsheet, done beside the requests. Begun again after it died, it starts from the beginning of the step. */
abstract class ImportJob implements ShouldQueue
{
    use Dispatchable, Queueable;

    public int $tries = 3;

    /** Less than after what time the queue takes a job for lost. */
    public int $timeout = 80;

    public function __construct(public string $importId) {}

    /** In which state there is something to do. */
    abstract protected function begins(): ImportState;

    /** Where it stays when it comes no further. */
    abstract protected function stopsAt(): ImportState;

    /** @throws ImportStopped */
    abstract protected function work(Import $import): void;

    public function handle(): void
    {
        $import = Import::query()->with('maker.workspace')->find($this->importId);
        if ($import === null || $import->state !== $this->begins()) {
            return;
        }
        try {
            $this->work($import);
        } catch (ImportStopped $stopped) {
            $this->stop($stopped->fault);
        }
    }

    public function failed(): void
    {
        $this->stop(ImportFault::Broke);
    }

    private function stop(ImportFault $fault): void
    {
        Import::query()->whereKey($this->importId)->update(['state' => $this->stopsAt()->value, 'fault' => $fault->value]);
    }
}
