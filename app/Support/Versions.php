<?php

declare(strict_types=1);

namespace App\Support;

use DateTimeInterface;

/** Nobody overwrites what she has not seen: a form brings the version it was filled from. */
final class Versions
{
    /**
     * @param  int|null  $seen  null: the form does not know versions, so it is taken as having seen what is there
     * @param  array<string, mixed>  $theirs  what is there now, by what people call it
     * @param  array<string, mixed>  $mine
     *
     * @throws Conflict that names what differs, both ways
     */
    public static function compare(int $now, ?int $seen, string $what, array $theirs, array $mine): void
    {
        if ($seen === null || $seen === $now) {
            return;
        }
        $differences = [];
        foreach ($mine as $name => $value) {
            $there = $theirs[$name] ?? null;
            if (self::said($there) !== self::said($value)) {
                $differences[] = ['field' => $name, 'theirs' => self::said($there), 'yours' => self::said($value)];
            }
        }
        throw Conflict::at(
            '/version',
            "Somebody else changed $what meanwhile. Nothing of yours was saved yet: keep what is there now, or save "
                .'yours over it.',
            ['version' => $now, 'differences' => $differences],
        );
    }

    private static function said(mixed $value): string
    {
        return match (true) {
            $value === null => '',
            is_bool($value) => $value ? 'yes' : 'no',
            $value instanceof DateTimeInterface => $value->format('Y-m-d H:i'),
            is_float($value), is_numeric($value) && ! is_int($value) => (string) (float) $value,
            is_array($value) => implode(', ', array_map(self::said(...), $value)),
            default => is_scalar($value) ? (string) $value : (string) json_encode($value),
        };
    }
}
