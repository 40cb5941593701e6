<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

/**
 * A scene as strokes: paths in one box whose longer side is BOX units, x right and y down, each with the name of a
 * style. Nothing is left to decide: SvgRenderer and FoldPicture.vue print the paths one after another with the passes
 * that styles.json gives the style (fill, then strokes; widths and dashes in units of the box).
 *
 * @phpstan-import-type Pair from Scene
 * @phpstan-import-type SceneArrow from Scene
 *
 * @phpstan-type Mark array{style: string, path: string, at?: Pair, text?: string}
 */
final class Drawing
{
    public const BOX = 100.0;

    /** Length of an arrowhead, and half its width as a share of that: seen at 3 cm width. */
    private const HEAD = [4.0, 0.45];

    /** Units under which an arrow is bowed out: an arrowhead takes four, and 10 are 3 mm on a picture 3 cm wide. */
    private const SHORT_WAY = 16.0;

    private const DOT = 1.3;

    /** Radius of the disc behind the number of a landmark, and behind the letter of a place, which is read afar. */
    private const DISC = ['label' => 2.2, 'letter' => 4.2];

    /** The ring at the start of a pull, where fingers take hold. */
    private const RING = 1.8;

    /** How far a crease that is already there stops short of the edge, and the share of it that may be lost so. */
    private const SHORT = [2.0, 0.3];

    /** The first sign stands this far from the corner of the box, the next ones further right; their size. */
    public const SIGN = ['inset' => 9.0, 'apart' => 18.0, 'scale' => 1.3];

    /** @var list<Mark> in the order in which they are painted */
    private array $marks = [];

    public readonly float $width;

    public readonly float $height;

    private readonly float $scale;

    private function __construct(private readonly Scene $scene)
    {
        $this->scale = self::BOX / max($scene->frame[2], $scene->frame[3]);
        $this->width = round($scene->frame[2] * $this->scale, 2);
        $this->height = round($scene->frame[3] * $this->scale, 2);
    }

    public static function of(Scene $scene): self
    {
        $self = new self($scene);
        foreach ($scene->items as $item) {
            if ($item['type'] === 'face') {
                $face = $item['face'];
                $face['moving']
                    ? $self->tint($self->polygon($face['points']))
                    : $self->mark($face['side'], $self->polygon($face['points']));
            } elseif ($item['type'] === 'tile') {
                $self->tile($item['tile']);
            } else {
                $line = $item['line'];
                $ends = [$self->at($line['from']), $self->at($line['to'])];
                $self->line($line['kind'], ...($line['kind'] === 'crease' ? self::shortened(...$ends) : $ends));
            }
        }
        foreach ($scene->folds as $fold) {
            $self->line($fold['kind'], $self->at($fold['from']), $self->at($fold['to']));
        }
        foreach ($scene->arrows as $arrow) {
            $self->arrow($arrow);
        }
        foreach ($scene->dots as $dot) {
            $self->mark('dot', self::circle($self->at($dot), self::DOT));
        }
        foreach ($scene->signs as $i => $sign) {
            $place = [self::SIGN['inset'] + self::SIGN['apart'] * $i, $self->height - self::SIGN['inset']];
            [$path, $tip] = Sign::drawn($sign, $place, self::SIGN['scale']);
            $self->mark('sign', $path);
            $self->mark('sign-tip', $tip);
        }

        foreach ($scene->labels as $label) {
            [$x, $y] = $self->at($label['at']);
            $self->marks[] = [
                'style' => $label['style'],
                'path' => self::circle([$x, $y], self::DISC[$label['style']]),
                'at' => [round($x, 2), round($y, 2)],
                'text' => $label['text'],
            ];
        }

        return $self;
    }

    /** @return list<Mark> in the order in which they are painted */
    public function marks(): array
    {
        return $this->marks;
    }

    /** @return array{width: float, height: float, marks: list<Mark>} for JSON */
    public function toArray(): array
    {
        return ['width' => $this->width, 'height' => $this->height, 'marks' => $this->marks];
    }

    /** A number of the box as text, to a hundredth of a unit: 0.02 mm on a picture 20 cm wide. */
    public static function number(float $value): string
    {
        $text = number_format($value, 2, '.', '');
        $text = rtrim(rtrim($text, '0'), '.');

        return $text === '-0' || $text === '' ? '0' : $text;
    }

    /**
     * Paper in space: the colour of its side, and over it a shade.
     *
     * @param  array{points: list<Pair>, side: 'front'|'back', shade: int}  $tile
     */
    private function tile(array $tile): void
    {
        $path = $this->polygon($tile['points']);
        $this->mark("tile-{$tile['side']}", $path);
        $tile['shade'] > 0 && $this->mark("shade-{$tile['shade']}", $path);
    }

    private function mark(string $style, string $path): void
    {
        $this->marks[] = ['style' => $style, 'path' => $path];
    }

    /**
     * Lines of one style that follow one another are one path: where they cross, the light under one does not cut the
     * ink of the other.
     *
     * @param  Pair  $from  in the box
     * @param  Pair  $to
     */
    private function line(string $style, array $from, array $to): void
    {
        $path = 'M'.self::pair($from).'L'.self::pair($to);
        $last = count($this->marks) - 1;
        if ($last >= 0 && $this->marks[$last]['style'] === $style) {
            $this->marks[$last]['path'] .= $path;
        } else {
            $this->mark($style, $path);
        }
    }

    /** All that moves is one area: where its parts overlap, the tint is no deeper (they wind the same way). */
    private function tint(string $path): void
    {
        $last = count($this->marks) - 1;
        if ($last >= 0 && $this->marks[$last]['style'] === 'moving') {
            $this->marks[$last]['path'] .= $path;
        } else {
            $this->mark('moving', $path);
        }
    }

    /** @param  SceneArrow  $arrow */
    private function arrow(array $arrow): void
    {
        [$from, $to] = [$this->at($arrow['from']), $this->at($arrow['to'])];
        $bend = self::bowed($from, $this->at($arrow['bend']), $to);
        $from = $this->beforeLetter($arrow['from'], $from, $bend);
        $to = $this->beforeLetter($arrow['to'], $to, $bend);
        $this->mark('arrow', 'M'.self::pair($from).'Q'.self::pair($bend).' '.self::pair($to));
        $hollow = in_array($arrow['kind'], ['behind', 'push'], true);
        $this->mark($hollow ? 'hollow-head' : 'head', self::head($bend, $to));
        if ($arrow['kind'] === 'fold-unfold') {
            $this->mark('head', self::head($bend, $from));
        } elseif ($arrow['kind'] === 'pull') {
            $this->mark('ring', self::circle($from, self::RING));
        }
    }

    /**
     * Where an arrow ends at a letter it stops at the rim of its disc, so that the head is seen.
     *
     * @param  Pair  $place  mm
     * @param  Pair  $end  the same in the box
     * @param  Pair  $bend
     * @return Pair
     */
    private function beforeLetter(array $place, array $end, array $bend): array
    {
        $way = hypot($bend[0] - $end[0], $bend[1] - $end[1]);
        foreach ($this->scene->labels as $label) {
            if ($label['style'] === 'letter' && $label['at'] === $place && $way > self::DISC['letter']) {
                $share = self::DISC['letter'] / $way;

                return [$end[0] + ($bend[0] - $end[0]) * $share, $end[1] + ($bend[1] - $end[1]) * $share];
            }
        }

        return $end;
    }

    /**
     * A short way is shown as a wide bow, so that the arrow can be read on a picture 3 cm wide.
     *
     * @param  Pair  $from
     * @param  Pair  $bend
     * @param  Pair  $to
     * @return Pair
     */
    private static function bowed(array $from, array $bend, array $to): array
    {
        [$x, $y] = [($from[0] + $to[0]) / 2, ($from[1] + $to[1]) / 2];
        $out = hypot($bend[0] - $x, $bend[1] - $y);
        $way = hypot($to[0] - $from[0], $to[1] - $from[1]);
        if ($way >= self::SHORT_WAY || $out < 1e-9) {
            return $bend;
        }
        $stretch = max(1.0, (self::SHORT_WAY - $way + $out) / $out);

        return [$x + ($bend[0] - $x) * $stretch, $y + ($bend[1] - $y) * $stretch];
    }

    /**
     * @param  Pair  $mm  of the folded plane, y up
     * @return Pair in the box, y down
     */
    private function at(array $mm): array
    {
        [$left, $bottom, , $height] = $this->scene->frame;

        return [($mm[0] - $left) * $this->scale, ($bottom + $height - $mm[1]) * $this->scale];
    }

    /** @param  list<Pair>  $points  mm */
    private function polygon(array $points): string
    {
        return self::closed(array_map($this->at(...), $points));
    }

    /** @param  list<Pair>  $points  in the box */
    private static function closed(array $points): string
    {
        return 'M'.implode('L', array_map(self::pair(...), $points)).'Z';
    }

    /**
     * @param  Pair  $from
     * @param  Pair  $to
     * @return array{Pair, Pair}
     */
    private static function shortened(array $from, array $to): array
    {
        $length = hypot($to[0] - $from[0], $to[1] - $from[1]);
        $share = $length > 0 ? min(self::SHORT[1], self::SHORT[0] / $length) : 0.0;
        $at = static fn (float $s): array => [$from[0] + ($to[0] - $from[0]) * $s, $from[1] + ($to[1] - $from[1]) * $s];

        return [$at($share), $at(1 - $share)];
    }

    /**
     * @param  Pair  $came  from where the arrow comes
     * @param  Pair  $tip
     */
    private static function head(array $came, array $tip): string
    {
        $length = max(1e-9, hypot($tip[0] - $came[0], $tip[1] - $came[1]));
        [$ux, $uy] = [($tip[0] - $came[0]) / $length, ($tip[1] - $came[1]) / $length];
        [$long, $half] = [self::HEAD[0], self::HEAD[0] * self::HEAD[1]];
        $corner = static fn (float $side): array => [
            $tip[0] - $long * $ux - $side * $half * $uy,
            $tip[1] - $long * $uy + $side * $half * $ux,
        ];

        return self::closed([$tip, $corner(1), $corner(-1)]);
    }

    /** @param  Pair  $centre */
    private static function circle(array $centre, float $radius): string
    {
        [$r, $d] = [self::number($radius), self::number(2 * $radius)];

        return 'M'.self::pair([$centre[0] - $radius, $centre[1]])."a$r $r 0 1 0 $d 0a$r $r 0 1 0 -$d 0Z";
    }

    /** @param  Pair  $at */
    private static function pair(array $at): string
    {
        return self::number($at[0]).' '.self::number($at[1]);
    }
}
