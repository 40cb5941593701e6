<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CloseLesson;
use App\Actions\SaveLesson;
use App\Http\Requests\FinishRequest;
use App\Http\Requests\LessonRequest;
use App\Http\Requests\MarkRequest;
use App\Library\LessonSheet;
use App\Library\ModelShelf;
use App\Library\Programme;
use App\Models\Lesson;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'LessonInput', required: ['group_id', 'model', 'starts_at', 'ends_at', 'helpers', 'stock_id', 'side_mm', 'method', 'square_in_lesson', 'paper_ready'], properties: [
    new OA\Property(property: 'group_id', type: 'integer'), new OA\Property(property: 'model', type: 'string'), new OA\Property(property: 'ways', description: 'the way taken, by route of the model; left out: the usual ones', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')), new OA\Property(property: 'starts_at', type: 'string'), new OA\Property(property: 'ends_at', type: 'string'),
    new OA\Property(property: 'helpers', type: 'integer'), new OA\Property(property: 'stock_id', type: 'integer', nullable: true), new OA\Property(property: 'side_mm', type: 'number', nullable: true),
    new OA\Property(property: 'method', type: 'string', enum: ['scissors', 'trimmer', 'tear']), new OA\Property(property: 'square_in_lesson', type: 'boolean'), new OA\Property(property: 'paper_ready', type: 'boolean'),
    new OA\Property(property: 'further', description: 'models after the first; left out: as it was', type: 'array', items: new OA\Items(required: ['model'], properties: [new OA\Property(property: 'model', type: 'string'), new OA\Property(property: 'ways', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')), new OA\Property(property: 'side_mm', type: 'number', nullable: true)], type: 'object')),
    new OA\Property(property: 'also_stock_ids', description: 'paper beside the first; left out: as it was', type: 'array', items: new OA\Items(type: 'integer')), new OA\Property(property: 'prefer', description: 'what the cutting plan puts first', type: 'string', enum: ['least', 'fewest', 'scrap']), new OA\Property(property: 'helpers_cut', type: 'boolean'),
    new OA\Property(property: 'decorate', type: 'string', enum: ['none', 'before', 'after']), new OA\Property(property: 'materials', description: 'keys; null: what the models ask for', type: 'array', nullable: true, items: new OA\Items(type: 'string')),
])]
#[OA\Schema(schema: 'GroupInput', required: ['name', 'age_band', 'helpers', 'learners'], properties: [
    new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'age_band', type: 'string'), new OA\Property(property: 'helpers', type: 'integer'), new OA\Property(property: 'table_size', description: 'learners at a table', type: 'integer', nullable: true),
    new OA\Property(property: 'learners', type: 'array', items: new OA\Items(required: ['id', 'name'], properties: [new OA\Property(property: 'id', type: 'integer', nullable: true), new OA\Property(property: 'name', type: 'string')], type: 'object')),
])]
#[OA\Schema(schema: 'StockInput', required: ['name', 'width_mm', 'height_mm', 'grammage', 'count'], properties: [
    new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'width_mm', type: 'number'), new OA\Property(property: 'height_mm', type: 'number'), new OA\Property(property: 'grammage', type: 'integer', nullable: true), new OA\Property(property: 'count', type: 'integer', nullable: true),
    new OA\Property(property: 'kind', type: 'string'), new OA\Property(property: 'sides', type: 'string'), new OA\Property(property: 'trim_mm', type: 'number'), new OA\Property(property: 'version', description: 'the one that was changed; another answers 409', type: 'integer'),
    new OA\Property(property: 'price', type: 'number', nullable: true), new OA\Property(property: 'tags', type: 'array', items: new OA\Items(type: 'string')), new OA\Property(property: 'scrap', type: 'boolean'),
])]
final class LessonController extends Controller
{
    private const PER_PAGE = 25;

    public function __construct(private readonly LessonSheet $sheet, private readonly ModelShelf $shelf)
    {
    }

    #[OA\Get(path: '/api/lessons', operationId: 'lessons', parameters: [new OA\Parameter(name: 'page', in: 'query', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'newest first', content: new OA\JsonContent(required: ['lessons', 'page', 'pages'], properties: [new OA\Property(property: 'lessons', type: 'array', items: new OA\Items(ref: '#/components/schemas/LessonCard')), new OA\Property(property: 'page', type: 'integer'), new OA\Property(property: 'pages', type: 'integer')]))])]
    public function index(Request $request): JsonResponse
    {
        $page = $this->organisation($request)->lessons()->with(LessonSheet::WITH)->orderByDesc('starts_at')->paginate(self::PER_PAGE);

        return response()->json(['lessons' => $page->getCollection()->map($this->sheet->card(...)), 'page' => $page->currentPage(), 'pages' => $page->lastPage()]);
    }

    #[OA\Post(path: '/api/lessons', operationId: 'makeLesson', requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/LessonInput')), responses: [new OA\Response(response: 201, description: 'made', content: new OA\JsonContent(ref: '#/components/schemas/LessonData'))])]
    public function store(LessonRequest $request, SaveLesson $save): JsonResponse
    {
        $lesson = new Lesson(['organisation_id' => $request->organisation()->id, 'side_mm' => null, 'stock_id' => null, 'started_at' => null, 'ended_at' => null, 'used_paper' => null, 'ticks' => null, 'materials' => null]);

        return response()->json($this->sheet->full($save($lesson, $request->columns(), $request->further() ?? [], $request->also() ?? [])), 201);
    }

    #[OA\Get(path: '/api/lessons/{lesson}', operationId: 'lesson', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'with all stages', content: new OA\JsonContent(ref: '#/components/schemas/LessonData'))])]
    public function show(Lesson $lesson): JsonResponse
    {
        return response()->json($this->sheet->full($lesson));
    }

    #[OA\Put(path: '/api/lessons/{lesson}', operationId: 'changeLesson', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/LessonInput')), responses: [new OA\Response(response: 200, description: 'changed', content: new OA\JsonContent(ref: '#/components/schemas/LessonData'))])]
    public function update(LessonRequest $request, Lesson $lesson, SaveLesson $save): JsonResponse
    {
        return response()->json($this->sheet->full($save($lesson, $request->columns(), $request->further(), $request->also())));
    }

    #[OA\Delete(path: '/api/lessons/{lesson}', operationId: 'removeLesson', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 204, description: 'removed')])]
    public function destroy(Lesson $lesson): Response
    {
        $lesson->delete();

        return response()->noContent();
    }

    #[OA\Put(path: '/api/lessons/{lesson}/position', operationId: 'moveLesson', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['step'], properties: [new OA\Property(property: 'step', description: '0 before the first step, one past the last when finished', type: 'integer')])), responses: [new OA\Response(response: 204, description: 'kept')])]
    public function position(Request $request, Lesson $lesson): Response
    {
        $last = Programme::of($lesson, $this->shelf)->steps() + 1;
        $given = $request->validate(['step' => ['required', 'integer', "between:0,$last"]], ['step.*' => "The step must be a whole number from 0 to $last."]);
        $lesson->update(['step' => $given['step'], 'started_at' => $lesson->started_at ?? CarbonImmutable::now()]);

        return response()->noContent();
    }

    #[OA\Put(path: '/api/lessons/{lesson}/ticks', operationId: 'tick', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['key', 'done'], properties: [new OA\Property(property: 'key', type: 'string'), new OA\Property(property: 'done', type: 'boolean')])), responses: [new OA\Response(response: 204, description: 'kept')])]
    public function tick(Request $request, Lesson $lesson): Response
    {
        $given = $request->validate(['key' => ['required', 'string', 'regex:/^[a-z-]{1,30}-\\d{1,2}$/'], 'done' => ['required', 'boolean']], ['key.*' => 'There is no such entry in the list.']);
        DB::transaction(function () use ($lesson, $given): void {
            $ticks = array_values(array_diff(Lesson::query()->whereKey($lesson->id)->lockForUpdate()->first()->ticks ?? [], [$given['key']]));
            $lesson->update(['ticks' => $given['done'] ? [...$ticks, $given['key']] : $ticks]);
        });

        return response()->noContent();
    }

    #[OA\Post(path: '/api/lessons/{lesson}/marks', operationId: 'mark', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/MarkData')), responses: [new OA\Response(response: 204, description: 'kept; sending it again changes nothing')])]
    public function mark(MarkRequest $request, Lesson $lesson): Response
    {
        $mark = $request->validated();
        $lesson->marks()->firstOrCreate(['key' => $mark['key']], ['learner_id' => $mark['learner'], 'step' => $mark['step'], 'kind' => $mark['kind'], 'at' => CarbonImmutable::now()]);

        return response()->noContent();
    }

    #[OA\Delete(path: '/api/lessons/{lesson}/marks/{key}', operationId: 'unmark', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')), new OA\Parameter(name: 'key', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 204, description: 'taken back')])]
    public function unmark(Lesson $lesson, string $key): Response
    {
        $lesson->marks()->where('key', $key)->delete();

        return response()->noContent();
    }

    #[OA\Post(path: '/api/lessons/{lesson}/close', operationId: 'closeLesson', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'ended; the taps became records', content: new OA\JsonContent(ref: '#/components/schemas/LessonData'))])]
    public function close(Lesson $lesson, CloseLesson $close): JsonResponse
    {
        $close($lesson);

        return response()->json($this->sheet->full($lesson));
    }

    #[OA\Put(path: '/api/lessons/{lesson}/finishes', operationId: 'finish', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/FinishData')), responses: [new OA\Response(response: 204, description: 'kept')])]
    public function finish(FinishRequest $request, Lesson $lesson): Response
    {
        $given = $request->validated();
        $lesson->finishes()->updateOrCreate(['learner_id' => $given['learner'], 'model' => $given['model'] ?? $lesson->model], ['outcome' => $given['outcome'], 'step' => $given['outcome'] === 'stopped' ? $given['step'] : null]);

        return response()->noContent();
    }
}
