<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\BadInput;
use App\Support\JsonInput;
use Cathedra\Core\CathedraException;
use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use Illuminate\Console\Command;

/** Reads a room and its steps as JSON from standard input, plays the lesson many times and prints what came of it. */
final class RehearseCommand extends Command
{
    protected $signature = 'cathedra:rehearse';

    protected $description = 'Rehearse a lesson many times (JSON in, JSON out)';

    public function handle(): int
    {
        try {
            $data = JsonInput::read();
            $setting = RehearsedRoom::fromArray($data);
            $answer = Rehearsal::of($setting, Rehearsal::chance(
                $setting,
                self::whole($data, 'runs', 1000),
                self::whole($data, 'seed', 1),
            ));
        } catch (CathedraException|BadInput $e) {
            fwrite(STDERR, 'cathedra: '.strtr($e->getMessage(), ["\n" => ' '])."\n");

            return self::FAILURE;
        }
        $this->output->writeln(
            (string) json_encode($answer->toArray(), JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
            16,
        );

        return self::SUCCESS;
    }

    private static function whole(mixed $data, string $key, int $else): int
    {
        $value = is_array($data) ? $data[$key] ?? $else : $else;

        return is_int($value) ? $value : throw new BadPlan("\"$key\" must be a whole number.");
    }
}
