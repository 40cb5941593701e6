<?php

declare(strict_types=1);

namespace Cathedra\Core\Kit;

use Cathedra\Core\Cutting\CutPlan;
use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;
use Cathedra\Core\Cutting\LargestSquare;
use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\ModelPaper;
use Cathedra\Core\Paper\Stock;
use Closure;

/**
 * All paper a lesson takes: for every learner, every spare and the lead's own practice each piece of each model, from a
 * pile of one stock or several. A model from an uncut sheet takes sheets as they are, of the stock nearest to its
 * shape. When the pile does not do, the plan is made as if there were plenty of the first stock (or of all, where the
 * first gives none of the squares), and what is missing is counted. Lengths in mm.
 *
 * @phpstan-type Piece array{model: int, title: string, side: float, count: int, uncut: bool}
 */
final readonly class LessonPaper
{
    /** Smallest share of the wanted squares that is offered when paper is short. */
    private const LEAST_SHARE = 0.4;

    /** Work allowed for each plan, and for each of the many that are tried for smaller squares. */
    private const STEPS = 2 * CutPlanner::STEPS_A_SECOND;

    private const QUICK_STEPS = 3 * CutPlanner::STEPS_A_SECOND / 10;

    /**
     * @param  non-empty-list<Stock>  $pile
     * @param  list<ModelPaper>  $models
     * @param  array<int, float>  $sides  by model: the main square's side, or the shorter side of the uncut sheet
     * @param  list<Piece>  $pieces
     * @param  list<array{model: int, stock: int, sheets: int}>  $uncut
     * @param  CutPlan|null  $plan  null: nothing is cut
     * @param  array<int, int>  $takes  sheets by stock
     * @param  array<int, int>  $short  sheets missing by stock
     * @param  float|null  $smaller  share of all wanted sides for which the pile is enough; null when it is enough
     *     anyway or for nothing useful
     */
    private function __construct(
        public array $pile,
        public array $models,
        public array $sides,
        public array $pieces,
        public array $uncut,
        public ?CutPlan $plan,
        public array $takes,
        public array $short,
        public ?float $smaller,
    ) {
    }

    /**
     * @param  non-empty-list<Stock>  $pile  the first is the one that sides come from
     * @param  list<ModelPaper>  $models
     * @param  (Closure(): Budget)|null  $work  gives the work allowed for each plan that is tried; null: the usual
     *
     * @throws BadPaper when a square is out of bounds
     */
    public static function for(
        array $pile,
        array $models,
        float $kerf,
        Prefer $prefer = Prefer::Least,
        ?Closure $work = null,
    ): self {
        $work ??= static fn (): Budget => Budget::steps(self::STEPS);
        $sides = [];
        $pieces = [];
        $uncut = [];
        $left = $pile;
        foreach ($models as $m => $model) {
            $sides[$m] = $model->uncut() ? 0.0 : $model->side ?? $pile[0]->largest();
            if ($model->uncut()) {
                $stock = self::nearest($pile, $model->ratio);
                $sides[$m] = min($pile[$stock]->width, $pile[$stock]->height);
                $uncut[] = ['model' => $m, 'stock' => $stock, 'sheets' => $model->sets()];
                $left[$stock] = $left[$stock]->without($model->sets());
            }
            $parts = [['title' => $model->title, 'scale' => 1.0], ...$model->uncut() ? [] : $model->parts];
            foreach ($parts as ['title' => $title, 'scale' => $scale]) {
                $pieces[] = [
                    'model' => $m,
                    'title' => $title,
                    'side' => $scale === 1.0 ? $sides[$m] : round($sides[$m] * $scale, 1),
                    'count' => $model->sets(),
                    'uncut' => $model->uncut(),
                ];
            }
        }
        self::check($pieces);
        $cut = array_values(array_filter($pieces, static fn (array $p): bool => ! $p['uncut']));
        $plan = $cut === [] ? null : self::plan(
            left: $left,
            pile: $pile,
            cut: $cut,
            kerf: $kerf,
            prefer: $prefer,
            work: $work,
        );
        $takes = array_fill(0, count($pile), 0);
        foreach ($uncut as ['stock' => $stock, 'sheets' => $sheets]) {
            $takes[$stock] += $sheets;
        }
        foreach ($plan->sheets ?? [] as $sheet) {
            $takes[$sheet->stock] += $sheet->times;
        }
        $short = array_map(
            static fn (Stock $s, int $n): int => $s->count === null ? 0 : max(0, $n - $s->count),
            $pile,
            $takes,
        );
        $smaller = array_sum($short) > 0 && $uncut === [] ? self::enoughFor(
            left: $left,
            cut: $cut,
            sides: $sides,
            kerf: $kerf,
            prefer: $prefer,
        ) : null;

        return new self(
            pile: $pile,
            models: $models,
            sides: $sides,
            pieces: $pieces,
            uncut: $uncut,
            plan: $plan,
            takes: $takes,
            short: $short,
            smaller: $smaller,
        );
    }

    /**
     * @return non-empty-list<int> the stocks a model's own square or sheet comes from; the first stock while there is
     *     no plan
     */
    public function stocksOf(int $model): array
    {
        $found = [];
        foreach ($this->uncut as ['model' => $m, 'stock' => $stock]) {
            $m === $model && ($found[] = $stock);
        }
        $size = $found === [] ? $this->sizeOf($model) : null;
        foreach ($this->plan->sheets ?? [] as $sheet) {
            $size !== null && $sheet->gives($size) && ($found[] = $sheet->stock);
        }
        sort($found);

        return array_values(array_unique($found)) ?: [0];
    }

    /** The size of a model's own square among those of the plan; its first piece is the square itself. */
    private function sizeOf(int $model): ?int
    {
        $cut = array_values(array_filter($this->pieces, static fn (array $p): bool => ! $p['uncut']));
        $at = array_search($model, array_column($cut, 'model'), true);

        return $at === false ? null : $this->plan?->request->sizeOf($at);
    }

    public function short(): int
    {
        return array_sum($this->short);
    }

    public function sheets(): int
    {
        return array_sum($this->takes);
    }

    /** Whether there is a stock in the pile for every square. */
    public function fits(): bool
    {
        return $this->plan === null || $this->plan->isFeasible();
    }

    /** The largest square that fits on none of the pile; null when all fit. */
    public function tooBig(): ?float
    {
        $sizes = $this->plan?->request->sizes() ?? [];
        $unmet = array_keys($this->plan->unmet ?? []);

        return $this->fits() ? null : max([0.0, ...array_map(static fn (int $i): float => $sizes[$i]['side'], $unmet)]);
    }

    /**
     * @param  list<Stock>  $pile
     * @return int the stock whose shape is nearest
     */
    private static function nearest(array $pile, float $ratio): int
    {
        $off = array_map(
            static fn (Stock $s): float => abs(
                log(max($s->width, $s->height) / min($s->width, $s->height)) - abs(log($ratio)),
            ),
            $pile,
        );

        return (int) array_search(min([INF, ...$off]), $off, true);
    }

    /**
     * @param  list<Piece>  $pieces
     *
     * @throws BadPaper
     */
    private static function check(array $pieces): void
    {
        foreach ($pieces as $piece) {
            if ($piece['side'] < Stock::MIN_MM || $piece['side'] > Stock::MAX_MM) {
                throw new BadPaper(
                    '/side_mm',
                    sprintf(
                        'A square must have between %d and %d mm; %s would have %s mm.',
                        Stock::MIN_MM,
                        Stock::MAX_MM,
                        $piece['title'],
                        round($piece['side'], 1),
                    ),
                );
            }
        }
    }

    /**
     * From the pile if it does; else with plenty of the first stock, else with plenty of all.
     *
     * @param  array<int, Stock>  $left
     * @param  non-empty-list<Stock>  $pile
     * @param  list<Piece>  $cut
     * @param  Closure(): Budget  $work
     */
    private static function plan(
        array $left,
        array $pile,
        array $cut,
        float $kerf,
        Prefer $prefer,
        Closure $work,
    ): CutPlan {
        $need = array_map(static fn (array $p): array => ['side' => $p['side'], 'count' => $p['count']], $cut);
        $of = static fn (array $pile): CutRequest => new CutRequest(
            stock: array_values($pile),
            need: $need,
            kerf: $kerf,
            trim: 0.0,
            prefer: $prefer,
        );
        $plan = CutPlanner::plan($of($left), $work());
        if (! $plan->isFeasible()) {
            $plan = CutPlanner::plan($of(array_replace($left, [0 => $pile[0]->plenty()])), $work());
        }
        if (! $plan->isFeasible()) {
            $plan = CutPlanner::plan($of(array_map(static fn (Stock $s): Stock => $s->plenty(), $left)), $work());
        }

        return $plan;
    }

    /**
     * The largest share of all sides for which the pile is enough, so that the main side of the first model is a whole
     * number of tenths of a mm: by halving for several sizes, exactly for one.
     *
     * @param  array<int, Stock>  $left
     * @param  list<Piece>  $cut
     * @param  array<int, float>  $sides
     */
    private static function enoughFor(array $left, array $cut, array $sides, float $kerf, Prefer $prefer): ?float
    {
        if (count($cut) === 1) {
            $largest = LargestSquare::from(array_values($left), $cut[0]['count'], $kerf)['side_mm'] ?? 0.0;

            return $largest >= self::LEAST_SHARE * $cut[0]['side'] && $largest < $cut[0]['side']
                ? $largest / $cut[0]['side']
                : null;
        }
        [$enough, $short] = [(int) (self::LEAST_SHARE * $sides[0]), (int) ceil($sides[0])]; // mm of the first side
        $does = static fn (int $mm): bool => CutPlanner::plan(
            new CutRequest(
                stock: array_values($left),
                need: array_map(
                    static fn (array $p): array => [
                        'side' => round(($p['side'] * $mm) / $sides[0], 1),
                        'count' => $p['count'],
                    ],
                    $cut,
                ),
                kerf: $kerf,
                trim: 0.0,
                prefer: $prefer,
            ),
            Budget::steps(self::QUICK_STEPS),
        )->isFeasible();
        if (! $does($enough)) {
            return null;
        }
        while ($short - $enough > 1) {
            $middle = intdiv($enough + $short, 2);
            [$enough, $short] = $does($middle) ? [$middle, $short] : [$enough, $middle];
        }

        return $enough / $sides[0];
    }
}
