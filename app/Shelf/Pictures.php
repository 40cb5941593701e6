<?php

declare(strict_types=1);

namespace App\Shelf;

use Cathedra\Core\Diagram\Halfway;
use Cathedra\Core\Diagram\PatternScene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;

/** Pictures of models as SVG. */
final readonly class Pictures
{
    private const SHOWN = ['before', 'after', 'halfway', 'close-up'];

    public function __construct(private ModelShelf $shelf)
    {
    }

    /**
     * A step with the fold drawn in, or after it, half-way, or near; the step after the last is the finished model.
     *
     * @param  array<string, string>  $ways
     * @return string|null null when there is no such step or picture
     */
    public function step(string $model, array $ways, int $step, string $show): ?string
    {
        if ($step < 1 || $step > count($this->shelf->loads($model, $ways)) + 1) {
            return null;
        }
        $show = in_array($show, self::SHOWN, true) ? $show : 'before';
        $draw = fn (): string => $this->drawn($model, $ways, $step, $show) ?? '';

        return $this->shelf->keepOf($model, $ways, "svg-$step-$show", $draw) ?: null;
    }

    /** @param  array<string, string>  $ways */
    private function drawn(string $model, array $ways, int $step, string $show): ?string
    {
        $folded = $this->shelf->folded($model, $ways);
        $of = $folded->steps[$step - 1] ?? null;
        $scene = match (true) {
            $step === count($folded->steps) + 1 => SceneBuilder::ofModel($folded),
            $of === null => null,
            $show === 'after' => SceneBuilder::after($of),
            $show === 'halfway' => Halfway::of($of),
            $show === 'close-up' => SceneBuilder::closeUp($of),
            default => SceneBuilder::before($of),
        };

        return $scene === null ? null : SvgRenderer::draw($scene, $folded->sequence->title." $step");
    }

    /** @param  array<string, string>  $ways */
    public function creases(string $model, array $ways): string
    {
        return $this->shelf->keepOf($model, $ways, 'svg-creases', function () use ($model, $ways): string {
            $folded = $this->shelf->folded($model, $ways);

            return SvgRenderer::draw(PatternScene::of($folded->end()), $folded->sequence->title);
        });
    }
}
