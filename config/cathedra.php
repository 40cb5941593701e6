<?php

declare(strict_types=1);

return [
    // Shows the demo account on the sign-in page; bin/start sets it, an installation of one's own leaves it off.
    'demo' => (bool) env('CATHEDRA_DEMO', false),
    // Hosts that may be asked for: that of APP_URL, this machine, and those named with commas between.
    'hosts' => array_values(array_filter([
        strtolower((string) parse_url((string) env('APP_URL', ''), PHP_URL_HOST)),
        '127.0.0.1',
        'localhost',
        ...array_map(trim(...), explode(',', strtolower((string) env('CATHEDRA_HOSTS', '')))),
    ])),
    // Addresses whose X-Forwarded headers are believed, with commas between; none unless named.
    'proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('CATHEDRA_PROXIES', ''))))),
    // Requests that take long and may be worked out at once (App\Support\HeavyLane); 0: any number. bin/start leaves
    // three of its processes free for lessons that are taught.
    'lanes' => (int) env('CATHEDRA_LANES', 0),
    'library' => base_path('library'),
];
