<?php

declare(strict_types=1);

// Only what differs from the framework's defaults: bin/start, bin/test and artisan read the same port.
return [
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            // None is guessed (App\Support\NamedDatabase): a copy without a port of its own would write into another's.
            'port' => env('CATHEDRA_DB_PORT', env('DB_PORT', '')),
            'database' => env('DB_DATABASE', 'cathedra'),
            'username' => env('DB_USERNAME', 'cathedra'),
            'password' => env('DB_PASSWORD', ''),
            'prefix' => '',
            'engine' => null,
            'use_db_after_connecting' => false, // the address of the connection names it already
            // With CATHEDRA_DB_KEEP each worker keeps its connection; PHP rolls back what a request left open. What the
            // framework would set anew for every request (charset, strict) is therefore set once, on connecting.
            'options' => [
                PDO::ATTR_TIMEOUT => 5,
                PDO::ATTR_PERSISTENT => (bool) env('CATHEDRA_DB_KEEP', false),
                PDO::MYSQL_ATTR_INIT_COMMAND => "SET NAMES 'utf8mb4' COLLATE 'utf8mb4_unicode_ci', SESSION sql_mode='"
                    .'ONLY_FULL_GROUP_BY,STRICT_TRANS_TABLES,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,'
                    ."NO_ENGINE_SUBSTITUTION'",
            ],
        ],
    ],
];
