<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\StockRequest;
use App\Library\PaperBench;
use App\Models\Stock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class StockController extends Controller
{
    #[OA\Get(path: '/api/stocks', operationId: 'stocks', responses: [new OA\Response(response: 200, description: 'by name', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/StockData')))])]
    public function index(Request $request): JsonResponse
    {
        return response()->json($this->organisation($request)->stocks()->limit(200)->get()->map(PaperBench::stock(...)));
    }

    #[OA\Post(path: '/api/stocks', operationId: 'makeStock', requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/StockInput')), responses: [new OA\Response(response: 201, description: 'made', content: new OA\JsonContent(ref: '#/components/schemas/StockData'))])]
    public function store(StockRequest $request): JsonResponse
    {
        return response()->json(PaperBench::stock($request->organisation()->stocks()->create(['grammage' => null, 'count' => null, ...$request->validated()])), 201);
    }

    #[OA\Put(path: '/api/stocks/{stock}', operationId: 'changeStock', parameters: [new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/StockInput')), responses: [new OA\Response(response: 200, description: 'changed', content: new OA\JsonContent(ref: '#/components/schemas/StockData'))])]
    public function update(StockRequest $request, Stock $stock): JsonResponse
    {
        $stock->update($request->validated());

        return response()->json(PaperBench::stock($stock));
    }

    #[OA\Delete(path: '/api/stocks/{stock}', operationId: 'removeStock', parameters: [new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 204, description: 'removed; lessons keep their records')])]
    public function destroy(Stock $stock): Response
    {
        $stock->delete();

        return response()->noContent();
    }
}
