<?php

declare(strict_types=1);

namespace App\Shelf\Console;

use App\Shelf\FoldFiles;
use App\Support\LibraryFiles;
use Cathedra\Core\CathedraException;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Wording\Directions;
use Cathedra\Core\Wording\FoldNames;
use Cathedra\Core\Wording\Manner;
use Cathedra\Core\Wording\Note;
use Cathedra\Core\Wording\StepsDocument;
use Illuminate\Console\Command;

/** What is said and drawn of each step, with its claims as numbers; needs no database. */
final class StepsCommand extends Command
{
    protected $signature = 'cathedra:steps
        {file : a model of the shelf by its library name, or a file in the sequence format}
        {--side=150 : shorter side of the sheet, mm}
        {--route=* : a way to take, NAME=WAY}
        {--choice=* : an option of a choice, NAME=OPTION}
        {--directions=folder : seen by the folder, or as on a wall (wall)}
        {--names=term : folds by term, likeness or both}
        {--letters : places have letters}';

    protected $description = 'Say every step of a model, with the claims behind the words as JSON';

    public function handle(LibraryFiles $files, SequenceArgument $sequence): int
    {
        $side = $this->option('side');
        try {
            $manner = $this->manner();
            $folded = Folder::fold(
                $sequence->read($this->argument('file'), $this->option('route'), $this->option('choice')),
                is_numeric($side) ? (float) $side : throw new BadArgument('The side must be a number of millimetres.'),
            );
        } catch (CathedraException|BadArgument $e) {
            fwrite(STDERR, 'cathedra: '.strtr($e->getMessage(), ["\n" => ' '])."\n");

            return self::FAILURE;
        }
        $words = $files->words($manner);
        foreach (Note::warnings($folded->sequence, $words) as $warning) {
            fwrite(STDERR, "cathedra: $warning\n");
        }
        $document = StepsDocument::of($folded, $files->difficulty(), $files->times(), $words);
        $this->output->writeln(FoldFiles::json($document), 16);

        return self::SUCCESS;
    }

    private function manner(): Manner
    {
        $option = fn (string $name): string => is_string($this->option($name)) ? $this->option($name) : '';

        return new Manner(
            Directions::tryFrom($option('directions'))
                ?? throw new BadArgument('Directions (--directions) are folder or wall.'),
            FoldNames::tryFrom($option('names'))
                ?? throw new BadArgument('Names (--names) are term, likeness or both.'),
            (bool) $this->option('letters'),
        );
    }
}
