<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Ways of teaching a model: before it is planned, in a lesson, and as one teaches it usually. */
final class WaysController extends Controller
{
    public function __construct(private readonly ModelShelf $shelf, private readonly WaysOfTeaching $teaching)
    {
    }

    public function __invoke(Request $request, string $model): JsonResponse
    {
        [$shelf, $teaching] = [$this->shelf, $this->teaching];
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

    /** The same for a model of a lesson, planned or being taught: by its group, its ways, and its count of steps. */
    public function lesson(Lesson $lesson, string $model): JsonResponse
    {
        $item = Programme::of($lesson, $this->shelf)->find($model) ?? abort(404);

        return response()->json(($this->teaching)($model, $item->ways, $lesson->group, $item->first));
    }

    /** Keeps ways as the usual ones of whoever is signed in: lessons made from now on begin with them. */
    public function keep(Request $request, string $model): JsonResponse
    {
        abort_unless($this->shelf->has($model), 404);
        $ways = $request->input('ways');
        if (! is_array($ways) || ($ways !== [] && ! $this->shelf->offers($model, $ways))) {
            throw ValidationException::withMessages(['ways' => 'This model does not offer that way.']);
        }
        $of = ['user_id' => $this->user($request)->id, 'model' => $model];
        $ways === []
            ? DB::table('usual_ways')->where($of)->delete()
            : DB::table('usual_ways')->upsert(
                [[...$of, 'ways' => json_encode($ways, JSON_THROW_ON_ERROR)]],
                ['user_id', 'model'],
                ['ways'],
            );

        return response()->json(['ways' => (object) $ways]);
    }
}
