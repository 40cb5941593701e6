<?php

declare(strict_types=1);

namespace App\Shelf\Console;

use App\Support\LibraryFiles;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Sequence;

/** What a command is given: a model of the shelf by name, or a file; and the ways to take. */
final readonly class SequenceArgument
{
    /** Bytes; far above any sequence. */
    private const MOST = 5_000_000;

    public function __construct(private LibraryFiles $files)
    {
    }

    /**
     * The text that is meant.
     *
     * @throws BadArgument when there is none
     */
    public function text(mixed $file): string
    {
        $file = is_string($file) ? $file : '';

        return $this->files->text($file) ??
            (is_file($file) && is_readable($file)
                ? (string) file_get_contents($file, length: self::MOST)
                : throw new BadArgument(
                    "There is no model \"$file\" on the shelf and no such file. On the shelf: ".
                        implode(', ', $this->files->slugs()).
                        '.',
                ));
    }

    /**
     * @param  mixed  ...$ways  lists of NAME=WAY, of routes and of choices
     *
     * @throws BadArgument
     * @throws BadSequence
     */
    public function read(mixed $file, mixed ...$ways): Sequence
    {
        $lists = array_map(static fn (mixed $list): array => (array) $list, $ways);

        return Loader::load(
            basename(is_string($file) ? $file : '', '.yaml'),
            $this->text($file),
            self::ways(array_merge(...array_values($lists))),
        );
    }

    /**
     * @param  array<array-key, mixed>  $passages
     * @return array<string, string>
     *
     * @throws BadArgument when two options of one choice are asked for
     */
    public static function ways(array $passages): array
    {
        $choice = [];
        foreach ($passages as $passage) {
            [$name, $way] = [...explode('=', is_string($passage) ? $passage : '', 2), ''];
            if (($choice[$name] ?? $way) !== $way) {
                throw new BadArgument(
                    "Both \"{$choice[$name]}\" and \"$way\" are asked for of \"$name\"; take one of them.",
                );
            }
            $choice[$name] = $way;
        }

        return $choice;
    }
}
