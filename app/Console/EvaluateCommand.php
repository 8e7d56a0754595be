<?php

declare(strict_types=1);

namespace App\Console;

use Augendo\Core\Cases\Evaluator;
use Illuminate\Console\Command;

final class EvaluateCommand extends Command
{
    protected $signature = 'augendo:evaluate {file? : cases as NDJSON; standard input when left out}';

    protected $description = 'Answer cases, one JSON object a line, with the core alone';

    public function handle(): int
    {
        $file = $this->argument('file');
        $input = @fopen($file ?? 'php://stdin', 'r');
        if ($input === false) {
            fwrite(STDERR, "{$file} is not there or cannot be read.\n");

            return 2;
        }
        $failed = false;
        while (($line = fgets($input)) !== false) {
            if (trim($line) === '') {
                continue;
            }
            $answer = Evaluator::answer($line);
            $failed = $failed || isset($answer['error']);
            // Written straight out, not through the console, which would read angle brackets as styling.
            fwrite(
                STDOUT,
                json_encode(
                    $answer,
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
                )."\n",
            );
        }
        fclose($input);

        return $failed ? 1 : 0;
    }
}
