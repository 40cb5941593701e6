<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Folding\Anatomy;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Shape;

/** What must be true of the paper now, in sentences a lead can say, derived from the state. */
final readonly class Checks
{
    /** Shares of colour nearer to all or nothing than this are not worth a word. */
    private const HARDLY = 0.01;

    /** @return list<string> the outline first, then points, edges, side and layers */
    public static function of(FoldedState $state, Phrasebook $words): array
    {
        $anatomy = Anatomy::of($state);
        $shape = $words->say('shapes', $anatomy->shape()->value, ['corners' => count($anatomy->outline->corners)]);
        $checks = [$words->say('checks', 'outline', ['shape' => $shape])];
        if ($anatomy->isSymmetric() && ! in_array($anatomy->shape(), [Shape::Square, Shape::SquareOnCorner, Shape::Oblong], true)) {
            $checks[] = $words->say('checks', 'symmetric');
        }

        return $state->faceCount() === 1
            ? [...$checks, self::side($anatomy, $words)]
            : [...$checks, ...self::points($anatomy, $words), ...self::edges($anatomy, $words), self::side($anatomy, $words), $words->say('checks', 'layers', ['count' => $words->number($anatomy->mostLayers())])];
    }

    /** @return list<string> */
    private static function points(Anatomy $anatomy, Phrasebook $words): array
    {
        $said = [];
        foreach (array_keys($anatomy->outline->corners) as $corner) {
            $name = $anatomy->compass->nameOfCorner($corner);
            ['loose' => $loose, 'layers' => $layers] = $anatomy->cornerAt($corner);
            if ($name === null || $layers < 2 || ! in_array($name->value, ['top', 'bottom', 'left', 'right'], true)) {
                continue;
            }
            $direction = $words->say('directions', $name->value);
            $said[] = $loose > 1
                ? $words->say('checks', 'loose', ['count' => $words->number($loose), 'direction' => $direction])
                : $words->say('checks', 'closed-point', ['direction' => $direction]);
        }

        return $said;
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
