<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** When the lead may go on, and what counts as a long wait; data with sources (library/teaching-rules.yaml). */
final readonly class TeachingRules
{
    /**
     * @param  float  $goShare  share of the room that must have done a step that is no checkpoint before the next is
     *     shown
     * @param  int  $longWaitSeconds  a wait for help that is worth saying in minutes
     * @param  array<string, string>  $sources  by rule
     */
    private function __construct(public float $goShare, public int $longWaitSeconds, public array $sources)
    {
    }

    /**
     * @param  array<string, mixed>  $data  the file as it is read
     *
     * @throws BadRules
     */
    public static function fromArray(array $data): self
    {
        $file = new RuleFile('library/teaching-rules.yaml', $data);

        return new self(
            $file->number('go_share.value', 0.001, 1),
            (int) $file->number('long_wait_seconds.value', 1, 3600),
            [
                'go_share' => $file->sentence('go_share.source'),
                'long_wait_seconds' => $file->sentence('long_wait_seconds.source'),
            ],
        );
    }

    /**
     * Learners who must be done before the next step is shown. Counted in thousandths, so that 0.55 of 20 is 11 and not
     * 12 by a rounding of binary fractions.
     */
    public function enough(int $room): int
    {
        $thousandths = (int) round($this->goShare * 1000) * $room;

        return intdiv($thousandths + 999, 1000);
    }
}
