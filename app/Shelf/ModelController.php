<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Accounts\MannerOf;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

final class ModelController extends Controller
{
    public function __construct(private readonly ModelShelf $shelf)
    {
    }

    public function index(): JsonResponse
    {
        return JsonResponse::fromJsonString($this->shelf->allAsJson());
    }

    public function show(Request $request, string $model): JsonResponse
    {
        $request->validate(
            array_map(static fn (array $there): array => ['sometimes', Rule::in($there)], MannerOf::ASKED),
            ['names' => 'Folds are named by term, likeness or both.', 'letters' => 'Letters are on or off.'],
        );

        return response()->json($this->shelf->model($model, $this->ways($request, $model)));
    }

    /** One step's picture as SVG, with the fold drawn in; the step after the last is the finished model. */
    public function picture(Request $request, Pictures $pictures, string $model, int $step): Response
    {
        $show = $request->query('show');
        $svg = $pictures->step($model, $this->ways($request, $model), $step, is_string($show) ? $show : 'before');

        return $this->svg($svg ?? abort(404), "$model-$step");
    }

    /** How one step moves. */
    public function motion(Request $request, Motions $motions, string $model, int $step): JsonResponse
    {
        return response()->json($motions->of($model, $this->ways($request, $model), $step) ?? abort(404));
    }

    /** Where the flat sheet ends up. */
    public function sheetMap(Request $request, string $model): JsonResponse
    {
        $ways = $this->ways($request, $model);

        return response()->json($this->shelf->keepOf(
            $model,
            $ways,
            'sheet-map',
            fn (): SheetMapData => SheetMapData::of($this->shelf->folded($model, $ways)->end()),
        ));
    }

    /** The crease pattern as SVG. */
    public function pattern(Request $request, Pictures $pictures, string $model): Response
    {
        return $this->svg($pictures->creases($model, $this->ways($request, $model)), "$model-creases");
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
        return $this->shelf->asked($model, $request->query('ways', []));
    }

    private function svg(string $svg, string $name): Response
    {
        return response($svg, 200, [
            'Content-Type' => 'image/svg+xml',
            'Content-Disposition' => "inline; filename=\"$name.svg\"",
        ]);
    }
}
