<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

/**
 * Prints a drawing as SVG. Line styles are those of printed folding diagrams: valley dashed, mountain dash-dot-dot,
 * raw edges thin, folded edges thicker, open creases hairlines that stop short of the edge. Colour never carries
 * meaning alone.
 */
final readonly class SvgRenderer
{
    private const INKS = ['ink' => '#17252D', 'light' => '#FDFCF8', 'mark' => '#F4B31A'];

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
        $drawing = Drawing::of($scene);
        $inks = self::INKS + ['front' => $front, 'back' => $back];
        $body = '';
        foreach ($drawing->marks() as $mark) {
            $style = self::styles()[$mark['style']];
            $body .= self::mark($style, $mark['path'], $inks).self::text($style, $mark);
        }

        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" role="img" viewBox="0 0 %s %s"><title>%s</title>'
                .'<g fill="none" stroke-linecap="round">%s</g></svg>',
            Drawing::number($drawing->width),
            Drawing::number($drawing->height),
            htmlspecialchars($title, ENT_XML1 | ENT_QUOTES),
            $body,
        );
    }

    /**
     * @param  array{fill?: string, opacity?: float, edge?: float, text?: float, passes: list<array{ink: string,
     *     width: float, dash?: list<float>}>}  $style
     * @param  array<string, string>  $inks
     */
    private static function mark(array $style, string $path, array $inks): string
    {
        $out = isset($style['fill'])
            ? sprintf(
                '<path d="%s" fill="%s"%s%s/>',
                $path,
                $inks[$style['fill']],
                isset($style['opacity']) ? " opacity=\"{$style['opacity']}\"" : '',
                isset($style['edge'])
                    ? sprintf(' stroke="%s" stroke-width="%s"', $inks[$style['fill']], $style['edge'])
                    : '',
            )
            : '';
        foreach ($style['passes'] as $pass) {
            $out .= sprintf(
                '<path d="%s" stroke="%s" stroke-width="%s"%s/>',
                $path,
                $inks[$pass['ink']],
                $pass['width'],
                isset($pass['dash']) ? ' stroke-dasharray="'.implode(' ', $pass['dash']).'"' : '',
            );
        }

        return $out;
    }

    /**
     * @param  array{text?: float}  $style  text: height of the letters in units of the box
     * @param  array{at?: array{float, float}, text?: string}  $mark
     */
    private static function text(array $style, array $mark): string
    {
        return ! isset($style['text'], $mark['at'], $mark['text'])
            ? ''
            : sprintf(
                '<text x="%s" y="%s" font-size="%s" fill="%s" text-anchor="middle" '
                    .'dominant-baseline="central">%s</text>',
                Drawing::number($mark['at'][0]),
                Drawing::number($mark['at'][1]),
                $style['text'],
                self::INKS['ink'],
                htmlspecialchars($mark['text'], ENT_XML1),
            );
    }

    /**
     * @return array<string, array{fill?: string, opacity?: float, edge?: float, text?: float,
     *     passes: list<array{ink: string, width: float, dash?: list<float>}>}> by name; the browser has the same
     */
    private static function styles(): array
    {
        static $styles = null;

        return $styles ??= (array) json_decode((string) file_get_contents(__DIR__.'/styles.json'), true);
    }
}
