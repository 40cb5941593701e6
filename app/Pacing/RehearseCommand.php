<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\JsonCommand;
use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;

/** Reads a room and its steps as JSON from standard input, plays the lesson many times and prints what came of it. */
final class RehearseCommand extends JsonCommand
{
    protected $signature = 'cathedra:rehearse';

    protected $description = 'Rehearse a lesson many times (JSON in, JSON out)';

    protected function answer(mixed $given): array
    {
        $room = RehearsedRoom::fromArray($given);
        $chance = Rehearsal::chance($room, self::whole($given, 'runs', 1000), self::whole($given, 'seed', 1));

        return Rehearsal::of($room, $chance)->toArray();
    }

    private static function whole(mixed $data, string $key, int $else): int
    {
        $value = is_array($data) ? $data[$key] ?? $else : $else;

        return is_int($value) ? $value : throw new BadPlan("\"$key\" must be a whole number.");
    }
}
