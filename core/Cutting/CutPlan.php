<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

/** How many sheets of which stock are cut into which squares. Areas in mm2. */
final readonly class CutPlan
{
    public float $area;

    /** No plan for the same squares takes less; at most the area. */
    public float $bound;

    /**
     * @param  list<CutSheet>  $sheets  one entry for each pattern
     * @param  array<int, int>  $unmet  squares that this paper cannot give, by size; none of 0
     */
    private function __construct(
        public CutRequest $request,
        public array $sheets,
        public array $unmet,
        float $bound,
        public Verdict $verdict,
    ) {
        $area = 0.0;
        foreach ($sheets as $sheet) {
            $area += $sheet->times * $request->areaOf($sheet->stock);
        }
        $this->area = $area;
        $this->bound = min($area, $bound);
    }

    /**
     * @param  list<CutSheet>  $sheets
     * @param  array<int, int>  $unmet  by size
     */
    public static function of(CutRequest $request, array $sheets, array $unmet, float $bound, Verdict $verdict): self
    {
        return new self(
            request: $request,
            sheets: $sheets,
            unmet: array_filter($unmet),
            bound: $bound,
            verdict: $verdict,
        );
    }

    /** The same, with what was learnt about it meanwhile. */
    public function judged(float $bound, Verdict $verdict): self
    {
        return new self(
            request: $this->request,
            sheets: $this->sheets,
            unmet: $this->unmet,
            bound: $bound,
            verdict: $verdict,
        );
    }

    public function isFeasible(): bool
    {
        return $this->unmet === [];
    }

    public function isProven(): bool
    {
        return $this->verdict === Verdict::Proven;
    }

    public function missing(): int
    {
        return array_sum($this->unmet);
    }

    public function sheetsUsed(): int
    {
        return array_sum(array_map(static fn (CutSheet $s): int => $s->times, $this->sheets));
    }

    /** Share of the area that a better plan might save; 0 when proven. */
    public function gap(): float
    {
        return $this->area > 0 ? 1 - $this->bound / $this->area : 0.0;
    }

    /**
     * The form in which `cathedra:cut-plan` prints it.
     *
     * @return array{sheets: list<array{stock: string, times: int, squares: list<array{x_mm: float, y_mm: float,
     *     side_mm: float}>}>, feasible: bool, unmet: list<array{side_mm: float, count: int}>, sheets_used: int,
     *     used_area_mm2: float, lower_bound_area_mm2: float, optimal: bool}
     */
    public function toArray(): array
    {
        $sizes = $this->request->sizes();
        $unmet = [];
        foreach ($this->unmet as $size => $count) {
            $unmet[] = ['side_mm' => round($sizes[$size]['side'], 3), 'count' => $count];
        }

        return [
            'sheets' => array_map(
                fn (CutSheet $s): array => [
                    'stock' => $this->request->stock[$s->stock]->name,
                    'times' => $s->times,
                    'squares' => array_map(static fn (Square $q): array => $q->toArray(), $s->squares),
                ],
                $this->sheets,
            ),
            'feasible' => $this->isFeasible(),
            'unmet' => $unmet,
            'sheets_used' => $this->sheetsUsed(),
            'used_area_mm2' => round($this->area, 3),
            'lower_bound_area_mm2' => round($this->bound, 3),
            'optimal' => $this->isFeasible() && $this->isProven(),
        ];
    }
}
