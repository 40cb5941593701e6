<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * All paper one lesson takes: for every learner, every spare and the lead's own practice each piece of the model, from one
 * stock. A model from an uncut sheet takes sheets as they are. Lengths in mm.
 *
 * @phpstan-import-type Plan from CutPlanner
 */
final readonly class LessonPaper
{
    /**
     * @param  list<array{title: string, side: float, count: int}>  $pieces
     * @param  Plan|null  $plan  null: sheets are not cut
     */
    private function __construct(public Stock $stock, public float $side, public array $pieces, public int $sets, public int $spares, public bool $uncut, public int $sheets, public ?array $plan, public ?float $smallerSide)
    {
    }

    /**
     * @param  list<array{title: string, scale: float}>  $parts  further pieces; scale: side over that of the main one
     * @param  float  $ratio  of the model's sheet; 1 for a square
     * @param  float|null  $side  of the main square; null: the largest one the sheet gives
     * @param  int  $practice  sets for the lead
     *
     * @throws BadPaper when a square is out of bounds
     */
    public static function for(Stock $stock, int $learners, int $spares, int $practice, string $title, float $ratio, array $parts, ?float $side, float $kerf, float $trim): self
    {
        $sets = $learners + $spares + $practice;
        if (abs($ratio - 1) > 1e-6) {
            return new self($stock, min($stock->width, $stock->height), [['title' => $title, 'side' => min($stock->width, $stock->height), 'count' => $sets]], $sets, $spares, true, $sets, null, null);
        }
        $side ??= min($stock->width, $stock->height) - 2 * $trim;
        $pieces = [['title' => $title, 'side' => $side, 'count' => $sets]];
        foreach ($parts as $part) {
            $pieces[] = ['title' => $part['title'], 'side' => round($side * $part['scale'], 1), 'count' => $sets];
        }
        foreach ($pieces as $piece) {
            if ($piece['side'] < Stock::MIN_MM || $piece['side'] > Stock::MAX_MM) {
                throw new BadPaper('/side_mm', sprintf('A square must have between %d and %d mm; %s would have %s mm.', Stock::MIN_MM, Stock::MAX_MM, $piece['title'], round($piece['side'], 1)));
            }
        }
        $plenty = Stock::of($stock->name, $stock->width, $stock->height, null);
        $plan = CutPlanner::plan(new CutRequest([$plenty], array_map(static fn (array $p): array => ['side' => $p['side'], 'count' => $p['count']], $pieces), $kerf, $trim), 2.0);
        $smaller = $stock->count !== null && $plan['sheets_used'] > $stock->count && $parts === [] ? LargestSquare::from([$stock], $sets, $kerf, $trim)['side_mm'] ?? null : null;

        return new self($stock, $side, $pieces, $sets, $spares, false, $plan['sheets_used'], $plan, $smaller);
    }

    public function short(): int
    {
        return $this->stock->count === null ? 0 : max(0, $this->sheets - $this->stock->count);
    }

    public function fits(): bool
    {
        return $this->plan === null || $this->plan['feasible'];
    }
}
