<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Format;

use Cathedra\Core\Sequence\BadSequence;

/** Typed, strict access to one mapping of the parsed YAML: unknown keys and wrong types are errors with their line. */
final class Reader
{
    /** @var array<string, true> */
    private array $asked = [];

    /** @var array<string, int> */
    private array $ids = [];

    /** @var list<string> */
    private array $elsewhere = [];

    /** @param  array<array-key, mixed>  $map */
    private function __construct(
        private readonly array $map,
        private readonly string $path,
        private readonly LineIndex $lines,
        public readonly ?int $step,
    ) {
    }

    /** @throws BadSequence when it is no mapping */
    public static function over(mixed $value, string $path, LineIndex $lines, ?int $step = null): self
    {
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            throw new BadSequence(
                $lines->line($path),
                $step,
                ($path === '' ? 'The file' : "\"$path\"").' must be a mapping of keys to values.',
            );
        }

        return new self($value, $path, $lines, $step);
    }

    /**
     * The same with its texts of landmarks rewritten; what is said, and by_eye itself, stays as it is.
     *
     * @param  callable(string): string  $rewrite
     * @return self|null null when nothing changes
     */
    public function rewritten(callable $rewrite): ?self
    {
        $map = $this->map;
        array_walk_recursive($map, static function (mixed &$value) use ($rewrite): void {
            $value = is_string($value) ? $rewrite($value) : $value;
        });
        foreach (['note', 'like', 'caution', 'by_eye'] as $kept) {
            if (array_key_exists($kept, $this->map)) {
                $map[$kept] = $this->map[$kept];
            }
        }
        if ($map === $this->map) {
            return null;
        }
        $again = new self($map, $this->path, $this->lines, $this->step);
        [$again->asked, $again->ids] = [$this->asked, $this->ids];

        return $again;
    }

    /**
     * What depends on choices made before: a mapping of a choice to one of its options, or to a list of them.
     *
     * @return array<string, list<mixed>> options by choice
     */
    public function conditions(mixed $given, string $key): array
    {
        if (! is_array($given) || $given === [] || array_is_list($given)) {
            throw $this->bad($key, '"if" maps choices made before to one of their options, or to a list of them.');
        }

        return array_map(static fn (mixed $wanted): array => array_values((array) $wanted), $given);
    }

    public function line(?string $key = null): int
    {
        return $this->lines->line($this->at($key));
    }

    public function has(string $key): bool
    {
        $this->asked[$key] = true;

        return array_key_exists($key, $this->map);
    }

    public function value(string $key): mixed
    {
        $this->asked[$key] = true;

        return $this->map[$key] ?? null;
    }

    /** @throws BadSequence when missing, not text, or longer than $max characters */
    public function text(string $key, ?string $default = null, int $max = 200): string
    {
        $value = $this->value($key) ?? $default;
        if (is_int($value) || is_float($value)) {
            $value = (string) $value;
        }
        if (! is_string($value) || trim($value) === '') {
            throw $this->bad($key, $this->has($key) ? "\"$key\" must be text." : "\"$key\" is missing.");
        }
        if (mb_strlen($value) > $max) {
            throw $this->bad($key, "\"$key\" has ".mb_strlen($value)." characters; at most $max are allowed.");
        }

        return trim($value);
    }

    public function optionalText(string $key, int $max = 200): ?string
    {
        return $this->has($key) ? $this->text($key, null, $max) : null;
    }

    /** @throws BadSequence when missing, not whole, or outside the bounds */
    public function whole(string $key, int $min, int $max, ?int $default = null): int
    {
        $value = $this->value($key) ?? $default;
        if (! is_int($value) || $value < $min || $value > $max) {
            throw $this->bad($key, "\"$key\" must be a whole number from $min to $max.");
        }

        return $value;
    }

    /**
     * @param  list<string>  $allowed
     *
     * @throws BadSequence when it is none of them
     */
    public function oneOf(string $key, array $allowed, ?string $default = null): string
    {
        $value = $this->value($key) ?? $default;
        if (! is_string($value) || ! in_array($value, $allowed, true)) {
            throw $this->bad($key, "\"$key\" must be one of: ".implode(', ', $allowed).'.');
        }

        return $value;
    }

    /**
     * @param  list<string>  $allowed
     * @return list<string> none by default
     *
     * @throws BadSequence when one is not allowed
     */
    public function someOf(string $key, array $allowed): array
    {
        $list = $this->texts($key);
        if (array_diff($list, $allowed) !== [] || count(array_unique($list)) !== count($list)) {
            throw $this->bad($key, "\"$key\" must be a list, each once, of: ".implode(', ', $allowed).'.');
        }

        return $list;
    }

    /**
     * @param  array<string, int>  $ids  numbers of the steps that may be named by an id
     * @param  list<string>  $elsewhere  ids of steps that only other ways have
     */
    public function knowSteps(array $ids, array $elsewhere = []): void
    {
        $this->ids = $ids;
        $this->elsewhere = $elsewhere;
    }

    /**
     * The same as steps(), where those that only other ways have are left out.
     *
     * @return list<int>
     *
     * @throws BadSequence when it is not a list of steps from 1 to $max
     */
    public function stepsThere(string $key, int $max): array
    {
        $there = array_filter($this->stepList($key), fn (mixed $entry): bool => ! is_string($entry)
            || isset($this->ids[$entry])
            || ! in_array($entry, $this->elsewhere, true));

        return array_values(array_map(fn (mixed $entry): int => $this->number($key, $entry, $max), $there));
    }

    /**
     * Steps by number or id.
     *
     * @return list<int>
     *
     * @throws BadSequence when it is not a list of steps from 1 to $max
     */
    public function steps(string $key, int $max): array
    {
        return array_map(fn (mixed $entry): int => $this->number($key, $entry, $max), $this->stepList($key));
    }

    /** @return list<mixed> */
    private function stepList(string $key): array
    {
        $list = $this->value($key) ?? [];
        if (! is_array($list) || ! array_is_list($list)) {
            throw $this->bad($key, "\"$key\" must be a list of steps.");
        }

        return $list;
    }

    /** @throws BadSequence when there is no such step */
    public function step(string $key, int $max, int $default): int
    {
        return $this->number($key, $this->value($key) ?? $default, $max);
    }

    private function number(string $key, mixed $entry, int $max): int
    {
        $number = is_string($entry) ? $this->ids[$entry] ?? null : $entry;
        if (! is_int($number) || $number < 1 || $number > $max) {
            throw $this->bad(
                $key,
                "\"$key\" must name steps by a number from 1 to $max or by the id of an earlier step.",
            );
        }

        return $number;
    }

    /**
     * @return list<string>
     *
     * @throws BadSequence when it is not a list of short texts
     */
    public function texts(string $key, int $max = 300): array
    {
        $list = $this->value($key) ?? [];
        if (! is_array($list) || ! array_is_list($list)) {
            throw $this->bad($key, "\"$key\" must be a list of texts.");
        }
        $texts = [];
        foreach ($list as $entry) {
            if (! is_string($entry) || mb_strlen($entry) > $max) {
                throw $this->bad($key, "\"$key\" must hold texts of at most $max characters.");
            }
            $texts[] = $entry;
        }

        return $texts;
    }

    /** @throws BadSequence naming the first key that nobody asked for */
    public function nothingElse(): void
    {
        foreach (array_keys($this->map) as $key) {
            if (! isset($this->asked[(string) $key])) {
                throw $this->bad(
                    (string) $key,
                    "\"$key\" is not a key that belongs here; known here: ".
                        implode(', ', array_keys($this->asked)).
                        '.',
                );
            }
        }
    }

    public function bad(?string $key, string $reason): BadSequence
    {
        return new BadSequence($this->line($key), $this->step, $reason);
    }

    private function at(?string $key): string
    {
        return implode('.', array_filter([$this->path, $key], static fn (?string $p): bool => ($p ?? '') !== ''));
    }
}
