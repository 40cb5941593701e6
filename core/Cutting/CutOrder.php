<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Paper\BadPaper;

/**
 * In what order to cut a sheet by straight cuts from edge to edge: the whole sheet first, since whole sheets lie in
 * stacks, then pieces that are alike together. Lengths in mm; places on the sheet from its own corner, x right and y
 * up.
 *
 * @phpstan-type Placed array{x: float, y: float, side: float}
 * @phpstan-type Piece array{width: float, height: float, squares: list<Placed>, origins: list<array{float, float}>}
 * @phpstan-type Cut array{piece: array{float, float}, copies: int, axis: 'across'|'along', at: list<float>,
 *     lines: list<array{array{float, float}, array{float, float}}>}
 */
final readonly class CutOrder
{
    /** Lengths closer than this are the same. */
    private const SLACK = 2e-3;

    /**
     * @param  list<Cut>  $cuts  piece: width and height of what is cut, copies of it in one sheet, axis: across (level)
     *     or along (upright), at: from its lower or left edge, lines: the same on the sheet
     * @param  list<array{width: float, height: float, count: int}>  $offcuts  of one sheet
     */
    private function __construct(public array $cuts, public array $offcuts)
    {
    }

    /**
     * @param  list<array{x_mm: float, y_mm: float, side_mm: float}>  $squares  that straight cuts can part
     * @param  float  $kerf  lost between neighbours
     *
     * @throws BadPaper when no straight cuts part them
     */
    public static function of(float $width, float $height, array $squares, float $kerf = 0.0): self
    {
        $cuts = [];
        $offcuts = [];
        $level = [
            [
                'width' => $width,
                'height' => $height,
                'squares' => array_map(
                    static fn (array $s): array => [
                        'x' => (float) $s['x_mm'],
                        'y' => (float) $s['y_mm'],
                        'side' => (float) $s['side_mm'],
                    ],
                    $squares,
                ),
                'origins' => [[0.0, 0.0]],
            ],
        ];
        while ($level !== []) {
            usort($level, static fn (array $a, array $b): int => count($b['origins']) <=> count($a['origins']));
            $next = [];
            foreach ($level as $piece) {
                if ($piece['squares'] === []) {
                    $offcuts[] = [
                        'width' => $piece['width'],
                        'height' => $piece['height'],
                        'count' => count($piece['origins']),
                    ];
                } elseif (! self::done($piece)) {
                    [$cuts[], $parts] = self::cut($piece, $kerf);
                    array_push($next, ...$parts);
                }
            }
            $level = self::alike($next);
        }

        return new self($cuts, $offcuts);
    }

    /**
     * Cuts made for so many sheets when alike pieces are cut in stacks.
     *
     * @param  int  $stack  pieces cut at once, at least 1
     */
    public function strokes(int $sheets, int $stack): int
    {
        $strokes = 0;
        foreach ($this->cuts as $cut) {
            $strokes += count($cut['at']) * (int) ceil(($cut['copies'] * $sheets) / max(1, $stack));
        }

        return $strokes;
    }

    /** @param  Piece  $piece */
    private static function done(array $piece): bool
    {
        return count($piece['squares']) === 1 &&
            abs($piece['squares'][0]['side'] - $piece['width']) < self::SLACK &&
            abs($piece['squares'][0]['side'] - $piece['height']) < self::SLACK;
    }

    /**
     * All parallel cuts of a piece: the way that makes more parts with squares, or else leaves the larger offcut.
     *
     * @param  Piece  $piece
     * @return array{Cut, list<Piece>}
     */
    private static function cut(array $piece, float $kerf): array
    {
        $best = null;
        foreach (['across' => 'y', 'along' => 'x'] as $axis => $way) {
            [$at, $parts] = self::slabs($piece, $way, $kerf);
            $full = count(array_filter($parts, static fn (array $p): bool => $p['squares'] !== []));
            $left = max([
                0.0,
                ...array_map(
                    static fn (array $p): float => $p['squares'] === [] ? $p['width'] * $p['height'] : 0.0,
                    $parts,
                ),
            ]);
            if ($at !== [] && ($best === null || [$full, $left] > $best[0])) {
                $best = [[$full, $left], $axis, $at, $parts];
            }
        }
        if ($best === null) {
            throw new BadPaper('', 'These squares cannot be parted by straight cuts from edge to edge.');
        }
        [, $axis, $at, $parts] = $best;
        $lines = [];
        foreach ($piece['origins'] as [$x, $y]) {
            foreach ($at as $c) {
                $lines[] =
                    $axis === 'across'
                        ? [[$x, $y + $c], [$x + $piece['width'], $y + $c]]
                        : [[$x + $c, $y], [$x + $c, $y + $piece['height']]];
            }
        }

        return [
            [
                'piece' => [$piece['width'], $piece['height']],
                'copies' => count($piece['origins']),
                'axis' => $axis,
                'at' => $at,
                'lines' => $lines,
            ],
            $parts,
        ];
    }

    /**
     * The parts between all lines of one direction that go through no square. What the kerf takes is no part.
     *
     * @param  Piece  $piece
     * @param  'x'|'y'  $way
     * @return array{list<float>, list<Piece>} where to cut, and the parts
     */
    private static function slabs(array $piece, string $way, float $kerf): array
    {
        $length = $piece[$way === 'y' ? 'height' : 'width'];
        $squares = $piece['squares'];
        usort($squares, static fn (array $s, array $t): int => $s[$way] <=> $t[$way]);
        $slabs = [];
        $to = 0.0;
        $inside = [];
        $from = 0.0;
        foreach ($squares as $square) {
            if ($square[$way] >= $to - self::SLACK) {
                // a line here goes through none
                if ($inside !== []) {
                    $slabs[] = [$from, $to, $inside];
                }
                $from = $to;
                if ($square[$way] > $to + self::SLACK) {
                    $slabs[] = [$to, $square[$way], []];
                    $from = $square[$way];
                }
                $inside = [];
            }
            $inside[] = $square;
            $to = max($to, $square[$way] + $square['side']);
        }
        $slabs[] = [$from, $to, $inside];
        if ($length > $to + self::SLACK) {
            $slabs[] = [$to, $length, []];
        }
        $at = [];
        $parts = [];
        foreach ($slabs as $i => [$from, $to, $inside]) {
            $last = $i === count($slabs) - 1;
            if ($inside !== [] || $to - $from > $kerf + self::SLACK || $i === 0 || $last) {
                $parts[] = self::part(piece: $piece, way: $way, from: $from, to: $to, squares: $inside);
                if (! $last) {
                    $at[] = $to;
                }
            }
        }

        return [$at, $parts];
    }

    /**
     * @param  Piece  $piece
     * @param  'x'|'y'  $way
     * @param  list<Placed>  $squares
     * @return Piece
     */
    private static function part(array $piece, string $way, float $from, float $to, array $squares): array
    {
        [$dx, $dy] = $way === 'x' ? [$from, 0.0] : [0.0, $from];

        return [
            'width' => $way === 'x' ? $to - $from : $piece['width'],
            'height' => $way === 'y' ? $to - $from : $piece['height'],
            'squares' => array_map(
                static fn (array $s): array => ['x' => $s['x'] - $dx, 'y' => $s['y'] - $dy, 'side' => $s['side']],
                $squares,
            ),
            'origins' => array_map(static fn (array $o): array => [$o[0] + $dx, $o[1] + $dy], $piece['origins']),
        ];
    }

    /**
     * @param  list<Piece>  $pieces
     * @return list<Piece> pieces with the same squares in the same places together
     */
    private static function alike(array $pieces): array
    {
        $alike = [];
        foreach ($pieces as $piece) {
            $name = sprintf('%.2f %.2f', $piece['width'], $piece['height']);
            foreach ($piece['squares'] as $square) {
                $name .= vsprintf(
                    ' %.2f %.2f %.2f',
                    array_map(static fn (float $mm): float => round($mm, 2) + 0.0, array_values($square)),
                );
            }
            if (isset($alike[$name])) {
                array_push($alike[$name]['origins'], ...$piece['origins']);
            } else {
                $alike[$name] = $piece;
            }
        }

        return array_values($alike);
    }
}
