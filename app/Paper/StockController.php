<?php

declare(strict_types=1);

namespace App\Paper;

use App\Bin\Bin;
use App\Models\Stock;
use App\Models\StockChange;
use App\Support\Controller;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

final class StockController extends Controller
{
    public function __construct(private readonly Measure $measure)
    {
    }

    public function index(Request $request): JsonResponse
    {
        return response()->json(
            $this->organisation($request)->stocks()->limit(200)->get()->map($this->data(...)),
        );
    }

    public function store(StockRequest $request): JsonResponse
    {
        return response()->json(
            $this->data(
                $request
                    ->organisation()
                    ->stocks()
                    ->create([
                        'grammage' => null,
                        'count' => null,
                        'price' => null,
                        'tags' => null,
                        ...$request->validated(),
                    ]),
            ),
            201,
        );
    }

    public function update(StockRequest $request, Stock $stock, SaveStock $save): JsonResponse
    {
        return response()->json($this->data($save($stock, $request->validated())));
    }

    public function destroy(Request $request, Stock $stock, Bin $bin): JsonResponse
    {
        return response()->json($bin->put($stock, $request->boolean('sure')));
    }

    public function changes(Stock $stock): JsonResponse
    {
        /** @var Collection<int, StockChange> $changes */
        $changes = StockChange::query()->where('stock_id', $stock->id)->orderByDesc('id')->limit(30)->get();

        return response()->json(
            $changes->map(
                static fn (StockChange $c): StockChangeData => new StockChangeData(
                    id: $c->id,
                    sheets: $c->sheets,
                    why: $c->why,
                    at: $c->at->format('Y-m-d\TH:i'),
                    undone: $c->undone_at !== null,
                ),
            ),
        );
    }

    public function undo(Request $request, Stock $stock, CountPaper $count): JsonResponse
    {
        $given = $request->validate(
            ['change' => ['required', 'integer', 'between:1,'.PHP_INT_MAX]],
            ['change.*' => 'Say which change is taken back, by its number in the list of changes.'],
        );
        if ($count->undo($stock, (int) $given['change']) === null) {
            throw ValidationException::withMessages([
                'change' => 'This paper has no such change of its count to take back.',
            ]);
        }

        return response()->json($this->data($stock->refresh()));
    }

    public function offcuts(Request $request, Stock $stock, KeepOffcuts $keep): JsonResponse
    {
        $longest = max($stock->width_mm, $stock->height_mm);
        $given = $request->validate(
            [
                'count' => ['required', 'integer', 'between:1,10000'],
                'width_mm' => ['sometimes', 'required_with:height_mm', 'numeric', "between:10,$longest"],
                'height_mm' => ['sometimes', 'required_with:width_mm', 'numeric', "between:10,$longest"],
            ],
            [
                'count.*' => 'Say how many offcuts, from 1 to 10,000.',
                'width_mm.*' => "An offcut of this paper has 10 to $longest mm each way.",
                'height_mm.*' => "An offcut of this paper has 10 to $longest mm each way.",
            ],
        );
        $size = isset($given['width_mm'], $given['height_mm'])
            ? [(float) $given['width_mm'], (float) $given['height_mm']]
            : null;

        return response()->json($this->data($keep($stock, (int) $given['count'], $size)));
    }

    public function needs(Request $request, PaperAhead $ahead): JsonResponse
    {
        return response()->json($ahead->needs($this->organisation($request)));
    }

    private function data(Stock $stock): StockData
    {
        return StockData::of($stock, $this->measure);
    }
}
