<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\LibraryFiles;
use Cathedra\Core\CathedraException;
use Cathedra\Core\FoldFormat\FoldImport;
use Cathedra\Core\Folding\FoldDocument;
use Cathedra\Core\Sequence\Folder;
use Cathedra\Core\Sequence\Loader;
use Illuminate\Console\Command;

/** Folds a sequence and prints one FOLD document on standard output. Needs no database. */
final class FoldCommand extends Command
{
    protected $signature = 'cathedra:fold {file : a library name, or the path of a sequence or of a FOLD crease '
        .'pattern} {--side=150 : shorter side of the sheet, mm} {--route=* : NAME=WAY, for models that offer a choice}';

    protected $description = 'Fold a sequence and print it as a FOLD document';

    public function handle(LibraryFiles $files, FoldFiles $written): int
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : '';
        $text =
            $files->text($file) ??
            (is_file($file) && is_readable($file) ? (string) file_get_contents($file, length: 5_000_000) : null);
        if ($text === null) {
            return $this->refuse(
                "There is no model \"$file\" on the shelf and no such file. On the shelf: ".
                    implode(', ', $files->slugs()).
                    '.',
            );
        }
        if (str_starts_with(ltrim($text), '{')) {
            return $this->import($text);
        }
        $side = $this->option('side');
        if (! is_numeric($side)) {
            return $this->refuse('The side must be a number of millimetres.');
        }
        try {
            $folded = Folder::fold(Loader::load(basename($file, '.yaml'), $text, $this->ways()), (float) $side);
            $steps = $written->steps($folded);
        } catch (CathedraException $e) {
            return $this->refuse($e->getMessage());
        }

        return $this->print(FoldDocument::of($folded->sequence->title, $folded->start, $steps));
    }

    /** A FOLD document given instead of a sequence: its crease pattern is folded and checked. */
    private function import(string $text): int
    {
        try {
            $import = FoldImport::fold($text);
        } catch (CathedraException $e) {
            return $this->refuse($e->getMessage());
        }

        return $this->print(
            FoldDocument::of($import->title, $import->flat, [
                ['state' => $import->folded, 'fold' => 'import', 'text' => 'The crease pattern, folded.'],
            ]),
        );
    }

    /** @param  array<string, mixed>  $document */
    private function print(array $document): int
    {
        $this->output->writeln(FoldFiles::json($document), 16);

        return self::SUCCESS;
    }

    /** @return array<string, string> */
    private function ways(): array
    {
        $choice = [];
        foreach ((array) $this->option('route') as $route) {
            [$name, $way] = [...explode('=', is_string($route) ? $route : '', 2), ''];
            $choice[$name] = $way;
        }

        return $choice;
    }

    private function refuse(string $reason): int
    {
        fwrite(STDERR, 'cathedra: '.strtr($reason, ["\n" => ' '])."\n");

        return self::FAILURE;
    }
}
