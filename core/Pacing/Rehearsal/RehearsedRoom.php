<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Pacing\BadPlan;

/**
 * A room and the steps that are taught in it. Learner i folds step k in
 * fold_k * factor * exp(theta_i + eps_ik) seconds, theta ~ N(0, between^2) kept through the lesson, and
 * eps ~ N(0, within^2).
 */
final readonly class RehearsedRoom
{
    public const MAX_LEARNERS = 200;

    public const MAX_HELPERS = 50;

    public const MAX_STEPS = 1000;

    public const MAX_RUNS = 10_000;

    /** Learners times steps times runs; about a third of a microsecond each. */
    public const MAX_WORK = 30_000_000;

    /** Without a helper a learner who is stuck is helped by one who leaves off: it takes so much longer (estimate). */
    public const ALONE = 2.0;

    /** Seconds; a step of more than a working day is a slip. */
    private const LONGEST = 36_000.0;

    /**
     * @param  int  $helpers  who serve the queue of those who are stuck
     * @param  float  $gate  share of the learners that has done a step before the next is shown
     * @param  float  $miss  factor on the chance to get stuck for who missed the demonstration
     * @param  float|null  $bell  seconds from the first demonstration
     * @param  list<PacedStep>  $steps
     * @param  int  $rounds  small groups of so many learners, one after the other
     * @param  float  $once  seconds before the first round that no other round repeats
     * @param  float  $change  seconds between two rounds
     */
    public function __construct(
        public int $learners,
        public int $helpers,
        public float $gate,
        public float $between,
        public float $within,
        public float $factor,
        public float $miss,
        public ?float $bell,
        public array $steps,
        public int $rounds = 1,
        public float $once = 0.0,
        public float $change = 0.0,
    ) {
        self::within($learners, 1, self::MAX_LEARNERS, 'learners');
        self::within($helpers, 0, self::MAX_HELPERS, 'helpers');
        self::within($gate, 0.001, 1, 'gate');
        self::within($between, 0, 2, 'sigma_between');
        self::within($within, 0, 2, 'sigma_within');
        self::within($factor, 0.01, 100, 'factor');
        self::within($miss, 0, 100, 'miss_factor');
        $bell === null || self::within($bell, 0, 100 * self::LONGEST, 'bell_s');
        self::within($rounds, 1, self::MAX_LEARNERS, 'rounds');
        self::within(count($steps), 1, self::MAX_STEPS, 'steps (their number)');
        foreach ($steps as $k => $step) {
            self::within($step->demo, 0, self::LONGEST, "steps.$k.demo_s");
            self::within($step->fold, 0, self::LONGEST, "steps.$k.fold_s");
            self::within($step->stuck, 0, 1, "steps.$k.stuck_chance");
            self::within($step->help, 0, self::LONGEST, "steps.$k.help_s");
        }
    }

    /**
     * @param  mixed  $data  {"learners", "helpers", "gate", "sigma_between", "sigma_within", "factor", "miss_factor",
     *     "bell_s": number|null, "steps": [{"demo_s", "fold_s", "stuck_chance", "help_s", "checkpoint"}]}
     *
     * @throws BadPlan naming the place and what may stand there
     */
    public static function fromArray(mixed $data): self
    {
        $data = is_array($data) ? $data : throw new BadPlan('The input must be a JSON object.');
        $steps = $data['steps'] ?? null;
        if (! is_array($steps) || ! array_is_list($steps)) {
            throw new BadPlan('"steps" must be a list of steps.');
        }

        return new self(
            learners: self::whole($data, 'learners'),
            helpers: self::whole($data, 'helpers'),
            gate: self::number($data, 'gate'),
            between: self::number($data, 'sigma_between'),
            within: self::number($data, 'sigma_within'),
            factor: self::number($data, 'factor'),
            miss: self::number($data, 'miss_factor'),
            bell: ($data['bell_s'] ?? null) === null ? null : self::number($data, 'bell_s'),
            steps: array_map(self::step(...), $steps, array_keys($steps)),
        );
    }

    /** How many must have done step k before the next is shown; 0.55 of 20 is 11, whatever binary fractions say. */
    public function needed(int $k): int
    {
        return $this->steps[$k]->checkpoint
            ? $this->learners
            : max(1, (int) ceil(round($this->gate * $this->learners, 9)));
    }

    /** @param  array<string, mixed>  $change  of its properties */
    public function with(array $change): self
    {
        return new self(...$change + get_object_vars($this));
    }

    private static function step(mixed $step, int $k): PacedStep
    {
        if (! is_array($step)) {
            throw new BadPlan("\"steps.$k\" must be an object.");
        }
        $checkpoint = $step['checkpoint'] ?? false;

        return new PacedStep(
            demo: self::number($step, 'demo_s', "steps.$k."),
            fold: self::number($step, 'fold_s', "steps.$k."),
            stuck: self::number($step, 'stuck_chance', "steps.$k."),
            help: self::number($step, 'help_s', "steps.$k."),
            checkpoint: is_bool($checkpoint)
                ? $checkpoint
                : throw new BadPlan("\"steps.$k.checkpoint\" must be true or false."),
        );
    }

    /** @param  array<array-key, mixed>  $data */
    private static function whole(array $data, string $key): int
    {
        return is_int($data[$key] ?? null) ? $data[$key] : throw new BadPlan("\"$key\" must be a whole number.");
    }

    /** @param  array<array-key, mixed>  $data */
    private static function number(array $data, string $key, string $in = ''): float
    {
        $value = $data[$key] ?? null;

        return is_int($value) || is_float($value)
            ? (float) $value
            : throw new BadPlan("\"$in$key\" must be a number.");
    }

    private static function within(float $value, float $least, float $most, string $name): void
    {
        if (! ($value >= $least && $value <= $most)) {
            throw new BadPlan(sprintf('"%s" must lie between %s and %s, not %s.', $name, $least, $most, $value));
        }
    }
}
