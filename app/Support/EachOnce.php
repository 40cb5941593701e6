<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * An entry of a list that comes once in it, capitals or not. Where the framework's own rule breaks on an entry that is
 * itself a list, this one leaves that to the rule that wants text or a number.
 */
final class EachOnce implements DataAwareRule, ValidationRule
{
    /** @var array<array-key, mixed> */
    private array $data = [];

    public function __construct(private readonly string $said)
    {
    }

    /** @param  array<array-key, mixed>  $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $own = self::plain($value);
        $all = data_get($this->data, (string) preg_replace('/(?<=\.)\d+(?=\.|$)/', '*', $attribute));
        $same = array_filter(
            is_array($all) ? $all : [],
            static fn (mixed $other): bool => $own !== null && self::plain($other) === $own,
        );
        if (count($same) > 1) {
            $fail($this->said);
        }
    }

    private static function plain(mixed $value): ?string
    {
        return is_string($value) || is_int($value) ? mb_strtolower((string) $value) : null;
    }
}
