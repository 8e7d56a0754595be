<?php

declare(strict_types=1);

namespace App\Console;

use App\People\Links;
use App\People\Role;
use App\People\User;
use App\People\Workspace;
use DateTimeZone;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

final class ClubCommand extends Command
{
    protected $signature = 'augendo:club {name : of the club} {coach : name of its first coach} {email : to sign in with}
        {--timezone=Europe/Lisbon : where the club trains}';

    protected $description = 'Start a club of your own, and print the link its first coach sets a password with';

    public function handle(Links $links): int
    {
        [$name, $coach, $email, $timezone] = [
            $this->argument('name'),
            $this->argument('coach'),
            $this->argument('email'),
            $this->option('timezone'),
        ];
        $wrong = match (true) {
            filter_var($email, FILTER_VALIDATE_EMAIL) === false => "“{$email}” is not an e-mail address.",
            User::query()->where('email', $email)->exists() => "Somebody signs in with {$email} already.",
            ! in_array(
                $timezone,
                DateTimeZone::listIdentifiers(),
                true,
            ) => "“{$timezone}” is not a time zone; write it like Europe/Lisbon.",
            default => null,
        };
        if ($wrong !== null) {
            $this->error("{$wrong} Nothing was made.");

            return self::FAILURE;
        }
        $token = DB::transaction(function () use ($links, $name, $coach, $email, $timezone): string {
            $workspace = Workspace::query()->create(['name' => $name, 'timezone' => $timezone]);
            $user = User::query()->create([
                'workspace_id' => $workspace->id,
                'name' => $coach,
                'email' => $email,
                'password' => Str::random(40),
                'role' => Role::Coach,
            ]);
            $workspace->update(['head_id' => $user->id]);

            return $links->newPassword($user, $user);
        });
        $this->line("{$name} is there. Within two hours, open this to set the password of {$coach}:");
        $this->line('  '.config('app.url')."/join#{$token}");

        return self::SUCCESS;
    }
}
