<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/**
 * The defaults of the paper arithmetic as values, from library/paper-rules.yaml, which states their sources. A file
 * that lacks a rule, or states one that cannot be meant, makes none.
 */
final readonly class PaperRules
{
    private const LEVELS = [1, 2, 3, 4, 5];

    private const AGES = ['young', 'junior', 'teen', 'adult', 'mixed'];

    /**
     * @param  array<int, float>  $spoil  chance that a learner spoils a square, by difficulty
     * @param  float  $spareRisk  accepted chance of running out
     * @param  float  $tornKerf  mm lost between neighbours when torn
     * @param  array<string, int>  $squaring  seconds for one square, by method
     * @param  array<string, int>  $cut  seconds for one cut through a stack, by method
     * @param  array<string, int>  $stack  sheets cut at once, by method
     * @param  array<string, float>  $density  g/cm3 by kind of paper
     * @param  array{good: float, most: float}  $stackMm  thickest place on a square of 150 mm
     * @param  array{good: array<string, float>, least: array<string, float>}  $dexterity  mm by age band
     * @param  array<string, int>  $least  mm, smallest sheet by what a model does
     * @param  list<string>  $stiff  what a model does that needs paper which bears itself
     * @param  float  $soft  mm up to which paper of 0.1 mm bears itself
     * @param  float  $table  mm of a place at the table
     * @param  array<int, float>  $tolerance  degrees a model forgives, by difficulty
     * @param  float  $contrast  share of the model from which both sides count as seen
     * @param  int  $seeThrough  g/m2, below
     * @param  int  $grain  g/m2, from
     * @param  int  $seats  learners at a table
     * @param  int  $practice  squares the lead folds before
     * @param  int  $sorting  seconds to put one learner's piece away
     * @param  array<string, string>  $cautions  by method
     */
    private function __construct(
        private array $spoil,
        public float $spareRisk,
        private float $tornKerf,
        private array $squaring,
        private array $cut,
        private array $stack,
        private array $density,
        private array $stackMm,
        private array $dexterity,
        private array $least,
        private array $stiff,
        public float $soft,
        public float $table,
        private array $tolerance,
        public float $contrast,
        public int $seeThrough,
        public int $grain,
        public int $seats,
        public int $practice,
        public int $sorting,
        private array $cautions,
    ) {
    }

    /**
     * @param  array<string, mixed>  $data  the file as it is read
     *
     * @throws BadRules naming the rule
     */
    public static function fromArray(array $data): self
    {
        $file = new RuleFile('library/paper-rules.yaml', $data);
        $methods = array_column(Method::cases(), 'value');

        return new self(
            spoil: $file->numbers('spoil_rate.values', self::LEVELS, 0, 0.5),
            spareRisk: $file->number('spare_risk.value', 0.0001, 0.5),
            tornKerf: $file->number('torn_kerf_mm.value', 0, 20),
            squaring: array_map(intval(...), $file->numbers('squaring_seconds', $methods, 1, 3600)),
            cut: array_map(intval(...), $file->numbers('cut_seconds', $methods, 1, 3600)),
            stack: array_map(intval(...), $file->numbers('stack', $methods, 1, 100)),
            density: $file->numbers('density.values', array_column(PaperKind::cases(), 'value'), 0.05, 5),
            stackMm: [
                'good' => $file->number('stack_mm.good', 0.1, 50),
                'most' => $file->number('stack_mm.most', 0.1, 50),
            ],
            dexterity: [
                'good' => $file->numbers('dexterity_mm.good', self::AGES, 0.1, 50),
                'least' => $file->numbers('dexterity_mm.least', self::AGES, 0.1, 50),
            ],
            least: array_map(intval(...), $file->numbers('least_mm.values', [], 10, 2000)),
            stiff: $file->texts('least_mm.stiff'),
            soft: $file->number('soft_mm.value', 10, 5000),
            table: $file->number('table_mm.value', 100, 5000),
            tolerance: $file->numbers('square_tolerance.values', self::LEVELS, 0.05, 10),
            contrast: $file->number('notes.contrast', 0, 1),
            seeThrough: (int) $file->number('notes.see_through', 5, 600),
            grain: (int) $file->number('notes.grain', 5, 600),
            seats: (int) $file->number('table_seats.value', 1, 20),
            practice: (int) $file->number('practice.value', 0, 20),
            sorting: (int) $file->number('sorting_seconds.value', 0, 600),
            cautions: $file->sentences('cautions', $methods),
        );
    }

    /** @param  int  $difficulty  1 to 5 */
    public function spoilRate(int $difficulty): float
    {
        return $this->spoil[$difficulty];
    }

    /** @return float mm lost between neighbours: a blade loses nothing that counts */
    public function kerf(Method $method): float
    {
        return $method === Method::Tear ? $this->tornKerf : 0.0;
    }

    /** Seconds for one square by folding a corner over. */
    public function squaringSeconds(Method $method): int
    {
        return $this->squaring[$method->value];
    }

    /** Seconds for one straight cut through a stack. */
    public function cutSeconds(Method $method): int
    {
        return $this->cut[$method->value];
    }

    /** Sheets of office paper cut at once. */
    public function stack(Method $method): int
    {
        return $this->stack[$method->value];
    }

    /** g/cm3; of a kind that is not listed that of other paper. */
    public function density(string $kind): float
    {
        return $this->density[$kind] ?? $this->density['other'];
    }

    /**
     * What hands of an age, a table and the paper set as limits.
     *
     * @return array{stack_mm: float, stack_most_mm: float, dexterity_mm: float, dexterity_least_mm: float,
     *     table_mm: float, soft_mm: float}
     */
    public function limits(string $ageBand): array
    {
        return [
            'stack_mm' => $this->stackMm['good'],
            'stack_most_mm' => $this->stackMm['most'],
            'dexterity_mm' => $this->dexterity['good'][$ageBand] ?? $this->dexterity['good']['junior'],
            'dexterity_least_mm' => $this->dexterity['least'][$ageBand] ?? $this->dexterity['least']['junior'],
            'table_mm' => $this->table,
            'soft_mm' => $this->soft,
        ];
    }

    /**
     * mm, the smallest sheet from which a model still does what it is for; null when it does nothing.
     *
     * @param  list<string>  $does
     */
    public function leastSheet(array $does): ?float
    {
        $least = array_intersect_key($this->least, array_flip($does));

        return $least === [] ? null : (float) max($least);
    }

    /** @param  list<string>  $does */
    public function mustBearItself(array $does): bool
    {
        return array_intersect($does, $this->stiff) !== [];
    }

    /** Degrees by which a square may be out, for a model of this difficulty (1 to 5). */
    public function squareTolerance(int $difficulty): float
    {
        return $this->tolerance[$difficulty];
    }

    public function caution(Method $method): string
    {
        return $this->cautions[$method->value];
    }
}
