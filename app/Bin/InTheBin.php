<?php

declare(strict_types=1);

namespace App\Bin;

use App\Support\Gone;

/** What was asked for lies in the bin: answered with 410, so that deeds for it wait instead of being lost. */
final class InTheBin extends Gone
{
    public function __construct()
    {
        parent::__construct('This lies in the bin. Put it back from there, and everything is as it was.', '/lesson');
    }
}
