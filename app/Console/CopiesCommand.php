<?php

declare(strict_types=1);

namespace App\Console;

use App\Records\Copies;
use Illuminate\Console\Command;

final class CopiesCommand extends Command
{
    protected $signature = 'augendo:copies';

    protected $description = 'List every copy of the record with its date; deleting one is a person’s act';

    public function handle(): int
    {
        $copies = Copies::all();
        if ($copies === []) {
            $this->line('No copies in '.Copies::folder().'.');

            return self::SUCCESS;
        }
        foreach ($copies as [$file, $made, $bytes]) {
            $this->line($made->format('Y-m-d H:i').'  '.str_pad(number_format($bytes), 14, ' ', STR_PAD_LEFT)." bytes  {$file}");
        }
        $this->line(
            'Augendo deletes none of them. A copy made before somebody was erased still holds what it held: delete it '
                .'when it is not needed any more.',
        );

        return self::SUCCESS;
    }
}
