<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Format;

use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Folding\Reading\OutlineName;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Goal;
use Cathedra\Core\Sequence\Landmark\PointRef;

/** Reads the goals of a model: each entry has one fact, and what that fact needs. */
final readonly class GoalReader
{
    /**
     * @return list<Goal>
     *
     * @throws BadSequence naming the line
     */
    public static function all(Reader $top, LineIndex $lines): array
    {
        $goals = [];
        $entries = $top->value('goal') ?? [];
        if (! is_array($entries) || ! array_is_list($entries)) {
            throw $top->bad('goal', '"goal" must be a list of facts, such as "- {shape: trapezium}".');
        }
        foreach ($entries as $i => $entry) {
            $goals[] = self::one(Reader::over($entry, "goal.$i", $lines));
        }

        return $goals;
    }

    private static function one(Reader $in): Goal
    {
        $facts = array_values(array_filter(Goal::FACTS, $in->has(...)));
        if (count($facts) !== 1) {
            throw $in->bad(null, 'A goal has exactly one of: '.implode(', ', Goal::FACTS).'.');
        }
        $fact = $facts[0];
        $line = $in->line($fact);
        $folds = new FoldReader($in, 0);
        $shapes = array_column(OutlineName::cases(), 'value');
        $directions = array_column(Direction::cases(), 'value');
        $forms = array_column(
            array_filter(FoldKind::cases(), static fn (FoldKind $kind): bool => $kind->isForm()),
            'value',
        );
        $goal = match ($fact) {
            'shape' => new Goal($fact, $line, shape: OutlineName::from($in->oneOf($fact, $shapes))),
            'loose' => new Goal(
                $fact,
                $line,
                at: Direction::from($in->oneOf($fact, $directions)),
                count: $in->whole('count', 1, 20),
            ),
            'open', 'closed', 'pocket' => new Goal(
                $fact,
                $line,
                at: Direction::from($in->oneOf($fact, $directions)),
            ),
            'shows' => new Goal($fact, $line, shows: self::side($in->oneOf($fact, ['front', 'back', 'both']))),
            'symmetric' => $in->value($fact) === true
                ? new Goal($fact, $line)
                : throw $in->bad($fact, '"symmetric" can only be true; leave it out otherwise.'),
            'bent' => new Goal(
                $fact,
                $line,
                points: [$folds->point($fact), $folds->point('at'), $folds->point('from')],
                least: (float) $in->whole('least', 1, 180),
            ),
            'higher' => new Goal($fact, $line, points: self::pair($folds, $fact)),
            default => new Goal($fact, $line, form: FoldKind::from($in->oneOf($fact, $forms))),
        };
        $in->nothingElse();

        return $goal;
    }

    /** @return 'front'|'back'|'both' */
    private static function side(string $side): string
    {
        return $side === 'front' || $side === 'back' ? $side : 'both';
    }

    /** @return list<PointRef> */
    private static function pair(FoldReader $folds, string $fact): array
    {
        return [$folds->point($fact), $folds->point('than')];
    }
}
