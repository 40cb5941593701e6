<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

/**
 * The signs beside a picture (turn over, rotate, repeat behind ...), from signs.json: a path and an arrowhead each,
 * drawn round (0, 0) in a box of about 14 units, with absolute commands only.
 *
 * @phpstan-import-type Pair from Scene
 */
final readonly class Sign
{
    /** Which numbers after a command are lengths along x, along y, or sizes; the others stay (turns and flags). */
    private const KINDS = [
        'M' => 'xy',
        'L' => 'xy',
        'C' => 'xyxyxy',
        'S' => 'xyxy',
        'Q' => 'xyxy',
        'H' => 'x',
        'V' => 'y',
        'A' => 'rr---xy',
        'Z' => '',
    ];

    /**
     * @param  Pair  $place  where its middle comes to lie
     * @return array{string, string} its path and its arrowhead, as paths
     */
    public static function drawn(string $name, array $place, float $scale): array
    {
        ['path' => $path, 'tip' => $tip] = self::all()[$name];

        return [self::placed($path, $place, $scale), self::placed("M$tip Z", $place, $scale)];
    }

    /** @param  Pair  $place */
    private static function placed(string $path, array $place, float $scale): string
    {
        preg_match_all('/([A-Z])([^A-Z]*)/', $path, $commands, PREG_SET_ORDER);
        $out = '';
        foreach ($commands as [, $command, $rest]) {
            $numbers = preg_split('/[\s,]+/', trim($rest), -1, PREG_SPLIT_NO_EMPTY) ?: [];
            $kinds = str_split(self::KINDS[$command] ?: '-');
            foreach ($numbers as $i => $number) {
                $numbers[$i] = match ($kinds[$i % count($kinds)] ?? '') {
                    'x' => Drawing::number($place[0] + $scale * (float) $number),
                    'y' => Drawing::number($place[1] + $scale * (float) $number),
                    'r' => Drawing::number($scale * (float) $number),
                    default => $number,
                };
            }
            $out .= $command.implode(' ', $numbers);
        }

        return $out;
    }

    /** @return array<string, array{path: string, tip: string}> */
    private static function all(): array
    {
        /** @var array<string, array{path: string, tip: string}>|null $signs */
        static $signs = null;

        return $signs ??= (array) json_decode((string) file_get_contents(__DIR__.'/signs.json'), true);
    }
}
