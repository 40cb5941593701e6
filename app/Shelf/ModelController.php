<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\Controller;
use Cathedra\Core\Diagram\Halfway;
use Cathedra\Core\Diagram\PatternScene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

final class ModelController extends Controller
{
    public function __construct(private readonly ModelShelf $shelf)
    {
    }

    public function index(): JsonResponse
    {
        return response()->json($this->shelf->all());
    }

    public function show(Request $request, string $model): JsonResponse
    {
        return response()->json($this->shelf->model($model, $this->ways($request, $model)));
    }

    /** One step's picture as SVG, with the fold drawn in; the step after the last is the finished model. */
    public function picture(Request $request, string $model, int $step): Response
    {
        $folded = $this->shelf->folded($model, $this->ways($request, $model));
        abort_unless($step >= 1 && $step <= count($folded->steps) + 1, 404);
        $of = $folded->steps[$step - 1] ?? null;
        $scene = match (true) {
            $of === null => SceneBuilder::ofModel($folded),
            $request->query('show') === 'after' => SceneBuilder::after($of),
            $request->query('show') === 'halfway' => Halfway::of($of) ?? abort(404),
            $request->query('show') === 'close-up' => SceneBuilder::closeUp($of) ?? abort(404),
            default => SceneBuilder::before($of),
        };

        return $this->svg(SvgRenderer::draw($scene, $folded->sequence->title." $step"), "$model-$step");
    }

    /** The crease pattern as SVG. */
    public function pattern(Request $request, string $model): Response
    {
        $folded = $this->shelf->folded($model, $this->ways($request, $model));

        return $this->svg(
            SvgRenderer::draw(PatternScene::of($folded->end()), $folded->sequence->title),
            "$model-creases",
        );
    }

    /** The FOLD document of the model or, with ?step=n, of the state after one step alone. */
    public function fold(Request $request, FoldFiles $files, string $model): Response
    {
        $step = $request->query('step');
        $document = $files->written(
            $model,
            $this->ways($request, $model),
            is_string($step) && ctype_digit($step) ? (int) $step : null,
        );
        abort_if($document === null, 404);
        $name = $model.(is_string($step) ? "-$step" : '').'.fold';

        return new Response($document, 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }

    public function check(PatternRequest $request, FoldFiles $files): JsonResponse
    {
        /** @var PatternData $pattern */
        $pattern = $files->read($request->string('document')->toString());

        return response()->json($pattern);
    }

    /**
     * @return array<string, string>
     *
     * @throws ValidationException when the model does not offer these ways
     */
    private function ways(Request $request, string $model): array
    {
        abort_unless($this->shelf->has($model), 404);
        /** @var array<string, string> $ways */
        $ways = $request->query('ways', []);
        if ($ways !== [] && ! $this->shelf->offers($model, $ways)) {
            throw ValidationException::withMessages(['ways' => 'This model does not offer that way.']);
        }

        return $ways;
    }

    private function svg(string $svg, string $name): Response
    {
        return response($svg, 200, [
            'Content-Type' => 'image/svg+xml',
            'Content-Disposition' => "inline; filename=\"$name.svg\"",
        ]);
    }
}
