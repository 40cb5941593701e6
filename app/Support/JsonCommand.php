<?php

declare(strict_types=1);

namespace App\Support;

use Cathedra\Core\CathedraException;
use Illuminate\Console\Command;

/** Reads JSON from standard input and prints an answer as JSON; what cannot be read is one line, and exit 1. */
abstract class JsonCommand extends Command
{
    /**
     * @param  mixed  $given  as it was read
     * @return array<string, mixed>
     *
     * @throws CathedraException|BadInput naming the place, when it is not what is asked for
     */
    abstract protected function answer(mixed $given): array;

    final public function handle(): int
    {
        try {
            $answer = $this->answer(JsonInput::read());
        } catch (CathedraException|BadInput $e) {
            fwrite(STDERR, 'cathedra: '.strtr($e->getMessage(), ["\n" => ' '])."\n");

            return self::FAILURE;
        }
        $this->output->writeln(
            (string) json_encode($answer, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR),
            16,
        );

        return self::SUCCESS;
    }
}
