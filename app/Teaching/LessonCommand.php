<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Support\JsonCommand;
use Cathedra\Core\Lesson\PlainLesson;

/** Reads the log of a lesson as JSON from standard input and prints where everybody is and how everybody ended. */
final class LessonCommand extends JsonCommand
{
    protected $signature = 'cathedra:lesson';

    protected $description = 'What the log of a lesson comes to (JSON in, JSON out)';

    protected function answer(mixed $given): array
    {
        return PlainLesson::of($given)->toArray();
    }
}
