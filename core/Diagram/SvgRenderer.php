<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

/**
 * Draws a scene as SVG. Line styles are those of printed folding diagrams: valley dashed, mountain dash-dot-dot, an
 * existing crease thin and short of the edge; colour never carries meaning alone.
 *
 * @phpstan-import-type Pair from Scene
 * @phpstan-import-type SceneFace from Scene
 * @phpstan-import-type SceneLine from Scene
 */
final class SvgRenderer
{
    private float $unit;

    private function __construct(
        private readonly Scene $scene,
        private readonly string $front,
        private readonly string $back,
    ) {
        $this->unit = max($scene->frame[2], $scene->frame[3]) / 100;
    }

    /**
     * @param  string  $title  read out by screen readers
     * @param  string  $front  CSS colour of the sheet's front, "#rrggbb"
     * @param  string  $back  CSS colour of its back
     */
    public static function draw(
        Scene $scene,
        string $title,
        string $front = '#0E6E7C',
        string $back = '#FDFCF8',
    ): string {
        return (new self($scene, $front, $back))->svg($title);
    }

    private function svg(string $title): string
    {
        [$left, $bottom, $width, $height] = $this->scene->frame;
        $body = '';
        foreach ($this->scene->items as $item) {
            $body .= $item['type'] === 'face' ? $this->face($item['face']) : $this->edge($item['line']);
        }
        foreach ($this->scene->folds as $fold) {
            $body .= $this->stroke(
                $fold['from'],
                $fold['to'],
                '#17252D',
                0.9,
                ['valley' => '3.2 2', 'mountain' => '3.6 1.4 0.6 1.4 0.6 1.4', 'cut' => null][$fold['kind']],
                '#FDFCF8',
            );
        }
        foreach ($this->scene->arrows as $arrow) {
            $body .= $this->arrow($arrow['from'], $arrow['bend'], $arrow['to'], $arrow['kind']);
        }
        foreach ($this->scene->dots as [$x, $y]) {
            $body .= sprintf(
                '<circle cx="%s" cy="%s" r="%s" fill="#F4B31A" stroke="#17252D" stroke-width="%s"/>',
                $this->n($x),
                $this->n(-$y),
                $this->n(1.3 * $this->unit),
                $this->n(0.35 * $this->unit),
            );
        }
        foreach ($this->scene->signs as $i => $sign) {
            $body .= $this->sign($sign, $i);
        }

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" role="img" viewBox="%s %s %s %s"><title>%s</title>%s</svg>',
            $this->n($left),
            $this->n(-$bottom - $height),
            $this->n($width),
            $this->n($height),
            htmlspecialchars($title, ENT_XML1 | ENT_QUOTES),
            $body,
        );
    }

    /** @param  SceneFace  $face */
    private function face(array $face): string
    {
        $points = implode(
            ' ',
            array_map(fn (array $p): string => $this->n($p[0]).','.$this->n(-$p[1]), $face['points']),
        );
        $fill = $face['moving'] ? '#F4B31A' : ($face['side'] === 'front' ? $this->front : $this->back);

        return sprintf(
            '<polygon points="%s" fill="%s"%s/>',
            $points,
            $fill,
            $face['moving'] ? ' fill-opacity="0.35"' : '',
        );
    }

    /** @param  SceneLine  $line */
    private function edge(array $line): string
    {
        [$from, $to] = [$line['from'], $line['to']];
        if ($line['kind'] === 'crease') {
            [$from, $to] = $this->shortened($from, $to);
        }
        $width = ['raw' => 0.5, 'folded' => 0.8, 'crease' => 0.25][$line['kind']];

        // an open crease catches light, which shows it on dark paper
        $light = $line['kind'] === 'crease' ? $this->stroke($from, $to, '#FDFCF8', 0.8, null, null) : '';

        return $light.$this->stroke($from, $to, '#17252D', $width, null, null);
    }

    /**
     * @param  Pair  $from
     * @param  Pair  $to
     * @return array{Pair, Pair}
     */
    private function shortened(array $from, array $to): array
    {
        $length = hypot($to[0] - $from[0], $to[1] - $from[1]);
        $t = $length > 0 ? min(0.3, (2 * $this->unit) / $length) : 0.0;
        $at = static fn (float $s): array => [$from[0] + ($to[0] - $from[0]) * $s, $from[1] + ($to[1] - $from[1]) * $s];

        return [$at($t), $at(1 - $t)];
    }

    /**
     * @param  Pair  $from
     * @param  Pair  $to
     */
    private function stroke(array $from, array $to, string $colour, float $width, ?string $dash, ?string $halo): string
    {
        $line = fn (string $c, float $w, string $more): string => sprintf(
            '<line x1="%s" y1="%s" x2="%s" y2="%s" stroke="%s" stroke-width="%s" stroke-linecap="round"%s/>',
            $this->n($from[0]),
            $this->n(-$from[1]),
            $this->n($to[0]),
            $this->n(-$to[1]),
            $c,
            $this->n($w * $this->unit),
            $more,
        );
        $dashes =
            $dash === null
                ? ''
                : ' stroke-dasharray="'.
                    implode(
                        ' ',
                        array_map(fn (string $d): string => $this->n((float) $d * $this->unit), explode(' ', $dash)),
                    ).
                    '"';

        return ($halo === null ? '' : $line($halo, $width + 0.9, '')).$line($colour, $width, $dashes);
    }

    /**
     * @param  Pair  $from
     * @param  Pair  $bend
     * @param  Pair  $to
     */
    private function arrow(array $from, array $bend, array $to, string $kind): string
    {
        $path = sprintf(
            'M%s %s Q%s %s %s %s',
            $this->n($from[0]),
            $this->n(-$from[1]),
            $this->n($bend[0]),
            $this->n(-$bend[1]),
            $this->n($to[0]),
            $this->n(-$to[1]),
        );
        $head =
            $this->head($bend, $to, ! in_array($kind, ['behind', 'push'], true)).
            ($kind === 'fold-unfold' ? $this->head($bend, $from, true) : '').
            ($kind === 'pull'
                ? sprintf(
                    '<circle cx="%s" cy="%s" r="%s" fill="#FDFCF8" stroke="#17252D" stroke-width="%s"/>',
                    $this->n($from[0]),
                    $this->n(-$from[1]),
                    $this->n(1.8 * $this->unit),
                    $this->n(0.8 * $this->unit),
                )
                : ''); // the ring is where fingers take hold

        return sprintf(
            '<path d="%s" fill="none" stroke="#FDFCF8" stroke-width="%s"/><path d="%s" fill="none" stroke="#17252D" '
                .'stroke-width="%s"/>%s',
            $path,
            $this->n(1.9 * $this->unit),
            $path,
            $this->n(0.8 * $this->unit),
            $head,
        );
    }

    /**
     * @param  Pair  $came
     * @param  Pair  $tip
     */
    private function head(array $came, array $tip, bool $solid): string
    {
        $length = max(1e-9, hypot($tip[0] - $came[0], $tip[1] - $came[1]));
        $u = [($tip[0] - $came[0]) / $length, ($tip[1] - $came[1]) / $length];
        $s = 3.6 * $this->unit;
        $corner = fn (float $side): string => $this->n($tip[0] - $s * $u[0] - $side * 0.45 * $s * $u[1]).
            ','.
            $this->n(-($tip[1] - $s * $u[1] + $side * 0.45 * $s * $u[0]));

        return sprintf(
            '<polygon points="%s,%s %s %s" fill="%s" stroke="#17252D" stroke-width="%s"/>',
            $this->n($tip[0]),
            $this->n(-$tip[1]),
            $corner(1),
            $corner(-1),
            $solid ? '#17252D' : '#FDFCF8',
            $this->n(0.5 * $this->unit),
        );
    }

    private function sign(string $sign, int $at): string
    {
        $u = $this->unit;
        $x = $this->scene->frame[0] + (9 + 18 * $at) * $u;
        $y = -$this->scene->frame[1] - 9 * $u;
        ['path' => $turned, 'tip' => $tip] = self::signs()[$sign];

        return sprintf(
            '<g transform="translate(%s %s) scale(%s)"><path d="%s" fill="none" stroke="#17252D" '
                .'stroke-width="0.9"/><polygon points="%s" fill="#17252D"/></g>',
            $this->n($x),
            $this->n($y),
            $this->n(1.3 * $u),
            $turned,
            $tip,
        );
    }

    /**
     * @return array<string, array{path: string, tip: string}> path and arrowhead of each sign, in a box of about 14
     *     units; the browser draws from the same file
     */
    private static function signs(): array
    {
        /** @var array<string, array{path: string, tip: string}>|null $signs */
        static $signs = null;

        return $signs ??= (array) json_decode((string) file_get_contents(__DIR__.'/signs.json'), true);
    }

    private function n(float $value): string
    {
        return rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.') ?: '0';
    }
}
