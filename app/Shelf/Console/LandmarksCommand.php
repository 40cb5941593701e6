<?php

declare(strict_types=1);

namespace App\Shelf\Console;

use Cathedra\Core\CathedraException;
use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Landmark\Nameable;
use Cathedra\Core\Sequence\Run\Folder;
use Illuminate\Console\Command;

/** For authors: the landmarks that may be named before a step, numbered as in the picture; needs no database. */
final class LandmarksCommand extends Command
{
    protected $signature = 'cathedra:landmarks
        {file : a model of the shelf by its library name, or a file in the sequence format}
        {--step= : the step that is to name them; the one after the last is the end}
        {--route=* : a way to take, NAME=WAY}
        {--choice=* : an option of a choice, NAME=OPTION}
        {--picture= : writes the picture with their numbers to this file, as SVG}';

    protected $description = 'List the landmarks a step may name, with a numbered picture';

    public function handle(SequenceArgument $argument): int
    {
        try {
            $sequence = $argument->read($this->argument('file'), $this->option('route'), $this->option('choice'));
            $step = $this->option('step');
            $last = count($sequence->steps) + 1;
            if (! is_string($step) || ! ctype_digit($step) || (int) $step < 1 || (int) $step > $last) {
                throw new BadArgument("Say before which step (--step), a number from 1 to $last.");
            }
            $setting = Folder::settingBefore($sequence, (int) $step);
            $named = Nameable::all($setting);
            $this->picture(SceneBuilder::labelled($setting->state, $named));
        } catch (CathedraException|BadArgument $e) {
            fwrite(STDERR, 'cathedra: '.strtr($e->getMessage(), ["\n" => ' '])."\n");

            return self::FAILURE;
        }
        foreach ($named as $landmark) {
            $this->line(sprintf('%3d  %-24s %s', $landmark->number, $landmark->text, self::where($landmark->at)));
        }

        return self::SUCCESS;
    }

    private function picture(Scene $scene): void
    {
        $file = $this->option('picture');
        if (! is_string($file)) {
            return;
        }
        if (@file_put_contents($file, SvgRenderer::draw($scene, 'Landmarks')) === false) {
            throw new BadArgument("The picture cannot be written to $file.");
        }
    }

    private static function where(Point|Segment $at): string
    {
        $pair = static fn (Point $p): string => sprintf('(%.1f, %.1f)', $p->x, $p->y);

        return $at instanceof Segment ? $pair($at->a).' to '.$pair($at->b) : $pair($at);
    }
}
