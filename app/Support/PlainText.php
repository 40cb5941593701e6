<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A name as a person would write it: no markup, no control characters. */
final class PlainText implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || ! mb_check_encoding($value, 'UTF-8')) {
            $fail('This must be plain text.');
        } elseif (preg_match('/[<>\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', $value) === 1) {
            $fail('Names are plain text; leave out < and > and anything that is not a letter, digit or sign.');
        }
    }
}
