<?php

declare(strict_types=1);

namespace Cathedra\Core;

/**
 * A fact about the data that a lead can act on: the message names the place and the remedy in plain words.
 * Programming mistakes are \LogicException instead and never reach a lead.
 */
abstract class CathedraException extends \DomainException
{
}
