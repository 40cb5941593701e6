<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** What is known of each kind of fold, from library/folds.yaml, which states its source. */
final readonly class FoldTable
{
    /**
     * @param  array<string, array{fold: float, show: float}>  $seconds  by kind: an adult beginner's median, and the
     *     demonstration
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
        foreach ($kinds as $kind) {
            $seconds[$kind] = [
                'fold' => $file->number("folds.$kind.fold", 1, 3600),
                'show' => $file->number("folds.$kind.show", 1, 3600),
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
