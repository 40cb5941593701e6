<?php

declare(strict_types=1);

namespace App\Support;

/** JSON that a command reads from standard input. */
final class JsonInput
{
    /** Bytes; a hundred kinds of paper have 10 kB, 300 steps 40 kB. */
    private const MOST = 1_000_000;

    /** @throws BadInput when it is too long or no JSON */
    public static function read(): mixed
    {
        $text = (string) stream_get_contents(STDIN, self::MOST + 1);
        if (strlen($text) > self::MOST) {
            throw new BadInput('The input is too long; at most 1 MB is read.');
        }
        $data = json_decode($text, true);

        return $data === null && json_last_error() !== JSON_ERROR_NONE
            ? throw new BadInput('The input is not JSON: '.json_last_error_msg().'.')
            : $data;
    }
}
