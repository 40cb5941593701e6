<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

/**
 * Words of one language by section and key. Phrases are ICU messages: plurals and choices are the language's affair,
 * not the code's. The data are library/wording/*.yaml, whose section `manners` holds what is said otherwise in one.
 */
final class Phrasebook
{
    /** @var array<string, array<array-key, string>> */
    private readonly array $sections;

    /** @var array<string, \MessageFormatter> by phrase */
    private array $made = [];

    /**
     * @param  array<string, array<array-key, mixed>>  $file  sections of phrases, and `manners` with sections of their
     *     own
     * @param  string  $language  ICU locale, for plurals
     */
    public function __construct(
        array $file,
        public readonly Manner $manner = new Manner(),
        private readonly string $language = 'en',
    ) {
        $other = $file['manners'][$this->manner->directions->value] ?? [];
        unset($file['manners']);
        /** @var array<string, array<array-key, string>> */
        $sections = array_replace_recursive($file, is_array($other) ? $other : []);
        $this->sections = $sections;
    }

    /**
     * @param  array<string, string|int>  $with  numbers that a plural depends on are int
     *
     * @throws \LogicException when the language lacks the phrase
     */
    public function say(string $section, string $key, array $with = []): string
    {
        $phrase = $this->sections[$section][$key] ?? throw new \LogicException("The phrasebook lacks $section.$key.");
        if (! str_contains($phrase, '{')) {
            return $phrase;
        }
        $said = ($this->made[$phrase] ??= new \MessageFormatter($this->language, $phrase))->format($with);

        return $said !== false
            ? $said
            : throw new \LogicException("$section.$key cannot be said: ".intl_get_error_message());
    }

    /** The name of a fold as the manner wants it. */
    public function foldName(string $key): string
    {
        $term = $this->say('names', $key);
        $like = $this->sections['likenesses'][$key] ?? null;

        return match (true) {
            $like === null, $this->manner->names === FoldNames::Term => $term,
            $this->manner->names === FoldNames::Likeness => $like,
            default => $this->say('looks', 'name-both', ['term' => $term, 'like' => $like]),
        };
    }

    /** A number as a word where the language has one. */
    public function number(int $n): string
    {
        return $this->sections['numbers'][(string) $n] ?? (string) $n;
    }
}
