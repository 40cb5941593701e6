<?php

declare(strict_types=1);

return [
    // Shows the demo account on the sign-in page; bin/start sets it, an installation of one's own leaves it off.
    'demo' => (bool) env('CATHEDRA_DEMO', false),
    'library' => base_path('library'),
];
