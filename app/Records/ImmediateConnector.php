<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Database\Connectors\SQLiteConnector;

final class ImmediateConnector extends SQLiteConnector
{
    /**
     * @param  string  $dsn
     * @param  string  $username
     * @param  string  $password
     * @param  array<int, mixed>  $options
     */
    protected function createPdoConnection($dsn, #[\SensitiveParameter] $username, #[\SensitiveParameter] $password, $options): ImmediatePdo
    {
        return new ImmediatePdo($dsn, $username, $password, $options);
    }
}
