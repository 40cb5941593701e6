<?php

declare(strict_types=1);

namespace App\Shelf\Console;

use App\Shelf\FoldFiles;
use Cathedra\Core\CathedraException;
use Cathedra\Core\FoldFormat\FoldImport;
use Cathedra\Core\Folding\FoldDocument;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Space\Form\Forms;
use Illuminate\Console\Command;

/** Folds a sequence and prints one FOLD document on standard output. Needs no database. */
final class FoldCommand extends Command
{
    protected $signature = 'cathedra:fold {file : a library name, or the path of a sequence or of a FOLD crease '
        .'pattern} {--side=150 : shorter side of the sheet, mm} {--route=* : NAME=WAY, for models that offer ways} '
        .'{--choice=* : NAME=OPTION, for models that offer a choice}';

    protected $description = 'Fold a sequence and print it as a FOLD document';

    public function handle(SequenceArgument $sequence, FoldFiles $written): int
    {
        $file = $this->argument('file');
        try {
            $text = $sequence->text($file);
        } catch (BadArgument $e) {
            return $this->refuse($e->getMessage());
        }
        if (str_starts_with(ltrim($text), '{')) {
            return $this->import($text);
        }
        $side = $this->option('side');
        if (! is_numeric($side)) {
            return $this->refuse('The side must be a number of millimetres.');
        }
        try {
            $read = $sequence->read($file, $this->option('route'), $this->option('choice'));
            $folded = Folder::fold($read, (float) $side);
            $steps = $written->steps($folded);
            $objection = Forms::objection($folded);
            if ($objection !== null) {
                return $this->refuse($objection);
            }
        } catch (CathedraException|BadArgument $e) {
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

    private function refuse(string $reason): int
    {
        fwrite(STDERR, 'cathedra: '.strtr($reason, ["\n" => ' '])."\n");

        return self::FAILURE;
    }
}
