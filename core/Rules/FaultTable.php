<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** How likely what goes wrong is, from library/faults.yaml, which states its source. */
final readonly class FaultTable
{
    private const KINDS = [
        'front-only', 'not-turned', 'one-side', 'layer-more', 'plainly', 'other-base', 'layer-less', 'wrong-side',
        'half-turned', 'petal-line', 'guide-left', 'quarter-turned', 'left-for-right', 'near-for-far', 'short',
        'too-far', 'unlike',
    ];

    private const FACTORS = [
        'after-turning', 'few-layers', 'thick', 'guide-twice', 'to-one-line', 'mirror-alike', 'held-across',
        'unnoticed', 'told', 'untold',
    ];

    /**
     * @param  array<string, float>  $weights  by kind of fault
     * @param  array<string, float>  $factors  by situation
     * @param  float  $least  a fault with less is not shown
     * @param  float  $prior  sightings the weights stand for
     */
    private function __construct(public array $weights, public array $factors, public float $least, public float $prior)
    {
    }

    /**
     * @param  array<string, mixed>  $data  the file as it is read
     *
     * @throws BadRules naming what is missing or cannot be meant
     */
    public static function fromArray(array $data): self
    {
        $file = new RuleFile('library/faults.yaml', $data);
        $file->sentence('source');

        return new self(
            $file->numbers('weights', self::KINDS, 0.0, 20.0),
            $file->numbers('factors', self::FACTORS, 0.1, 5.0),
            $file->number('least', 0.0, 20.0),
            $file->number('prior', 1.0, 1000.0),
        );
    }
}
