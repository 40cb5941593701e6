<?php

declare(strict_types=1);

namespace App\Paper;

use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\Folder;

/** The pictures of squaring a sheet by the diagonal fold, made by the engine like any model. */
final readonly class SquaringPictures
{
    private const START = <<<'YAML'
    title: Squaring
    about: A sheet becomes a square.
    sheet: %s x %s
    side_up: back
    age_from: 4
    difficulty: 1
    steps:

    YAML;

    /** Both slanted creases before the strip comes off, or one. */
    private const CORNERS = [
        'before' => "- {fold: crease, bring: edge top, to: edge right}\n",
        'after' => '',
        'model' => '',
    ];

    private const OVER = "- {fold: valley, bring: edge top, to: edge left, id: over}\n";

    private const BACK = "- {fold: unfold, step: over}\n";

    /** The strip over the edge, and open again. */
    private const STRIP = "- {fold: crease, along: LINE, move: paper 1/2 MIDDLE, layers: all}\n";

    private const CUT = "- {fold: cut, along: LINE, remove: paper 1/2 MIDDLE}\n";

    private const OTHER = "- {fold: crease, bring: corner bottom-right, to: corner top-left}\n";

    /**
     * @param  Policies  $policies  how the cut line is found, and when the second diagonal is creased
     * @return list<array<string, mixed>> scenes: before each of its steps, and the square; none for a sheet that is
     *     square already
     */
    public static function of(float $width, float $height, Policies $policies): array
    {
        [$short, $long] = [min($width, $height), max($width, $height)];
        $share = ($long - $short) / $long;
        if ($share < 0.01 || $long / $short > 4) {
            return [];
        }
        $number = static fn (float $n): string => rtrim(rtrim(number_format($n, 4, '.', ''), '0'), '.');
        $at = static fn (float $n): string => number_format($n, 12, '.', '');
        $steps = strtr(self::CORNERS[$policies->chosen['second']].self::OVER.match ($policies->chosen['cut_line']) {
            'edge' => self::CUT.self::BACK,
            'pencil' => self::BACK.self::CUT,
            default => self::STRIP.self::CUT.self::BACK,
        }.($policies->chosen['second'] === 'after' ? self::OTHER : ''), [
            'LINE' => "line (paper 0 {$at($share)}) to (paper 1 {$at($share)})",
            'MIDDLE' => $at($share / 2),
        ]);
        $model = Folder::fold(
            Loader::load('squaring', sprintf(self::START, $number($short), $number($long)).$steps),
            $short,
        );

        $scenes = [...array_map(SceneBuilder::before(...), $model->steps), SceneBuilder::ofState($model->end())];

        return array_map(static fn (Scene $scene): array => $scene->drawing()->toArray(), $scenes);
    }
}
