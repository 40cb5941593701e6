<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Support\Gone;

/** An invitation that was used or withdrawn, is too old, or never was: who holds the link is told no more. */
final class InvitationOver extends Gone
{
    public function __construct()
    {
        parent::__construct(
            'This invitation is no longer open: it was used or withdrawn, or is older than '.Invitations::DAYS
                .' days. Ask for another.',
            '/token',
        );
    }
}
