<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Library\ModelShelf;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

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

    #[OA\Get(path: '/api/models/{model}', operationId: 'model', parameters: [new OA\Parameter(name: 'model', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'with all steps', content: new OA\JsonContent(ref: '#/components/schemas/ModelData'))])]
    public function show(string $model): JsonResponse
    {
        abort_unless($this->shelf->has($model), 404);

        return response()->json($this->shelf->model($model));
    }

    /** One step's picture as SVG, with the fold drawn in; the step after the last is the finished model. */
    public function picture(string $model, int $step): Response
    {
        abort_unless($this->shelf->has($model), 404);
        $folded = $this->shelf->folded($model);
        abort_unless($step >= 1 && $step <= count($folded->steps) + 1, 404);
        $scene = isset($folded->steps[$step - 1]) ? SceneBuilder::before($folded->steps[$step - 1]) : SceneBuilder::ofState($folded->end());

        return response(SvgRenderer::draw($scene, $folded->sequence->title." $step"), 200, ['Content-Type' => 'image/svg+xml']);
    }
}
