<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Sequence\Sequence;
use Cathedra\Core\Sequence\Step;

/**
 * A note is the one text of a step that an author writes. Where things lie, only the geometry may say, and it follows
 * the directions that the reader chose; so a note that speaks of directions is not passed on.
 */
final readonly class Note
{
    /** The note as it is said; null when there is none, or when it speaks of directions. */
    public static function of(Step $step, Phrasebook $words): ?string
    {
        return self::direction($step, $words) === null ? $step->note : null;
    }

    /**
     * For authors: the notes of a model that are not passed on, with the line and what would do.
     *
     * @return list<string>
     */
    public static function warnings(Sequence $sequence, Phrasebook $words): array
    {
        $warnings = [];
        foreach ($sequence->steps as $step) {
            $direction = self::direction($step, $words);
            if ($direction !== null) {
                $warnings[] = sprintf(
                    'Line %d, step %d: the note says "%s" and is left out. Where things lie is said from the geometry; '
                        .'write the note without it.',
                    $step->line,
                    $step->number,
                    $direction,
                );
            }
        }

        return $warnings;
    }

    /** The first word of direction in the note; null when there is none. */
    public static function direction(Step $step, Phrasebook $words): ?string
    {
        return preg_match('/\b(?:'.$words->say('notes', 'directions').')\b/iu', $step->note ?? '', $found) === 1
            ? $found[0]
            : null;
    }
}
