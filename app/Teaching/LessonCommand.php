<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Support\BadInput;
use App\Support\JsonInput;
use Cathedra\Core\CathedraException;
use Cathedra\Core\Lesson\PlainLesson;
use Illuminate\Console\Command;

/** Reads the log of a lesson as JSON from standard input and prints where everybody is and how everybody ended. */
final class LessonCommand extends Command
{
    protected $signature = 'cathedra:lesson';

    protected $description = 'What the log of a lesson comes to (JSON in, JSON out)';

    public function handle(): int
    {
        try {
            $said = PlainLesson::of(JsonInput::read())->toArray();
        } catch (CathedraException|BadInput $e) {
            fwrite(STDERR, 'cathedra: '.strtr($e->getMessage(), ["\n" => ' '])."\n");

            return self::FAILURE;
        }
        $this->output->writeln((string) json_encode($said, JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR), 16);

        return self::SUCCESS;
    }
}
