<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Sequence\Landmark\Setting;

/** A fold of several creases at once, as a step names it. */
interface Movement
{
    /**
     * @param  string  $label  kept on the creases that are made
     *
     * @throws \Cathedra\Core\Folding\CannotFold when it cannot be done here
     */
    public function make(Setting $setting, string $label): Made;
}
