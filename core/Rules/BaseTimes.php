<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** The times a plan starts from, in seconds, from library/base-times.yaml and folds.yaml, which state their sources. */
final readonly class BaseTimes
{
    private const BLOCKS = ['arrive', 'checkpoint', 'clear', 'hand_out', 'next_model', 'decorate', 'talk', 'display',
        'rotate'];

    private const LEVELS = [1, 2, 3, 4, 5];

    /**
     * @param  array<string, array{fold: float, show: float}>  $folds  by kind of fold
     * @param  array<string, array{label: string, factor: float, from: float|null}>  $ages  by age band; the age of
     *     its youngest, where it is a band of years
     * @param  float  $layersFactor  more for each layer beyond two under the crease
     * @param  float  $spread  sigma of ln(pace) between learners
     * @param  float  $alsoFactor  a step done on both sides, against one side
     * @param  float  $helpSeconds  a helper's visit
     * @param  array<int, float>  $stuckRate  share who need help at a step, by its level 1 to 5
     * @param  float  $ownSpread  sigma of ln(time) of one learner from step to step
     * @param  float  $missFactor  on the chance to get stuck for who missed the demonstration
     * @param  float  $repeatFactor  a passage done again, against the first time
     * @param  float  $repeatShow  showing it again, against the first time
     * @param  float  $knownFactor  a fold that most of the group can do, against the first time
     * @param  float  $knownStuck  on the chance to get stuck at such a fold
     * @param  float  $smallFactor  a step whose shortest crease is shorter than $smallMm
     * @param  float  $hardPaper  paper that folds the model hardly, against paper that folds it well
     * @param  float  $smallGroup  learners of a small group at most
     * @param  float  $priorMarks  marks of taught lessons that the estimate of a fold is worth
     * @param  float  $groupSpread  sigma of ln(pace) between groups of one age band
     * @param  float  $priorLessons  lessons of a group that its expected pace is worth
     * @param  float  $fullMarks  a lesson of m marks says as much as m / (m + this) of one marked throughout
     * @param  float  $leadSpread  sigma of ln(time of showing) between leads
     * @param  float  $showSpread  sigma of ln(time of showing) of one lead from step to step
     * @param  array<string, float>  $weights  by kind of fold: how hard it is by itself
     * @param  array<string, float>  $blocks  arrive, hand_out, checkpoint, next_model, decorate, talk, display, clear,
     *     and rotate: to change places between small groups
     * @param  array<string, float>  $learned  by kind of fold: factors that taught lessons gave
     * @param  float  $showing  a factor on every demonstration, as this lead's taught lessons gave it
     */
    private function __construct(
        public array $folds,
        public array $ages,
        public float $layersFactor,
        public float $spread,
        public float $alsoFactor,
        public float $helpSeconds,
        public array $stuckRate,
        public array $blocks,
        public string $source,
        public float $ownSpread,
        public float $missFactor,
        public float $repeatFactor,
        public float $repeatShow,
        public float $knownFactor,
        public float $knownStuck,
        public float $smallFactor,
        public float $smallMm,
        public float $hardPaper,
        public float $smallGroup,
        public float $priorMarks,
        public float $groupSpread,
        public float $priorLessons,
        public float $fullMarks,
        public float $leadSpread,
        public float $showSpread,
        public array $weights,
        public array $learned = [],
        public float $showing = 1.0,
    ) {
    }

    /** The band of those who are so many years old; the youngest band for younger ones. */
    public function bandOf(int $years): string
    {
        $bands = array_filter(array_map(static fn (array $age): ?float => $age['from'], $this->ages), is_float(...));
        asort($bands);
        $reached = array_filter($bands, static fn (float $from): bool => $from <= $years);

        return (string) (array_key_last($reached) ?? array_key_first($bands) ?? array_key_first($this->ages));
    }

    /**
     * @param  array<string, float>  $factors  by kind of fold, as taught lessons gave them
     * @param  float  $showing  the same of the lead's demonstrations
     */
    public function learned(array $factors, float $showing = 1.0): self
    {
        return new self(...['learned' => $factors, 'showing' => $showing] + get_object_vars($this));
    }

    /**
     * @param  array<string, mixed>  $data  the file as it is read
     *
     * @throws BadRules naming the rule
     */
    public static function fromArray(array $data, FoldTable $folds): self
    {
        $file = new RuleFile('library/base-times.yaml', $data);
        $ages = [];
        foreach ($file->keys('age_factor') as $age) {
            $ages[$age] = [
                'label' => $file->sentence("age_factor.$age.label"),
                'factor' => $file->number("age_factor.$age.factor", 0.1, 10),
                'from' => $file->has("age_factor.$age.from") ? $file->number("age_factor.$age.from", 0, 99) : null,
            ];
        }

        return new self(
            folds: $folds->seconds,
            ages: $ages,
            layersFactor: $file->number('layers_factor', 0, 5),
            spread: $file->number('slowest_spread', 0, 2),
            alsoFactor: $file->number('also_factor', 1, 5),
            helpSeconds: $file->number('help_seconds', 0, 3600),
            stuckRate: $file->numbers('stuck_rate', self::LEVELS, 0, 1),
            blocks: $file->numbers('blocks', self::BLOCKS, 0, 7200),
            source: $file->sentence('source'),
            ownSpread: $file->number('own_spread', 0, 2),
            missFactor: $file->number('miss_factor', 1, 10),
            repeatFactor: $file->number('repeat_factor', 0.6, 0.85),
            repeatShow: $file->number('repeat_show', 0, 1),
            knownFactor: $file->number('known_factor', 0.3, 1),
            knownStuck: $file->number('known_stuck', 0, 1),
            smallFactor: $file->number('small_factor', 1, 3),
            smallMm: $file->number('small_mm', 0, 200),
            hardPaper: $file->number('hard_paper_factor', 1, 3),
            smallGroup: $file->number('small_group', 2, 20),
            priorMarks: $file->number('prior_marks', 0.1, 1000),
            groupSpread: $file->number('group_spread', 0.01, 2),
            priorLessons: $file->number('prior_lessons', 0.1, 100),
            fullMarks: $file->number('full_marks', 0, 1000),
            leadSpread: $file->number('lead_spread', 0.01, 2),
            showSpread: $file->number('show_spread', 0, 2),
            weights: $folds->weights,
        );
    }
}
