<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CountPaper;
use App\Data\StockChangeData;
use App\Http\Requests\StockRequest;
use App\Library\Measure;
use App\Library\PaperAhead;
use App\Library\PaperBench;
use App\Models\Stock;
use App\Models\StockChange;
use Cathedra\Core\Paper\Squaring;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
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
        return response()->json(PaperBench::stock($request->organisation()->stocks()->create(['grammage' => null, 'count' => null, 'price' => null, 'tags' => null, ...$request->validated()])), 201);
    }

    #[OA\Put(path: '/api/stocks/{stock}', operationId: 'changeStock', parameters: [new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/StockInput')), responses: [new OA\Response(response: 200, description: 'changed', content: new OA\JsonContent(ref: '#/components/schemas/StockData'))])]
    public function update(StockRequest $request, Stock $stock): JsonResponse
    {
        $input = $request->validated();
        $version = $input['version'] ?? null;
        $changed = Stock::query()->whereKey($stock->id)->when($version !== null, fn ($q) => $q->where('version', $version))
            ->update(['version' => $stock->version + 1] + (isset($input['tags']) ? ['tags' => json_encode($input['tags'])] : []) + array_diff_key($input, ['version' => 0]));
        $stock->refresh();
        if ($changed === 0) {
            return response()->json(['message' => "Somebody else changed this paper meanwhile: it is now {$stock->name}, {$stock->width_mm} x {$stock->height_mm} mm, ".($stock->count ?? 'plenty of').' sheets. Nothing of yours was saved; look at it and save again.', 'errors' => [['pointer' => '/version', 'message' => 'Changed by somebody else meanwhile.']], 'stock' => PaperBench::stock($stock)], 409);
        }

        return response()->json(PaperBench::stock($stock));
    }

    #[OA\Delete(path: '/api/stocks/{stock}', operationId: 'removeStock', parameters: [new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 204, description: 'removed; lessons keep their records')])]
    public function destroy(Stock $stock): Response
    {
        $stock->delete();

        return response()->noContent();
    }

    #[OA\Get(path: '/api/stocks/{stock}/changes', operationId: 'stockChanges', parameters: [new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'newest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/StockChangeData')))])]
    public function changes(Stock $stock): JsonResponse
    {
        /** @var Collection<int, StockChange> $changes */
        $changes = StockChange::query()->where('stock_id', $stock->id)->orderByDesc('id')->limit(30)->get();

        return response()->json($changes->map(static fn (StockChange $c): StockChangeData => new StockChangeData($c->id, $c->sheets, $c->why, $c->at->format('Y-m-d\TH:i'), $c->undone_at !== null)));
    }

    #[OA\Post(path: '/api/stocks/{stock}/undo', operationId: 'undoStockChange', parameters: [new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'the latest change of its count is taken back', content: new OA\JsonContent(ref: '#/components/schemas/StockData'))])]
    public function undo(Stock $stock, CountPaper $count): JsonResponse
    {
        if ($count->undo($stock) === null) {
            throw ValidationException::withMessages(['count' => 'There is no change of this count to take back.']);
        }

        return response()->json(PaperBench::stock($stock->refresh()));
    }

    #[OA\Post(path: '/api/stocks/{stock}/offcuts', operationId: 'keepOffcuts', parameters: [new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['count'], properties: [new OA\Property(property: 'count', type: 'integer'), new OA\Property(property: 'width_mm', description: 'of the offcut; left out: the strip of the diagonal fold', type: 'number'), new OA\Property(property: 'height_mm', type: 'number')])), responses: [new OA\Response(response: 200, description: 'so many offcuts, as a stock of their own', content: new OA\JsonContent(ref: '#/components/schemas/StockData'))])]
    public function offcuts(Request $request, Stock $stock, CountPaper $count): JsonResponse
    {
        $squaring = Squaring::of($stock->width_mm, $stock->height_mm);
        $longest = max($stock->width_mm, $stock->height_mm);
        $given = $request->validate(['count' => ['required', 'integer', 'between:1,10000'], 'width_mm' => ['sometimes', 'required_with:height_mm', 'numeric', "between:10,$longest"], 'height_mm' => ['sometimes', 'required_with:width_mm', 'numeric', "between:10,$longest"]],
            ['count.*' => 'Say how many offcuts, from 1 to 10,000.', 'width_mm.*' => "An offcut of this paper has 10 to $longest mm each way.", 'height_mm.*' => "An offcut of this paper has 10 to $longest mm each way."]);
        $own = isset($given['width_mm'], $given['height_mm']);
        [$width, $height] = $own ? [round((float) $given['width_mm'], 2), round((float) $given['height_mm'], 2)] : [round($squaring->strip, 2), $squaring->side];
        if ($width < 10) {
            throw ValidationException::withMessages(['count' => 'A square of this paper leaves no strip that could be kept.']);
        }
        [$width, $height] = [min($width, $height), max($width, $height)];
        $name = mb_substr($own ? 'Offcuts '.Measure::mm($width).' x '.Measure::mm($height)." of {$stock->name}" : "Strips of {$stock->name}", 0, 80);
        $kept = $this->organisation($request)->stocks()->firstOrCreate(['name' => $name], ['width_mm' => $width, 'height_mm' => $height, 'grammage' => $stock->grammage, 'kind' => $stock->kind, 'sides' => $stock->sides, 'count' => 0, 'price' => 0, 'tags' => null, 'scrap' => true]);
        $count($kept, (int) $given['count'], "put back from {$stock->name}");

        return response()->json(PaperBench::stock($kept->refresh()));
    }

    #[OA\Get(path: '/api/paper-needs', operationId: 'paperNeeds', responses: [new OA\Response(response: 200, description: 'what the lessons that are planned take together, by stock', content: new OA\JsonContent(type: 'array', items: new OA\Items(required: ['stock', 'name', 'lessons', 'sheets', 'have', 'short'], properties: [new OA\Property(property: 'stock', type: 'integer'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'lessons', type: 'integer'), new OA\Property(property: 'sheets', type: 'integer'), new OA\Property(property: 'have', type: 'integer', nullable: true), new OA\Property(property: 'short', type: 'integer')], type: 'object')))])]
    public function needs(Request $request, PaperAhead $ahead): JsonResponse
    {
        return response()->json($ahead->needs($this->organisation($request)));
    }
}
