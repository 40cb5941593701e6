<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * Whether a model can be folded from a stock by a group: thickness where most layers lie, and the narrowest point
 * against what hands of that age can do; and whether it can then do what it is for (flap, stand, fly). Limits are data
 * with their source (library/paper-rules.yaml).
 */
final readonly class WillItFold
{
    /** From good to bad. */
    public const VERDICTS = ['fits', 'hard', 'no'];

    /** A sheet smaller than this share of the least is not worth trying. */
    private const NEARLY = 0.75;

    /**
     * @param  'fits'|'hard'|'no'  $verdict
     * @param  float  $side  mm, shorter side of the sheet folded
     * @param  float  $caliper  mm, one layer
     * @param  float  $stack  mm, where it is thickest
     * @param  float|null  $narrowest  mm, the narrowest point
     * @param  list<string>  $reasons  keys: thick, narrow, large, small, soft
     * @param  float|null  $better  mm, the shorter side that would fit; null when no sheet of this stock would
     */
    private function __construct(
        public string $verdict,
        public float $side,
        public float $caliper,
        public float $stack,
        public ?float $narrowest,
        public array $reasons,
        public ?float $better,
    ) {
    }

    /**
     * @param  int  $layers  most layers in the model
     * @param  float|null  $narrowestPerSide  width of its narrowest point over the sheet's shorter side
     * @param  float  $caliper  mm
     * @param  float  $side  mm, shorter side of the sheet to be folded
     * @param  float  $largest  mm, the largest that the stock gives
     * @param  array{stack_mm: float, stack_most_mm: float, dexterity_mm: float, dexterity_least_mm: float,
     *     table_mm: float, soft_mm: float}  $limits  soft_mm: side up to which paper of 0.1 mm bears itself
     * @param  float|null  $least  mm, the smallest sheet from which it still does what it is for; null: it does nothing
     * @param  bool  $stiff  the paper has to bear itself
     */
    public static function judge(
        int $layers,
        ?float $narrowestPerSide,
        float $caliper,
        float $side,
        float $largest,
        array $limits,
        ?float $least = null,
        bool $stiff = false,
    ): self {
        $stack = $layers * $caliper;
        $narrow = $narrowestPerSide === null ? null : $narrowestPerSide * $side;
        $reasons = [];
        $verdict = 'fits';
        // A stack folds well while it is thin against the sheet: the limit grows with the side, from a square of 150
        // mm.
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
        if ($least !== null && $side < $least) {
            $reasons[] = 'small';
            $verdict = $verdict === 'no' || $side < self::NEARLY * $least ? 'no' : 'hard';
        }
        $soft = $stiff ? self::softFrom($caliper, $limits['soft_mm']) : INF;
        if ($side > $soft) {
            $reasons[] = 'soft';
            $verdict = $verdict === 'no' ? 'no' : 'hard';
        }
        $needed = max(
            ($stack / $limits['stack_mm']) * 150,
            $narrowestPerSide === null ? 0.0 : $limits['dexterity_mm'] / $narrowestPerSide,
            $least ?? 0.0,
        );

        return new self(
            verdict: $verdict,
            side: $side,
            caliper: $caliper,
            stack: $stack,
            narrowest: $narrow,
            reasons: $reasons,
            better: $verdict !== 'fits' && $needed <= min($largest, $limits['table_mm'], $soft) ? ceil($needed) : null,
        );
    }

    /**
     * The side from which a sheet sags under its own weight. A strip of length L, thickness t and density rho that
     * sticks out sinks by 1.5 rho g L^4 / (E t^2); a given share of L is reached at L proportional to t^(2/3).
     *
     * @param  float  $caliper  mm
     * @param  float  $at  mm, that side for paper of 0.1 mm
     */
    public static function softFrom(float $caliper, float $at): float
    {
        return $at * ($caliper / 0.1) ** (2 / 3);
    }

    /** mm: grammage (g/m2) over density (g/cm3) is thousandths of a mm. */
    public static function caliper(float $grammage, float $density): float
    {
        return $grammage / $density / 1000;
    }
}
