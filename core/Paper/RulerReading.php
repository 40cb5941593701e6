<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * A learner's ruler reading beside what the formula predicts for the sheet that was used. Every layer that is folded
 * round takes about its own thickness, so readings are often a little smaller inside and larger outside than the ideal.
 */
final readonly class RulerReading
{
    /**
     * Share of the predicted length within which a reading is as good as the prediction: folds drift, rulers are read
     * to a mm.
     */
    private const CLOSE = 0.03;

    /** mm; nobody reads a ruler better. */
    private const RULER = 1.0;

    /** Beyond this share it is rather another edge, another unit or another sheet. */
    private const WILD = 0.25;

    /** @param  'same'|'larger'|'smaller'|'other-unit'|'wild'  $why */
    private function __construct(public float $predicted, public float $read, public string $why)
    {
    }

    /**
     * @param  float  $predicted  mm
     * @param  float  $read  mm
     * @param  float  $stack  mm of paper at the rim: layers times caliper
     */
    public static function against(float $predicted, float $read, float $stack): self
    {
        $off = $read - $predicted;
        $close = max(self::RULER, self::CLOSE * $predicted, $stack);

        return new self(
            $predicted,
            $read,
            match (true) {
                abs($off) <= $close => 'same',
                abs($read * 25.4 - $predicted) <= 25.4 * $close ||
                    abs($read * 10 - $predicted) <= 10 * $close ||
                    abs($read / 10 - $predicted) <= $close => 'other-unit',
                abs($off) > self::WILD * $predicted => 'wild',
                default => $off > 0 ? 'larger' : 'smaller',
            },
        );
    }

    /** mm, with its sign */
    public function difference(): float
    {
        return $this->read - $this->predicted;
    }
}
