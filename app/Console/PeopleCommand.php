<?php

declare(strict_types=1);

namespace App\Console;

use App\People\User;
use Illuminate\Console\Command;

final class PeopleCommand extends Command
{
    protected $signature = 'augendo:people {--count : only how many}';

    protected $description = 'List who can sign in';

    public function handle(): int
    {
        if ($this->option('count')) {
            $this->line((string) User::query()->count());

            return self::SUCCESS;
        }
        $this->table(
            ['Name', 'Role', 'E-mail'],
            User::query()->orderBy('name')->get()->map(fn (User $user): array => [$user->name, $user->role->value, $user->email]),
        );

        return self::SUCCESS;
    }
}
