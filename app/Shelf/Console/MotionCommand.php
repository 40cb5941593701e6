<?php

declare(strict_types=1);

namespace App\Shelf\Console;

use App\Shelf\FoldFiles;
use Cathedra\Core\CathedraException;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Space\MotionDocument;
use Illuminate\Console\Command;

/** Every moment of the motion of a model, or of one step; needs no database. */
final class MotionCommand extends Command
{
    protected $signature = 'cathedra:motion
        {file : a model of the shelf by its library name, or a file in the sequence format}
        {--side=150 : shorter side of the sheet, mm}
        {--step= : only this step}
        {--route=* : a way to take, NAME=WAY}
        {--choice=* : an option of a choice, NAME=OPTION}';

    protected $description = 'Move every step of a model in space and print the moments as a FOLD document';

    public function handle(SequenceArgument $sequence): int
    {
        [$side, $step] = [$this->option('side'), $this->option('step')];
        try {
            if ($step !== null && ! (is_string($step) && ctype_digit($step))) {
                throw new BadArgument('The step (--step) must be a number.');
            }
            $folded = Folder::fold(
                $sequence->read($this->argument('file'), $this->option('route'), $this->option('choice')),
                is_numeric($side) ? (float) $side : throw new BadArgument('The side must be a number of millimetres.'),
            );
            $document = MotionDocument::of($folded, $step === null ? null : (int) $step)
                ?? throw new BadArgument("There is no step $step; the model has ".count($folded->steps).'.');
        } catch (CathedraException|BadArgument $e) {
            fwrite(STDERR, 'cathedra: '.strtr($e->getMessage(), ["\n" => ' '])."\n");

            return self::FAILURE;
        }
        foreach (array_unique(array_column(array_column(array_filter(
            $document['file_frames'],
            static fn (array $frame): bool => isset($frame['cathedra:still']),
        ), 'cathedra:step'), 'number')) as $still) {
            fwrite(STDERR, "cathedra: step $still is a still: it has no motion, or none was found.\n");
        }
        $this->output->writeln(FoldFiles::json($document), 16);

        return self::SUCCESS;
    }
}
