<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

use Cathedra\Core\CathedraException;

/** Paper or a demand that cannot be: names the place (a JSON pointer where the input is JSON) and the remedy. */
final class BadPaper extends CathedraException
{
    public function __construct(public readonly string $pointer, string $reason)
    {
        parent::__construct($pointer === '' ? $reason : "$pointer: $reason");
    }
}
