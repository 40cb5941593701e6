<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Insight\StepInsight;
use Cathedra\Core\Rules\Difficulty;

/** Why a step is hard, and what helps; in sentences. */
final readonly class Reasons
{
    /** Below these a count is not worth a word. */
    private const CREASES = 3;

    private const LAYERS = 4;

    /**
     * @param  float  $shortSide  mm of the sheet it was folded from
     * @return list<string>
     */
    public static function of(StepInsight $insight, Difficulty $scale, float $shortSide, Phrasebook $words): array
    {
        $say = static fn (string $key, array $with = []): string => $words->say('reasons', $key, $with);
        $shortest = $insight->shortest === null ? null : ($insight->shortest * 150) / $shortSide;

        return array_values(
            array_filter([
                $insight->creases >= self::CREASES
                    ? $say('creases', ['count' => $words->number($insight->creases)])
                    : null,
                $insight->layers >= self::LAYERS ? $say('layers', ['count' => $words->number($insight->layers)]) : null,
                $shortest !== null && $shortest < $scale->smallMm
                    ? $say('small', ['mm' => (string) round($shortest)])
                    : null,
                $insight->hidden > 0 ? $say('hidden') : null,
                $insight->byEye > 0 ? $say('by-eye') : null,
                $insight->guides !== []
                    ? $say('guides', [
                        'count' => count($insight->guides),
                        'steps' => implode(', ', $insight->guides),
                    ])
                    : null,
                $insight->mirrors !== null ? $say('mirrors', ['step' => $insight->mirrors]) : null,
            ]),
        );
    }
}
