<?php

declare(strict_types=1);

namespace App\Groups;

use App\Bin\Bin;
use App\Models\Group;
use App\Pacing\FoldStanding;
use App\Pacing\ModelMinutes;
use App\Paper\PaperAdvice;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class GroupController extends Controller
{
    public function __construct(private readonly GroupSheet $sheet)
    {
    }

    public function index(Request $request): JsonResponse
    {
        /** @var Collection<int, Group> $groups */
        $groups = $this->organisation($request)->groups()->with('learners')->limit(200)->get();

        return response()->json($groups->map($this->sheet->of(...)));
    }

    public function store(GroupRequest $request, SaveGroup $save): JsonResponse
    {
        return response()->json(
            $this->sheet->of(
                $save(new Group(['organisation_id' => $request->organisation()->id]), $request->validated()),
            ),
            201,
        );
    }

    public function update(GroupRequest $request, Group $group, SaveGroup $save): JsonResponse
    {
        return response()->json($this->sheet->of($save($group, $request->validated())));
    }

    public function destroy(Request $request, Group $group, Bin $bin): JsonResponse
    {
        return response()->json($bin->put($group, $request->boolean('sure')));
    }

    public function removeLearner(Request $request, Group $group, string $learner, Bin $bin): JsonResponse
    {
        return response()->json($bin->put($group->learners()->findOrFail((int) $learner), $request->boolean('sure')));
    }

    public function next(Group $group, NextFor $next): JsonResponse
    {
        return response()->json($next($group));
    }

    public function times(SlotRequest $request, Group $group, ModelMinutes $minutes): JsonResponse
    {
        return response()->json($minutes->all($group, $request->minutes()));
    }

    /** How a lesson with these models would go, before it is made. */
    public function fit(FitRequest $request, Group $group, ModelMinutes $minutes): JsonResponse
    {
        return response()->json(
            $minutes->together($group, $request->models(), $request->minutes(), $request->helpers()),
        );
    }

    public function paper(Request $request, Group $group, PaperAdvice $advice, ModelShelf $shelf): JsonResponse
    {
        $cells = [];
        foreach ($this->organisation($request)->stocks()->limit(40)->get() as $stock) {
            foreach (array_map($shelf->facts(...), $shelf->slugs()) as $model) {
                $cells[] = [
                    'model' => $model->slug,
                    'stock' => $stock->id,
                    'verdict' => $advice->willFold($stock, $model, $group->age_band),
                ];
            }
        }

        return response()->json($cells);
    }

    public function folds(Group $group, FoldStanding $standing): JsonResponse
    {
        return response()->json($standing($group));
    }

    public function wall(Group $group, WallChart $chart): JsonResponse
    {
        /** @var WallData $wall */
        $wall = $chart($group);

        return response()->json($wall);
    }

    public function records(Group $group, RecordsFile $file): Response
    {
        return new Response($file->of($group), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"records-{$group->id}.csv\"",
        ]);
    }
}
