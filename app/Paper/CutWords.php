<?php

declare(strict_types=1);

namespace App\Paper;

use App\Support\LibraryFiles;
use Cathedra\Core\Cutting\CutOrder;
use Cathedra\Core\Cutting\CutSheet;
use Cathedra\Core\Cutting\Square;
use Cathedra\Core\Kit\LessonPaper;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Paper\Squaring;
use Cathedra\Core\Paper\Stock;
use Cathedra\Core\Rules\Method;

/** How to cut, in words and in lines on the sheet. */
final readonly class CutWords
{
    /** mm; smaller offcuts are waste. */
    private const USEFUL = 40.0;

    public function __construct(private LibraryFiles $files, private Measure $measure)
    {
    }

    /** A pattern as it is shown: squares, cuts in their order, and what is left. */
    public function pattern(CutSheet $sheet, Stock $stock, float $kerf, string $method): CutPatternData
    {
        $squares = array_map(static fn (Square $s): array => $s->toArray(), $sheet->squares);
        $order = CutOrder::of($stock->width, $stock->height, $squares, $kerf);
        $stack = $this->files->paperRules()->stack(Method::from($method));
        $lines = [];
        $said = [];
        foreach ($order->cuts as $i => $cut) {
            foreach ($cut['lines'] as [$from, $to]) {
                $lines[] = [
                    'n' => $i + 1,
                    'from' => [round($from[0], 2), round($from[1], 2)],
                    'to' => [round($to[0], 2), round($to[1], 2)],
                ];
            }
            $said[] = $this->cut($i, $cut, $sheet->times, $stack);
        }
        $offcuts = array_values(
            array_filter($order->offcuts, static fn (array $o): bool => min($o['width'], $o['height']) >= self::USEFUL),
        );

        return new CutPatternData(
            times: $sheet->times,
            stock: $stock->name,
            width_mm: $stock->width,
            height_mm: $stock->height,
            size: $this->measure->area($stock->width, $stock->height),
            squares: array_map(
                fn (array $s): array => $s + ['side' => $this->measure->figure($s['side_mm'])],
                $squares,
            ),
            lines: $lines,
            order: $said,
            offcuts: array_map(
                fn (array $o): array => [
                    'width_mm' => round($o['width'], 2),
                    'height_mm' => round($o['height'], 2),
                    'size' => $this->measure->area($o['width'], $o['height']),
                    'count' => $o['count'],
                ],
                $offcuts,
            ),
            strokes: $order->strokes($sheet->times, $stack),
        );
    }

    /**
     * @param  Policies|null  $byDiagonal  how one square of a sheet is made by folding a corner over; null: it is not
     * @return list<string>
     */
    public function steps(LessonPaper $paper, ?Policies $byDiagonal, string $method, float $kerf): array
    {
        $words = $this->files->words();
        $steps = [];
        foreach ($paper->uncut as ['model' => $m, 'stock' => $s]) {
            $stock = $paper->pile[$s];
            $ratio = max($stock->width, $stock->height) / min($stock->width, $stock->height);
            $wanted = max($paper->models[$m]->ratio, 1 / $paper->models[$m]->ratio);
            $steps[] = $words->say('paper', 'uncut', ['title' => $paper->models[$m]->title]);
            if (abs($ratio - $wanted) >= 0.01) {
                $steps[] = $words->say('paper', 'uncut-ratio', [
                    'way' => $words->say('paper', $ratio < $wanted ? 'wider' : 'narrower'),
                ]);
            }
        }
        if ($paper->plan === null) {
            return $steps;
        }
        if ($byDiagonal !== null) {
            $squaring = Squaring::of($paper->pile[0]->width, $paper->pile[0]->height);
            ['cut_line' => $line, 'second' => $second] = $byDiagonal->chosen;
            $steps[] = $words->say('paper', 'square-1');
            if ($second === 'before') {
                $steps[] = $words->say('paper', 'square-1-before');
            }
            $steps[] = $words->say('paper', "square-2-$method-$line", [
                'strip' => $this->measure->say($squaring->strip),
            ]);
            $steps[] = $words->say('paper', "square-3-$second", [
                'diagonal' => $this->measure->say($squaring->side * M_SQRT2),
            ]);
            if (isset($squaring->further[0])) {
                $steps[] = $words->say('paper', 'keep', ['side' => $this->measure->say($squaring->further[0])]);
            }
        } else {
            array_push($steps, ...$this->how($method, $kerf));
        }

        return $steps;
    }

    /** @return list<string> what holds for every cut */
    public function how(string $method, float $kerf): array
    {
        $words = $this->files->words();

        return [
            $words->say('paper', "how-$method", [
                'kerf' => $this->measure->say($kerf, true),
                'n' => $this->files->paperRules()->stack(Method::from($method)),
            ]),
            $words->say('paper', 'grid-3'),
        ];
    }

    /** @param  array{piece: array{float, float}, copies: int, axis: 'across'|'along', at: list<float>}  $cut */
    private function cut(int $i, array $cut, int $times, int $stack): string
    {
        $words = $this->files->words();
        $marks = [];
        $last = 0.0;
        $read = 0.0;
        foreach ($cut['at'] as $mm) {
            // each step read off downward, so that equal squares stay equal on the ruler too
            $read += $this->measure->down($mm - $last);
            $last = $mm;
            $marks[] = $read;
        }
        $at = $this->measure->list($marks);
        $pieces = $cut['copies'] * $times;
        $stacks = (int) ceil($pieces / $stack);
        $with = [
            'n' => $i + 1,
            'at' => $at,
            'size' => $this->measure->area(...$cut['piece']),
            'pieces' => $pieces,
            'stack' => $stack,
            'cuts' => $stacks * count($marks),
            'from' => $words->say('paper', $cut['axis'] === 'across' ? 'from-below' : 'from-left'),
            'axis' => $words->say('paper', $cut['axis']),
        ];
        $how = match (true) {
            $pieces === 1 => '-single',
            $stack === 1 => '-each',
            $stacks === 1 => '-one',
            default => '',
        };

        return $words->say('paper', ($i === 0 ? 'cut-sheets' : 'cut-pieces').$how, $with);
    }
}
