<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Sequence\Format\LineIndex;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * Holds a language file against the one that is whole (English): another language needs a file and nothing else, so the
 * file must say everything, nothing unknown, and each phrase with the same placeholders.
 */
final class Language
{
    /** Sections in which a language may have fewer or other keys: words for numbers, and likenesses of folds. */
    private const FREE = ['numbers', 'likenesses'];

    /** @var list<string> */
    private array $problems = [];

    private LineIndex $lines;

    private function __construct(private readonly string $locale, string $yaml)
    {
        $this->lines = LineIndex::of($yaml);
    }

    /**
     * @param  string  $locale  ICU locale of the file, such as "de"
     * @param  array<string, array<array-key, mixed>>  $whole  the file that has every phrase
     * @return list<string> each with its line, the reason and what would do; none when the file can be used
     */
    public static function problems(string $locale, string $yaml, array $whole): array
    {
        $self = new self($locale, $yaml);
        try {
            $file = Yaml::parse($yaml);
        } catch (ParseException $e) {
            return [sprintf('Line %d: this is not YAML: %s', max(1, $e->getParsedLine()), $e->getMessage())];
        }
        if (! is_array($file)) {
            return ['Line 1: a language file has sections of phrases, as library/wording/en.yaml has.'];
        }
        $self->sections('', $file, $whole);

        return $self->problems;
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @param  array<array-key, mixed>  $whole
     */
    private function sections(string $path, array $file, array $whole): void
    {
        foreach ($file as $key => $value) {
            $at = $path === '' ? (string) $key : "$path.$key";
            $known = $whole[$key] ?? null;
            match (true) {
                $known === null => $this->isFree($path) || $this->unknown($at, (string) $key, $whole),
                is_array($known) !== is_array($value) => $this->say($at, is_array($known)
                    ? "$at is a section of phrases."
                    : "$at is a phrase, a text in one line."),
                is_array($value) && is_array($known) => $this->sections($at, $value, $known),
                default => $this->phrase($at, $value, $known),
            };
        }
        foreach (array_diff_key($whole, $file) as $key => $_) {
            // What a manner does not say otherwise is said as usual.
            if (! $this->isFree($path) && ! str_starts_with($path, 'manners') && $key !== 'manners') {
                $this->say($path, ltrim("$path.$key", '.').' is missing; library/wording/en.yaml shows what it says.');
            }
        }
    }

    private function isFree(string $path): bool
    {
        return in_array($path, self::FREE, true);
    }

    /** @param  array<array-key, mixed>  $whole */
    private function unknown(string $at, string $key, array $whole): void
    {
        $nearest = null;
        foreach (array_keys($whole) as $known) {
            $off = levenshtein($key, (string) $known);
            if ($off <= 3 && ($nearest === null || $off < $nearest[0])) {
                $nearest = [$off, $known];
            }
        }
        $this->say($at, "nobody says $at; ".($nearest === null
            ? 'take it out, or look for its name in library/wording/en.yaml.'
            : "is \"{$nearest[1]}\" meant?"));
    }

    private function phrase(string $at, mixed $value, mixed $known): void
    {
        if (! is_string($value) || trim($value) === '' || ! is_string($known)) {
            $this->say($at, "$at is a phrase, a text in one line.");

            return;
        }
        if (str_contains($value, '{') && \MessageFormatter::create($this->locale, $value) === null) {
            $this->say($at, "$at is no ICU message: every { needs its }, and a plural needs \"other {...}\".");

            return;
        }
        $strange = array_diff(self::placeholders($value), self::placeholders($known));
        if ($strange !== []) {
            $this->say($at, sprintf(
                '%s speaks of {%s}, which nobody fills in; it may use: %s.',
                $at,
                implode('}, {', $strange),
                implode(', ', self::placeholders($known)) ?: 'none',
            ));
        }
    }

    /** @return list<string> names in braces, not the words of a plural's branches */
    private static function placeholders(string $phrase): array
    {
        preg_match_all('/\{\s*([a-z_]\w*)\s*(?:\}|,\s*(?:plural|select|number|spellout))/i', $phrase, $found);

        return array_values(array_unique($found[1]));
    }

    private function say(string $path, string $problem): void
    {
        $this->problems[] = sprintf('Line %d: %s', $this->lines->line($path), $problem);
    }
}
