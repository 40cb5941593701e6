<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

use Cathedra\Core\Rules\BaseTimes;

/**
 * How long each lead shows, as a factor on what is planned, from the steps of which it was said that they were shown:
 *
 *   ln(seconds / planned) = delta of the lead + lambda of the lesson + eps
 *
 * with delta ~ N(0, lead_spread^2), eps ~ N(0, show_spread^2), and lambda, what one lesson has of its own, ~ N(0,
 * lead_spread^2 (1 + full_marks / m)) for m such steps: a lead's usual way is worth one whole lesson, and two presses
 * move next to nothing. The mean y of a lesson's steps is then one observation of delta with variance lambda's +
 * show_spread^2 / m (the textbook result for normal data of known variance).
 */
final readonly class Showing
{
    /** @param  array<int|string, Factor>  $leads  by lead, of those who said when a step was shown */
    private function __construct(public array $leads)
    {
    }

    /** @param  list<array{lead: string, ln: list<float>}>  $lessons  `ShownSteps::beside` of each */
    public static function of(array $lessons, BaseTimes $times): self
    {
        [$weight, $sum, $marks] = [[], [], []];
        foreach ($lessons as ['lead' => $lead, 'ln' => $ln]) {
            $m = count($ln);
            if ($m === 0 || $lead === '') {
                continue;
            }
            $own = $times->leadSpread ** 2 * (1 + $times->fullMarks / $m);
            $w = 1 / ($own + $times->showSpread ** 2 / $m);
            $weight[$lead] = ($weight[$lead] ?? 0.0) + $w;
            $sum[$lead] = ($sum[$lead] ?? 0.0) + $w * array_sum($ln) / $m;
            $marks[$lead] = ($marks[$lead] ?? 0) + $m;
        }
        $leads = [];
        foreach ($weight as $lead => $w) {
            $variance = 1 / (1 / $times->leadSpread ** 2 + $w);
            $leads[$lead] = Factor::normal($variance * $sum[$lead], $variance, $marks[$lead]);
        }

        return new self($leads);
    }

    /** 1 for whom nothing is known. */
    public function factor(string $lead): float
    {
        return ($this->leads[$lead] ?? null)->middle ?? 1.0;
    }
}
