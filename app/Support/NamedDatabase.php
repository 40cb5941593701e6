<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Connectors\MariaDbConnector;
use PDO;
use RuntimeException;

/** Connects to the database that was named, and to none when its port was not: a guess may be somebody else's data. */
final class NamedDatabase extends MariaDbConnector
{
    /**
     * @param  array<string, mixed>  $config
     *
     * @throws RuntimeException when no port is set
     */
    public function connect(array $config): PDO
    {
        if (in_array($config['port'] ?? '', ['', 0, '0'], true) && ($config['unix_socket'] ?? '') === '') {
            throw new RuntimeException('No database is named, so none is used: set CATHEDRA_DB_PORT in .env (bin/start '
                .'writes one), or start with bin/start.');
        }

        return parent::connect($config);
    }
}
