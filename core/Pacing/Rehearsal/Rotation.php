<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

/**
 * Small groups that fold one after the other: a round is played like a lesson of its own, and so many rounds follow one
 * another. Each round of a run is another of the played ones, so that slow and quick rounds mix as chance has it. Who
 * does not fold is busy elsewhere; only waits within a round count as waiting.
 */
final class Rotation
{
    /** Steps through the played rounds, one for each group in turn, so that no two walk together. */
    private const STRIDES = [1, 7, 13, 29, 37, 53, 67, 83, 97, 113];

    /** @param  Answer  $round  of one group, from the first minute of the lesson */
    public static function of(Answer $round, RehearsedRoom $setting): Answer
    {
        $runs = count($round->finishes);
        $long = array_map(static fn (float $end): float => $end - $setting->once + $setting->change, $round->finishes);
        $finishes = $learners = [];
        [$done, $sum] = [0, 0.0];
        for ($r = 0; $r < $runs; $r++) {
            [$before, $last] = [0.0, 0.0];
            for ($g = 0; $g < $setting->rounds; $g++) {
                // a hundredth of the learners each: exact enough, and the same on every machine
                foreach ($round->learners as $end) {
                    $learners[] = $before + $end;
                    $sum += $before + $end;
                    $done += $setting->bell !== null && $before + $end <= $setting->bell ? 1 : 0;
                }
                $played = self::played($r, $g, $runs);
                $last = $before + $round->finishes[$played];
                $before += $long[$played];
            }
            $finishes[] = $last;
        }
        sort($finishes);
        sort($learners);
        $mean = array_sum($long) / $runs;
        $earlier = ($setting->rounds - 1) * $mean;

        return new Answer(
            finishes: $finishes,
            learner: $sum / count($learners),
            share: $setting->bell === null ? null : $done / count($learners),
            idle: $round->idle,
            queue: $round->queue,
            busy: $round->busy,
            holds: $round->holds,
            waits: $round->waits,
            wave: self::wave($round, $earlier, $mean * intdiv($setting->rounds, 2), $finishes[$runs - 1]),
            learners: array_map(static fn (int $p): float => Answer::quantile($learners, $p / 100), range(0, 100)),
            earlier: $earlier,
        );
    }

    /** Which of the played, sorted rounds is the one of a group in a run; each comes once to each group. */
    private static function played(int $run, int $group, int $runs): int
    {
        $stride = self::STRIDES[$group % count(self::STRIDES)];
        while (self::sharesFactor($stride, $runs)) {
            $stride++; // else a group would only walk through some of them
        }

        return ($run * $stride + $group * intdiv($runs, 3)) % $runs;
    }

    private static function sharesFactor(int $a, int $b): bool
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a > 1;
    }

    /**
     * The quickest are those of the first group, the slowest those of the last, the middle those of the middle one.
     *
     * @return list<array{t_s: float, slowest: int, middle: int, fastest: int}>
     */
    private static function wave(Answer $round, float $last, float $middle, float $until): array
    {
        $points = count($round->wave) - 1;
        $at = static function (float $t) use ($round): array {
            $now = $round->wave[0];
            foreach ($round->wave as $moment) {
                $now = $moment['t_s'] <= $t ? $moment : $now;
            }

            return $now;
        };

        return array_map(static function (int $i) use ($at, $points, $until, $last, $middle): array {
            $t = $until * $i / max(1, $points);

            return [
                't_s' => round($t, 3),
                'slowest' => $at($t - $last)['slowest'],
                'middle' => $at($t - $middle)['middle'],
                'fastest' => $at($t)['fastest'],
            ];
        }, range(0, max(1, $points)));
    }
}
