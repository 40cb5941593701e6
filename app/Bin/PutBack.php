<?php

declare(strict_types=1);

namespace App\Bin;

use App\Models\Learner;
use DateTimeInterface;

/** A learner was put back from the bin; whoever keeps something of learners makes it whole, in the same transaction. */
final readonly class PutBack
{
    public function __construct(public Learner $learner, public DateTimeInterface $since)
    {
    }
}
