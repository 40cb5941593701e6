<?php

declare(strict_types=1);

namespace App\Shelf\Console;

use App\Support\LibraryFiles;
use Cathedra\Core\Wording\Language;
use Illuminate\Console\Command;

/** For translators: whether a language file says everything, and nothing that nobody says; needs no database. */
final class WordsCommand extends Command
{
    /** Bytes; far above any language. */
    private const MOST = 2_000_000;

    protected $signature = 'cathedra:words {file : a language file such as de.yaml; its name is the ICU locale}';

    protected $description = 'Hold a language file against library/wording/en.yaml';

    public function handle(LibraryFiles $files): int
    {
        $file = $this->argument('file');
        if (! is_string($file) || ! is_file($file) || ! is_readable($file)) {
            fwrite(STDERR, "cathedra: there is no such file to read.\n");

            return self::FAILURE;
        }
        $problems = Language::problems(
            basename($file, '.yaml'),
            (string) file_get_contents($file, length: self::MOST),
            $files->sections(),
        );
        foreach ($problems as $problem) {
            fwrite(STDERR, "cathedra: $problem\n");
        }
        $problems !== [] || $this->line('It says everything.');

        return $problems === [] ? self::SUCCESS : self::FAILURE;
    }
}
