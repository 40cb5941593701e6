<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Shelf\ModelShelf;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** Ways of teaching a model, before it is planned. */
final class WaysController extends Controller
{
    public function __invoke(Request $request, string $model, ModelShelf $shelf, WaysOfTeaching $teaching): JsonResponse
    {
        abort_unless($shelf->has($model), 404);
        $ways = $request->query('ways', []);
        if ($ways !== [] && ! $shelf->offers($model, $ways)) {
            throw ValidationException::withMessages(['ways' => 'This model does not offer that way.']);
        }
        $group = $request->query('group');
        if ($group !== null && (! is_string($group) || ! ctype_digit($group))) {
            throw ValidationException::withMessages(['group' => 'A group is named by its number.']);
        }

        /** @var array<string, string> $ways */
        return response()->json($teaching(
            $model,
            $ways,
            $group === null ? null : $this->organisation($request)->groups()->findOrFail((int) $group),
        ));
    }
}
