<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Folding\Anatomy;
use Cathedra\Core\Folding\Direction;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pockets;
use Cathedra\Core\Folding\Shape;

/** What must be true of the paper now, in sentences a lead can say, derived from the state. */
final readonly class Checks
{
    /** Shares of colour nearer to all or nothing than this are not worth a word. */
    private const HARDLY = 0.01;

    /** In a model of so many parts nobody looks for one pocket. */
    private const MANY_POCKETS = 2;

    private const MANY_CELLS = 30;

    /** Corners that are spoken of, in this order; slanted ones would only add words. */
    private const SAID = [Direction::Top, Direction::Bottom, Direction::Left, Direction::Right];

    /** @return list<string> the outline first, then points, edges, side and layers */
    public static function of(FoldedState $state, Phrasebook $words): array
    {
        $anatomy = Anatomy::of($state);
        $shape = $words->say('shapes', $anatomy->shape()->value, ['corners' => count($anatomy->outline->corners)]);
        $checks = [$words->say('checks', 'outline', ['shape' => $shape])];
        if (
            $anatomy->isSymmetric() &&
            ! in_array($anatomy->shape(), [Shape::Square, Shape::SquareOnCorner, Shape::Oblong], true)
        ) {
            $checks[] = $words->say('checks', 'symmetric');
        }

        return $state->faceCount() === 1
            ? [...$checks, self::side($anatomy, $words)]
            : [
                ...$checks,
                ...self::points($anatomy, $words),
                ...self::edges($anatomy, $words),
                ...self::pockets($anatomy, $words),
                self::side($anatomy, $words),
                $words->say('checks', 'layers', ['count' => $words->number($anatomy->mostLayers())]),
            ];
    }

    /** @return list<string> */
    private static function points(Anatomy $anatomy, Phrasebook $words): array
    {
        $where = [];
        foreach (array_keys($anatomy->outline->corners) as $corner) {
            $name = $anatomy->compass->nameOfCorner($corner);
            ['loose' => $loose, 'layers' => $layers] = $anatomy->cornerAt($corner);
            if ($name !== null && $layers >= 2 && in_array($name, self::SAID, true)) {
                $where[$loose][] = $name;
            }
        }
        krsort($where);
        $said = [];
        foreach ($where as $loose => $names) {
            usort(
                $names,
                static fn (Direction $a, Direction $b): int => array_search($a, self::SAID, true) <=>
                    array_search($b, self::SAID, true),
            );
            $places = self::joined(
                array_map(static fn (Direction $d): string => $words->say('directions', $d->value), $names),
                $words,
            );
            $key = ($loose > 1 ? 'loose' : 'closed').(count($names) > 1 ? '-several' : '');
            $said[] = $words->say('checks', $key, ['count' => $words->number($loose), 'direction' => $places]);
        }

        return $said;
    }

    /** @param  non-empty-list<string>  $names */
    private static function joined(array $names, Phrasebook $words): string
    {
        $last = array_pop($names);

        return $names === [] ? $last : implode(', ', $names).' '.$words->say('checks', 'and').' '.$last;
    }

    /** @return list<string> */
    private static function edges(Anatomy $anatomy, Phrasebook $words): array
    {
        $said = [];
        foreach (array_keys($anatomy->outline->sides()) as $side) {
            $name = $anatomy->compass->nameOfSide($side);
            $kind = $anatomy->sideKind($side);
            if ($name !== null && $kind !== 'mixed' && in_array($name->value, ['top', 'bottom'], true)) {
                $said[] = $words->say('checks', "$kind-edge", ['direction' => $words->say('directions', $name->value)]);
            }
        }

        return $said;
    }

    /** @return list<string> where there are few enough to be told apart */
    private static function pockets(Anatomy $anatomy, Phrasebook $words): array
    {
        $mouths =
            count($anatomy->stacks()->cells) > self::MANY_CELLS ? [] : Pockets::of($anatomy->state, $anatomy->stacks());
        $names = array_values(
            array_unique(array_map(static fn (Direction $d): string => $words->say('directions', $d->value), $mouths)),
        );

        return match (true) {
            $names === [], count($mouths) > self::MANY_POCKETS => [],
            default => [
                $words->say('checks', count($mouths) > 1 ? 'pockets' : 'pocket', [
                    'direction' => self::joined($names, $words),
                ]),
            ],
        };
    }

    private static function side(Anatomy $anatomy, Phrasebook $words): string
    {
        $share = $anatomy->frontShare();

        return match (true) {
            $share > 1 - self::HARDLY => $words->say('checks', 'front-only'),
            $share < self::HARDLY => $words->say('checks', 'back-only'),
            default => $words->say('checks', 'both', ['percent' => (int) round(100 * $share)]),
        };
    }
}
