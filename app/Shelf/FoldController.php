<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\Controller;
use Illuminate\Http\JsonResponse;

/** Kinds of fold. */
final class FoldController extends Controller
{
    public function __construct(private readonly FoldShelf $folds)
    {
    }

    public function index(): JsonResponse
    {
        return response()->json($this->folds->all());
    }

    public function pictures(): JsonResponse
    {
        return response()->json($this->folds->signs());
    }

    public function show(string $kind): JsonResponse
    {
        return response()->json($this->folds->page($kind) ?? abort(404));
    }
}
