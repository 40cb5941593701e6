<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** Reads a file of rules strictly: what is missing or cannot be meant is named with its place in the file. */
final readonly class RuleFile
{
    /** @param  array<string, mixed>  $data */
    public function __construct(private string $name, private array $data)
    {
    }

    /**
     * @param  string  $path  keys from the top, joined by dots
     *
     * @throws BadRules
     */
    public function number(string $path, float $least, float $most): float
    {
        return $this->checked($this->at($path), $path, $least, $most);
    }

    /**
     * @template K of array-key
     *
     * @param  list<K>  $keys  that must be there; further ones may
     * @return array<K, float>
     *
     * @throws BadRules
     */
    public function numbers(string $path, array $keys, float $least, float $most): array
    {
        $numbers = [];
        foreach ($this->listed($path, $keys) as $key => $value) {
            if ($key !== 'source') {
                $numbers[$key] = $this->checked($value, "$path.$key", $least, $most);
            }
        }

        /** @var array<K, float> */
        return $numbers;
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, string>
     *
     * @throws BadRules
     */
    public function sentences(string $path, array $keys): array
    {
        $texts = [];
        foreach ($this->listed($path, $keys) as $key => $value) {
            $texts[(string) $key] = is_string($value) && trim($value) !== ''
                ? $value
                : throw new BadRules("{$this->name}: $path.$key is a sentence.");
        }

        return $texts;
    }

    /** @throws BadRules */
    public function sentence(string $path): string
    {
        $text = $this->at($path);

        return is_string($text) && trim($text) !== ''
            ? $text
            : throw new BadRules("{$this->name}: $path is a sentence.");
    }

    /**
     * The keys of a list, in the order of the file.
     *
     * @return list<string>
     *
     * @throws BadRules
     */
    public function keys(string $path): array
    {
        return array_map(strval(...), array_keys($this->listed($path, [])));
    }

    public function has(string $path): bool
    {
        try {
            $this->at($path);

            return true;
        } catch (BadRules) {
            return false;
        }
    }

    /**
     * @return list<string>
     *
     * @throws BadRules
     */
    public function texts(string $path): array
    {
        return array_values($this->sentences($path, []));
    }

    /**
     * @param  list<array-key>  $keys
     * @return array<array-key, mixed>
     */
    private function listed(string $path, array $keys): array
    {
        $list = $this->at($path);
        if (! is_array($list)) {
            throw new BadRules("{$this->name}: $path is a list.");
        }
        foreach ($keys as $key) {
            if (! array_key_exists($key, $list)) {
                throw new BadRules("{$this->name}: $path lacks \"$key\".");
            }
        }

        return $list;
    }

    private function at(string $path): mixed
    {
        $value = $this->data;
        foreach (explode('.', $path) as $key) {
            if (! is_array($value) || ! array_key_exists($key, $value)) {
                throw new BadRules("{$this->name}: $path is missing.");
            }
            $value = $value[$key];
        }

        return $value;
    }

    private function checked(mixed $value, string $path, float $least, float $most): float
    {
        if (! is_int($value) && ! is_float($value)) {
            throw new BadRules("{$this->name}: $path is a number.");
        }

        return $value >= $least && $value <= $most
            ? (float) $value
            : throw new BadRules("{$this->name}: $path is between $least and $most, not $value.");
    }
}
