<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** What is known of each kind of fold, from library/folds.yaml, which states its source. */
final readonly class FoldTable
{
    /**
     * @param  array<string, array{fold: float, show: float}>  $seconds  by kind: an adult beginner's median, and the
     *     demonstration; a part for the step and one for every fold of the hands
     * @param  array<string, float>  $weights  by kind
     * @param  array<string, list<string>>  $buildsOn  kinds by kind, where there are some
     */
    private function __construct(
        public array $seconds,
        public array $weights,
        public array $buildsOn,
        public string $source,
    ) {
    }

    /**
     * @param  array<string, mixed>  $data  the file as it is read
     *
     * @throws BadRules naming the fold and what is wrong with it
     */
    public static function fromArray(array $data): self
    {
        $file = new RuleFile('library/folds.yaml', $data);
        $seconds = [];
        $weights = [];
        $buildsOn = [];
        $kinds = $file->keys('folds');
        $parts = $file->numbers('seconds', ['step', 'each', 'show_step', 'show_each'], 0, 600);
        foreach ($kinds as $kind) {
            $times = $file->number("folds.$kind.hands", 0.1, 10) * $file->number("folds.$kind.factor", 0.2, 5);
            $seconds[$kind] = [
                'fold' => $parts['step'] + $parts['each'] * $times,
                'show' => $parts['show_step'] + $parts['show_each'] * $times,
            ];
            $weights[$kind] = $file->number("folds.$kind.weight", 0.01, 10);
            if ($file->has("folds.$kind.builds_on")) {
                $buildsOn[$kind] = $file->texts("folds.$kind.builds_on");
                if (array_diff($buildsOn[$kind], $kinds) !== []) {
                    throw new BadRules("library/folds.yaml: folds.$kind.builds_on names a fold that is not listed.");
                }
            }
        }

        return new self($seconds, $weights, $buildsOn, $file->sentence('source'));
    }
}
