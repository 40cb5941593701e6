<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

use Cathedra\Core\CathedraException;

/** An event that cannot be, with the field that is wrong. */
final class BadEvent extends CathedraException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function at(string $field, string $message): self
    {
        return new self($field, $message);
    }
}
