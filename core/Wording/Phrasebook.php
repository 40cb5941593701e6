<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

/** Words of one language by section and key, with {placeholders}. The data are library/wording/*.yaml. */
final readonly class Phrasebook
{
    /** @param  array<string, array<array-key, string>>  $sections */
    public function __construct(private array $sections)
    {
    }

    /**
     * @param  array<string, string|int>  $with
     *
     * @throws \LogicException when the language lacks the phrase
     */
    public function say(string $section, string $key, array $with = []): string
    {
        $phrase = $this->sections[$section][$key] ?? throw new \LogicException("The phrasebook lacks $section.$key.");
        $pairs = [];
        foreach ($with as $name => $value) {
            $pairs['{'.$name.'}'] = (string) $value;
        }

        return strtr($phrase, $pairs);
    }

    /**
     * A phrase with {n} in it; for one thing the phrase "key-one", where there is one.
     *
     * @param  array<string, string|int>  $with
     */
    public function count(string $section, string $key, int $n, array $with = []): string
    {
        return $this->say(
            $section,
            $n === 1 && isset($this->sections[$section]["$key-one"]) ? "$key-one" : $key,
            ['n' => $n] + $with,
        );
    }

    /** A number as a word where the language has one. */
    public function number(int $n): string
    {
        return $this->sections['numbers'][(string) $n] ?? (string) $n;
    }
}
