<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Athletes\Squad;
use App\People\Role;
use App\People\User;
use App\People\Workspace;
use Database\Factories\SquadFactory;
use Database\Factories\UserFactory;
use Database\Factories\WorkspaceFactory;

/** A club with one squad and one person of each role. */
final readonly class Club
{
    /** The clinician was met by the head coach so many days ago. */
    private const CLINICIAN_CONFIRMED_DAYS = 70;

    /** @param  array<string, User>  $people  by role */
    private function __construct(public Workspace $workspace, public Squad $squad, public array $people) {}

    /**
     * @param  array<string, string>  $people  names by role; the role is also what they sign in as, before the @
     * @param  string  $domain  of the addresses
     */
    public static function found(string $name, string $squad, array $people, string $domain, string $password): self
    {
        $workspace = WorkspaceFactory::new()->create(['name' => $name]);
        $accounts = [];
        foreach ($people as $role => $person) {
            $account = UserFactory::new()->in($workspace, Role::from($role));
            $accounts[$role] = ($role === Role::Clinician->value
                ? $account->confirmedBy($accounts[Role::Coach->value], self::CLINICIAN_CONFIRMED_DAYS)
                : $account
            )->create(['name' => $person, 'email' => "{$role}@{$domain}", 'password' => $password]);
        }
        $workspace->update(['head_id' => $accounts[Role::Coach->value]->id]);
        $squad = SquadFactory::new()->in($workspace)->create(['name' => $squad]);
        $accounts[Role::Assistant->value]->squads()->attach($squad->id);

        return new self($workspace, $squad, $accounts);
    }

    public function person(Role $role): User
    {
        return $this->people[$role->value];
    }
}
