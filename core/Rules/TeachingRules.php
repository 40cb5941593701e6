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
     * @param  array{go_share: array{value: float|int, source: string},
     *     long_wait_seconds: array{value: int, source: string}}  $data
     *
     * @throws BadRules
     */
    public static function fromArray(array $data): self
    {
        $share = (float) $data['go_share']['value'];
        if ($share <= 0 || $share > 1) {
            throw new BadRules("library/teaching-rules.yaml: go_share is a share above 0 and up to 1, not $share.");
        }
        if ($data['long_wait_seconds']['value'] < 1) {
            throw new BadRules('library/teaching-rules.yaml: long_wait_seconds is at least 1.');
        }

        return new self($share, $data['long_wait_seconds']['value'], array_map(
            static fn (array $rule): string => $rule['source'],
            $data,
        ));
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
