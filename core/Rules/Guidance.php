<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** The guidance of every kind of fold, from library/guidance.yaml, which states its source. */
final readonly class Guidance
{
    /** More faults than these nobody reads while twenty people wait. */
    private const MOST_FAULTS = 3;

    /** @param  array<string, FoldGuidance>  $folds  by kind, in the order of the file */
    private function __construct(public array $folds, public string $source)
    {
    }

    /**
     * @param  array<string, mixed>  $data  the file as it is read
     * @param  list<string>  $kinds  every kind of fold there is: each has its guidance, and nothing else has
     *
     * @throws BadRules naming the fold and what is wrong with it
     */
    public static function fromArray(array $data, array $kinds): self
    {
        $file = new RuleFile('library/guidance.yaml', $data);
        $folds = [];
        foreach ($file->keys('folds') as $kind) {
            in_array($kind, $kinds, true) || throw new BadRules(
                "library/guidance.yaml: folds.$kind is no kind of fold; kinds are: ".implode(', ', $kinds).'.',
            );
            $folds[$kind] = self::fold($file, $kind);
        }
        foreach (array_diff($kinds, array_keys($folds)) as $kind) {
            throw new BadRules("library/guidance.yaml: folds.$kind is missing; every kind of fold has its guidance.");
        }

        return new self($folds, $file->sentence('source'));
    }

    private static function fold(RuleFile $file, string $kind): FoldGuidance
    {
        $at = "folds.$kind";
        $faults = $file->keys("$at.wrong");
        if ($faults === [] || count($faults) > self::MOST_FAULTS) {
            throw new BadRules("library/guidance.yaml: $at.wrong lists one to ".self::MOST_FAULTS.' faults.');
        }

        return new FoldGuidance(
            kind: $kind,
            what: $file->sentence("$at.what"),
            hold: $file->sentence("$at.hold"),
            press: $file->sentence("$at.press"),
            stop: $file->sentence("$at.stop"),
            wrong: array_map(
                static fn (string $i): array => [
                    'looks' => $file->sentence("$at.wrong.$i.looks"),
                    'cause' => $file->sentence("$at.wrong.$i.cause"),
                    'remedy' => $file->sentence("$at.wrong.$i.remedy"),
                ],
                $faults,
            ),
            safer: $file->sentence("$at.safer"),
        );
    }
}
