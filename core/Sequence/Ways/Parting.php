<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Ways;

use Cathedra\Core\Sequence\Sequence;
use Cathedra\Core\Sequence\Step;

/**
 * Where two ways of teaching one model part. Both are read from the same file, so a step is the same step in both when
 * it stands in the same line, and is done by eye in both or in neither; until the first that does not, both have the
 * same paper.
 */
final readonly class Parting
{
    /**
     * @return list<array{first: int, was: int, now: int}> ascending: from step first of the first way on, so many steps
     *     give way to so many of the second; none when both are the same
     */
    public static function between(Sequence $from, Sequence $to): array
    {
        $lines = static fn (Sequence $s): array => array_map(
            static fn (Step $step): string => $step->line.($step->free === null ? '' : ' by eye'),
            $s->steps,
        );
        [$old, $new] = [$lines($from), $lines($to)];
        $common = array_values(array_intersect($old, $new));
        $spans = [];
        [$i, $j] = [0, 0];
        foreach ([...$common, null] as $line) {
            $oldEnd = $line === null ? count($old) : (int) array_search($line, $old, true);
            $newEnd = $line === null ? count($new) : (int) array_search($line, $new, true);
            if ($oldEnd > $i || $newEnd > $j) {
                $spans[] = ['first' => $i + 1, 'was' => $oldEnd - $i, 'now' => $newEnd - $j];
            }
            [$i, $j] = [$oldEnd + 1, $newEnd + 1];
        }

        return $spans;
    }
}
