<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\LibraryFiles;
use Cathedra\Core\CathedraException;
use Cathedra\Core\Sequence\Folder;
use Cathedra\Core\Wording\StepsDocument;
use Illuminate\Console\Command;

/** What is said and drawn of each step, with its claims as numbers; needs no database. */
final class StepsCommand extends Command
{
    protected $signature = 'cathedra:steps
        {file : a model of the shelf by its library name, or a file in the sequence format}
        {--side=150 : shorter side of the sheet, mm}
        {--route=* : a way to take, NAME=WAY}';

    protected $description = 'Say every step of a model, with the claims behind the words as JSON';

    public function handle(LibraryFiles $files, SequenceArgument $sequence): int
    {
        $side = $this->option('side');
        try {
            $folded = Folder::fold(
                $sequence->read($this->argument('file'), (array) $this->option('route')),
                is_numeric($side) ? (float) $side : throw new BadArgument('The side must be a number of millimetres.'),
            );
        } catch (CathedraException|BadArgument $e) {
            fwrite(STDERR, 'cathedra: '.strtr($e->getMessage(), ["\n" => ' '])."\n");

            return self::FAILURE;
        }
        $document = StepsDocument::of($folded, $files->difficulty(), $files->times(), $files->words());
        $this->output->writeln(FoldFiles::json($document), 16);

        return self::SUCCESS;
    }
}
