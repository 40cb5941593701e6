<?php

declare(strict_types=1);

// Only what differs from the framework's defaults.
return [
    'name' => 'Cathedra',
    'timezone' => env('APP_TIMEZONE', 'UTC'),
    'locale' => 'en',
];
