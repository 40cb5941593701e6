<?php

declare(strict_types=1);

namespace App\Paper;

use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Sequence\Folder;
use Cathedra\Core\Sequence\Loader;

/** The pictures of squaring a sheet by the diagonal fold, made by the engine like any model. */
final readonly class SquaringPictures
{
    private const SEQUENCE = <<<'YAML'
    title: Squaring
    about: A sheet becomes a square.
    sheet: %s x %s
    side_up: back
    age_from: 4
    difficulty: 1
    steps:
      - {fold: valley, bring: edge top, to: edge left}
      - {fold: cut, along: line (paper 0 %s) to (paper 1 %s), remove: paper 1/2 %s}
      - {fold: unfold, step: 1}
    YAML;

    /**
     * @return list<array<string, mixed>> scenes: before the fold, before the cut, before it is opened, the square; none
     *     for a sheet that is square already
     */
    public static function of(float $width, float $height): array
    {
        [$short, $long] = [min($width, $height), max($width, $height)];
        $share = ($long - $short) / $long;
        if ($share < 0.01 || $long / $short > 4) {
            return [];
        }
        $number = static fn (float $n): string => rtrim(rtrim(number_format($n, 4, '.', ''), '0'), '.');
        $cut = number_format($share, 12, '.', '');
        $model = Folder::fold(
            Loader::load(
                'squaring',
                sprintf(
                    self::SEQUENCE,
                    $number($short),
                    $number($long),
                    $cut,
                    $cut,
                    number_format($share / 2, 12, '.', ''),
                ),
            ),
            $short,
        );

        $scenes = [...array_map(SceneBuilder::before(...), $model->steps), SceneBuilder::ofState($model->end())];

        return array_map(static fn (Scene $scene): array => $scene->drawing()->toArray(), $scenes);
    }
}
