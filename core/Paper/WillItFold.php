<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * Whether a model can be folded from a stock by a group: thickness where most layers lie, and the narrowest point against
 * what hands of that age can do. Limits are data with their source (library/paper-rules.yaml).
 */
final readonly class WillItFold
{
    /**
     * @param  'fits'|'hard'|'no'  $verdict
     * @param  float  $side  mm, shorter side of the sheet folded
     * @param  float  $caliper  mm, one layer
     * @param  float  $stack  mm, where it is thickest
     * @param  float|null  $narrowest  mm, the narrowest point
     * @param  list<string>  $reasons  keys: thick, narrow, large, one-side, light
     * @param  float|null  $better  mm, the shorter side that would fit; null when no sheet of this stock would
     */
    private function __construct(public string $verdict, public float $side, public float $caliper, public float $stack, public ?float $narrowest, public array $reasons, public ?float $better)
    {
    }

    /**
     * @param  int  $layers  most layers in the model
     * @param  float|null  $narrowestPerSide  width of its narrowest point over the sheet's shorter side
     * @param  float  $caliper  mm
     * @param  float  $side  mm, shorter side of the sheet to be folded
     * @param  float  $largest  mm, the largest that the stock gives
     * @param  array{stack_mm: float, stack_most_mm: float, dexterity_mm: float, dexterity_least_mm: float, table_mm: float}  $limits
     */
    public static function judge(int $layers, ?float $narrowestPerSide, float $caliper, float $side, float $largest, array $limits): self
    {
        $stack = $layers * $caliper;
        $narrow = $narrowestPerSide === null ? null : $narrowestPerSide * $side;
        $reasons = [];
        $verdict = 'fits';
        // A stack folds well while it is thin against the sheet: the limit grows with the side, from a square of 150 mm.
        $scale = $side / 150;
        if ($stack > $limits['stack_mm'] * $scale) {
            $reasons[] = 'thick';
            $verdict = $stack > $limits['stack_most_mm'] * $scale ? 'no' : 'hard';
        }
        if ($narrow !== null && $narrow < $limits['dexterity_mm']) {
            $reasons[] = 'narrow';
            $verdict = $verdict === 'no' || $narrow < $limits['dexterity_least_mm'] ? 'no' : 'hard';
        }
        if ($side > $limits['table_mm']) {
            $reasons[] = 'large';
            $verdict = $verdict === 'no' ? 'no' : 'hard';
        }
        $needed = max($stack / $limits['stack_mm'] * 150, $narrowestPerSide === null ? 0.0 : $limits['dexterity_mm'] / $narrowestPerSide);

        return new self($verdict, $side, $caliper, $stack, $narrow, $reasons, $verdict === 'fits' ? null : ($needed <= min($largest, $limits['table_mm']) ? ceil($needed) : null));
    }

    /** mm: grammage (g/m2) over density (g/cm3) is thousandths of a mm. */
    public static function caliper(float $grammage, float $density): float
    {
        return $grammage / $density / 1000;
    }
}
