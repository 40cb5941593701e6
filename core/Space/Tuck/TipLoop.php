<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Tuck;

/**
 * A tip that is rolled over and pushed into a pocket whose mouth is at its root, seen from the side: straight strips
 * one after the other, each with a heading in radians: 0 away from the pocket, pi into it. The way out is y, up is z,
 * the root is the origin; mm.
 *
 * What is not yet in the pocket is a loop like a drop: straight from the mouth, round an arc, straight back to the
 * mouth. With half its opening b and its length l the arc has R = l / (2 / tan b + pi + 2 b), the straight pieces
 * R / tan b. Strips get shorter toward the root, so that hardly any paper is left outside at the last push, and
 * moments are taken where a border between two strips is at the mouth: no strip is half in.
 *
 * @phpstan-type Headings list<float>
 */
final readonly class TipLoop
{
    private const STRIPS = 22;

    /** The strip at the root, as a share of the shorter side: 0.25 mm of 150; less where a tip is small. */
    private const FIRST = 0.25 / 150;

    /** The most by which the border at the mouth lies above the table, as a share of the shorter side: 0.05 of 150. */
    private const HIGH = 0.05 / 150;

    /** Half the opening of the loop, degrees. */
    private const HALF = 24;

    private const CURL = 12;

    private const FLATTEN = 8;

    /** Strips that are still outside when the rest is laid down. */
    private const LAST = 3;

    /**
     * @param  list<float>  $borders  mm from the root: one more than strips
     * @param  float  $high  mm
     */
    private function __construct(public array $borders, private float $high)
    {
    }

    /**
     * @param  float  $reach  mm from the root to the tip
     * @param  float  $side  mm, the shorter side of the sheet
     */
    public static function of(float $reach, float $side): self
    {
        $first = min(self::FIRST * $side, $reach / (2 * self::STRIPS));
        $sum = static fn (float $q): float => $first * ($q ** self::STRIPS - 1) / ($q - 1);
        [$low, $high] = [1 + 1e-9, 2.0];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $sum($middle) < $reach ? [$middle, $high] : [$low, $middle];
        }
        $borders = [0.0];
        for ($i = 1; $i < self::STRIPS; $i++) {
            $borders[] = $borders[$i - 1] + $first * $low ** ($i - 1);
        }

        return new self([...$borders, $reach], self::HIGH * $side);
    }

    /** Which strip a place at so many mm from the root belongs to. */
    public function stripAt(float $distance): int
    {
        $strip = 0;
        while ($strip < self::STRIPS - 1 && $this->borders[$strip + 1] < $distance) {
            $strip++;
        }

        return $strip;
    }

    /**
     * Headings at every moment: rolled up, pushed in, laid down; the first lies flat outside, the last flat inside.
     *
     * @return list<Headings>
     */
    public function moments(): array
    {
        $whole = $this->closed(self::STRIPS);
        $moments = [];
        for ($k = 0; $k <= self::CURL; $k++) {
            $moments[] = array_map(static fn (float $h): float => $h * $k / self::CURL, $whole);
        }
        for ($out = self::STRIPS - 1; $out >= self::LAST; $out--) {
            $moments[] = $this->closed($out);
        }
        $last = $moments[count($moments) - 1];
        for ($k = 1; $k <= self::FLATTEN; $k++) {
            $moments[] = $this->laid($last, $k / self::FLATTEN);
        }

        return $moments;
    }

    /**
     * Where the borders are.
     *
     * @param  Headings  $headings
     * @return list<array{float, float}> y and z, mm
     */
    public function places(array $headings): array
    {
        $at = [[0.0, 0.0]];
        foreach ($headings as $i => $heading) {
            $length = $this->borders[$i + 1] - $this->borders[$i];
            $at[] = [$at[$i][0] + $length * cos($heading), $at[$i][1] + $length * sin($heading)];
        }

        return $at;
    }

    /**
     * The loop of the first strips, tilted until it is low enough where it comes back; the rest lies in the pocket.
     *
     * @return Headings
     */
    private function closed(int $strips): array
    {
        $loop = $this->loop($strips);
        [, $z] = $this->places($loop)[$strips];

        return $z < $this->high ? $loop : $this->atHeight($loop, $strips, $this->high);
    }

    /**
     * The first strips turned about the root until the border after them is so high above the table.
     *
     * @param  Headings  $headings
     * @return Headings
     */
    private function atHeight(array $headings, int $strips, float $high): array
    {
        [$y, $z] = $this->places($headings)[$strips];
        $lift = asin(min(1.0, $high / max(1e-12, hypot($y, $z))));
        $turn = ($y > 0 ? $lift : M_PI - $lift) - atan2($z, $y);
        foreach ($headings as $i => $heading) {
            $headings[$i] = $i < $strips ? $heading + $turn : $heading;
        }

        return $headings;
    }

    /**
     * The loop of the first strips, by their mean headings; the rest is flat. It goes out along the table.
     *
     * @return Headings
     */
    private function loop(int $strips): array
    {
        $half = deg2rad(self::HALF);
        $length = $this->borders[$strips];
        $radius = $length / (2 / tan($half) + M_PI + 2 * $half);
        $straight = $radius / tan($half);
        // the sum of all headings to there
        $turned = static function (float $a) use ($half, $length, $radius, $straight): float {
            $arc = max(0.0, min($a, $length - $straight) - $straight);
            $back = max(0.0, $a - ($length - $straight));

            return $arc ** 2 / (2 * $radius) + (M_PI + 2 * $half) * $back;
        };
        $headings = [];
        for ($i = 0; $i < self::STRIPS; $i++) {
            [$from, $to] = [$this->borders[$i], $this->borders[$i + 1]];
            $headings[] = $i < $strips ? ($turned($to) - $turned($from)) / ($to - $from) : M_PI;
        }

        return $headings;
    }

    /**
     * The last loop laid down by a share; what is in the pocket stays at its height until it lies.
     *
     * @param  Headings  $headings
     * @return Headings
     */
    private function laid(array $headings, float $share): array
    {
        if ($share >= 1.0) {
            return array_fill(0, self::STRIPS, M_PI);
        }
        $high = $this->places($headings)[self::LAST][1];
        $towards = static fn (float $h, int $i): float => $i < self::LAST ? $h + $share * (M_PI - $h) : $h;
        $headings = array_map($towards, $headings, array_keys($headings));

        return $this->atHeight($headings, self::LAST, $high);
    }
}
