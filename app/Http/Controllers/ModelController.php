<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Data\PatternData;
use App\Http\Requests\PatternRequest;
use App\Library\FoldFiles;
use App\Library\ModelShelf;
use Cathedra\Core\Diagram\Halfway;
use Cathedra\Core\Diagram\PatternScene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

#[OA\Parameter(parameter: 'ModelName', name: 'model', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
#[OA\Parameter(parameter: 'Ways', name: 'ways', description: 'the way taken, by route', in: 'query', style: 'deepObject', explode: true, schema: new OA\Schema(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')))]
final class ModelController extends Controller
{
    public function __construct(private readonly ModelShelf $shelf)
    {
    }

    #[OA\Get(path: '/api/models', operationId: 'models', responses: [new OA\Response(response: 200, description: 'easiest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/ModelSummary')))])]
    public function index(): JsonResponse
    {
        return response()->json($this->shelf->all());
    }

    #[OA\Get(path: '/api/models/{model}', operationId: 'model', parameters: [new OA\Parameter(ref: '#/components/parameters/ModelName'), new OA\Parameter(ref: '#/components/parameters/Ways')], responses: [new OA\Response(response: 200, description: 'with all steps', content: new OA\JsonContent(ref: '#/components/schemas/ModelData'))])]
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

        return $this->svg(SvgRenderer::draw(PatternScene::of($folded->end()), $folded->sequence->title), "$model-creases");
    }

    /** The FOLD document of the model or, with ?step=n, of the state after one step alone. */
    public function fold(Request $request, FoldFiles $files, string $model): Response
    {
        $step = $request->query('step');
        $document = $files->written($model, $this->ways($request, $model), is_string($step) && ctype_digit($step) ? (int) $step : null);
        abort_if($document === null, 404);
        $name = $model.(is_string($step) ? "-$step" : '').'.fold';

        return new Response($document, 200, ['Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }

    #[OA\Post(path: '/api/patterns', operationId: 'foldPattern', requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', description: 'the text of a FOLD file with a crease pattern', type: 'string')])), responses: [new OA\Response(response: 200, description: 'folded and checked; nothing is kept', content: new OA\JsonContent(ref: '#/components/schemas/PatternData'))])]
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
        return response($svg, 200, ['Content-Type' => 'image/svg+xml', 'Content-Disposition' => "inline; filename=\"$name.svg\""]);
    }
}
