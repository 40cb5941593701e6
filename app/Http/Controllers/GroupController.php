<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SaveGroup;
use App\Data\WallData;
use App\Http\Requests\GroupRequest;
use App\Library\LessonSheet;
use App\Library\ModelShelf;
use App\Library\PaperAdvice;
use App\Library\WallChart;
use App\Models\Group;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class GroupController extends Controller
{
    public function __construct(private readonly LessonSheet $sheet)
    {
    }

    #[OA\Get(path: '/api/groups', operationId: 'groups', responses: [new OA\Response(response: 200, description: 'by name', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/GroupData')))])]
    public function index(Request $request): JsonResponse
    {
        /** @var Collection<int, Group> $groups */
        $groups = $this->organisation($request)->groups()->with('learners')->limit(200)->get();

        return response()->json($groups->map($this->sheet->group(...)));
    }

    #[OA\Post(path: '/api/groups', operationId: 'makeGroup', requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/GroupInput')), responses: [new OA\Response(response: 201, description: 'made', content: new OA\JsonContent(ref: '#/components/schemas/GroupData'))])]
    public function store(GroupRequest $request, SaveGroup $save): JsonResponse
    {
        return response()->json($this->sheet->group($save(new Group(['organisation_id' => $request->organisation()->id]), $request->validated())), 201);
    }

    #[OA\Put(path: '/api/groups/{group}', operationId: 'changeGroup', parameters: [new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/GroupInput')), responses: [new OA\Response(response: 200, description: 'changed', content: new OA\JsonContent(ref: '#/components/schemas/GroupData'))])]
    public function update(GroupRequest $request, Group $group, SaveGroup $save): JsonResponse
    {
        return response()->json($this->sheet->group($save($group, $request->validated())));
    }

    #[OA\Delete(path: '/api/groups/{group}', operationId: 'eraseGroup', parameters: [new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 204, description: 'erased with its learners, lessons and records')])]
    public function destroy(Group $group): Response
    {
        $group->delete();

        return response()->noContent();
    }

    #[OA\Get(path: '/api/groups/{group}/times', operationId: 'times', parameters: [new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'minutes a lesson with each model takes this group, paper squared before', content: new OA\JsonContent(type: 'array', items: new OA\Items(required: ['slug', 'minutes'], properties: [new OA\Property(property: 'slug', type: 'string'), new OA\Property(property: 'minutes', type: 'integer')], type: 'object')))])]
    public function times(Group $group): JsonResponse
    {
        return response()->json($this->sheet->times($group));
    }

    #[OA\Get(path: '/api/groups/{group}/paper', operationId: 'paperTable', parameters: [new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'each model against each stock: can this group fold it?', content: new OA\JsonContent(type: 'array', items: new OA\Items(required: ['model', 'stock', 'verdict'], properties: [new OA\Property(property: 'model', type: 'string'), new OA\Property(property: 'stock', type: 'integer'), new OA\Property(property: 'verdict', ref: '#/components/schemas/WillFoldData')], type: 'object')))])]
    public function paper(Request $request, Group $group, PaperAdvice $advice, ModelShelf $shelf): JsonResponse
    {
        $cells = [];
        foreach ($this->organisation($request)->stocks()->limit(40)->get() as $stock) {
            foreach ($shelf->all() as $model) {
                $cells[] = ['model' => $model->slug, 'stock' => $stock->id, 'verdict' => $advice->willFold($stock, $model, $group->age_band)];
            }
        }

        return response()->json($cells);
    }

    #[OA\Get(path: '/api/groups/{group}/wall', operationId: 'wall', parameters: [new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'learners x models', content: new OA\JsonContent(ref: '#/components/schemas/WallData'))])]
    public function wall(Group $group, WallChart $chart): JsonResponse
    {
        /** @var WallData $wall */
        $wall = $chart($group);

        return response()->json($wall);
    }
}
