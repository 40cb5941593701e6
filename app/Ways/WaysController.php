<?php

declare(strict_types=1);

namespace App\Ways;

use App\Models\Lesson;
use App\Programme\LoadedProgramme;
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
        abort_unless($this->shelf->has($model), 404);
        $ways = $this->ways($model, $request->query('ways', []));
        $group = $request->query('group');
        if ($group !== null && (! is_string($group) || ! ctype_digit($group))) {
            throw ValidationException::withMessages(['group' => 'A group is named by its number.']);
        }

        return response()->json($this->teaching->ofModel(
            $model,
            $ways,
            $group === null ? null : $this->organisation($request)->groups()->findOrFail((int) $group),
            self::isFirstOnly($request),
        ));
    }

    /** The same for a model of a lesson, planned or being taught; `ways` are those thought of, else its own. */
    public function lesson(Request $request, Lesson $lesson, string $model): JsonResponse
    {
        $item = LoadedProgramme::of($lesson, $this->shelf)->find($model) ?? abort(404);
        $asked = $request->query('ways');

        return response()->json(
            $this->teaching->ofLesson(
                $lesson,
                $item,
                $asked === null ? null : $this->ways($model, $asked),
                self::isFirstOnly($request),
            ),
        );
    }

    /** @throws ValidationException */
    private static function isFirstOnly(Request $request): bool
    {
        return match ($request->query('only')) {
            null => false,
            'first' => true,
            default => throw ValidationException::withMessages([
                'only' => 'Only the first question can be asked alone.',
            ]),
        };
    }

    /** Keeps ways as the usual ones of whoever is signed in: lessons made from now on begin with them. */
    public function keep(Request $request, string $model): JsonResponse
    {
        abort_unless($this->shelf->has($model), 404);
        $ways = $this->ways($model, $request->input('ways'));
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

    /** @return array<string, string> */
    private function ways(string $model, mixed $given): array
    {
        if (! is_array($given) || ($given !== [] && ! $this->shelf->offers($model, $given))) {
            throw ValidationException::withMessages(['ways' => 'This model does not offer that way.']);
        }

        /** @var array<string, string> $given */
        return $given;
    }
}
