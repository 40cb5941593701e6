<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BenchRequest;
use App\Library\CutBench;
use App\Library\Kits;
use App\Library\LessonSheet;
use App\Library\ModelShelf;
use App\Library\PaperAhead;
use App\Library\PaperBench;
use App\Library\Programme;
use App\Models\Lesson;
use Carbon\CarbonImmutable;
use Cathedra\Core\Paper\Prefer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The paper bench beyond one lesson: free cutting plans, kits, and what the lessons ahead take together. */
final class BenchController extends Controller
{
    #[OA\Post(path: '/api/cut-plan', operationId: 'cutPlan', description: 'Answers in lines of JSON while it works: {"share", "what"} and at last {"plan"}.', requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['stock', 'need', 'method', 'prefer'], properties: [
        new OA\Property(property: 'stock', type: 'array', items: new OA\Items(required: ['id', 'count'], properties: [new OA\Property(property: 'id', type: 'integer'), new OA\Property(property: 'count', description: 'null: plenty', type: 'integer', nullable: true)], type: 'object')),
        new OA\Property(property: 'need', type: 'array', items: new OA\Items(required: ['side_mm', 'count'], properties: [new OA\Property(property: 'side_mm', description: 'null, for a single size: the largest for so many', type: 'number', nullable: true), new OA\Property(property: 'count', type: 'integer')], type: 'object')),
        new OA\Property(property: 'method', type: 'string', enum: ['scissors', 'trimmer', 'tear']), new OA\Property(property: 'prefer', type: 'string', enum: ['least', 'fewest', 'scrap']),
    ])), responses: [new OA\Response(response: 200, description: 'lines; the last holds the plan', content: new OA\MediaType(mediaType: 'application/x-ndjson', schema: new OA\Schema(ref: '#/components/schemas/BenchPlanData')))])]
    public function plan(BenchRequest $request, CutBench $bench): StreamedResponse
    {
        $papers = $request->papers();
        $need = $request->need();
        if (count($need) > 1 && in_array(null, array_column($need, 'side'), true)) {
            throw ValidationException::withMessages(['need.'.array_search(null, array_column($need, 'side'), true).'.side_mm' => 'The largest square can be found for one size at a time. Give this side, or ask for one size.']);
        }
        /** @var 'scissors'|'trimmer'|'tear' $method */
        $method = $request->validated('method');
        $prefer = Prefer::from((string) $request->string('prefer'));
        $request->session()->save(); // other requests of this lead go on meanwhile

        return response()->stream(static function () use ($bench, $papers, $need, $method, $prefer): void {
            $last = 0.0;
            $send = static function (mixed $line): void {
                echo json_encode($line, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
                ob_get_level() > 0 && ob_flush();
                flush();
            };
            $plan = $bench->plan($papers, $need, $method, $prefer, static function (float $share, string $what) use (&$last, $send): void {
                if (microtime(true) - $last > 0.15) {
                    $last = microtime(true);
                    $send(['share' => round($share, 3), 'what' => $what]);
                }
            });
            $send(['plan' => $plan]);
        }, 200, ['Content-Type' => 'application/x-ndjson', 'Cache-Control' => 'no-store']);
    }

    #[OA\Get(path: '/api/lessons/{lesson}/kits', operationId: 'kits', parameters: [new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'what goes to each table and to each learner', content: new OA\JsonContent(required: ['tables', 'kit', 'cautions'], properties: [
        new OA\Property(property: 'tables', type: 'array', items: new OA\Items(required: ['table', 'learners', 'items'], properties: [new OA\Property(property: 'table', type: 'integer'), new OA\Property(property: 'learners', type: 'array', items: new OA\Items(required: ['name', 'seat'], properties: [new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'seat', type: 'integer', nullable: true)], type: 'object')), new OA\Property(property: 'items', type: 'array', items: new OA\Items(type: 'string'))], type: 'object')),
        new OA\Property(property: 'kit', description: 'of one learner', type: 'array', items: new OA\Items(type: 'string')), new OA\Property(property: 'cautions', type: 'array', items: new OA\Items(type: 'string')),
    ]))])]
    public function kits(Lesson $lesson, PaperBench $bench, Kits $kits, ModelShelf $shelf): JsonResponse
    {
        $lesson->loadMissing(LessonSheet::WITH);
        $paper = $bench->reckon($lesson);
        $programme = Programme::of($lesson, $shelf);
        $cautions = array_map(static fn ($m): string => "$m->name: $m->caution", $kits->materials($lesson, $programme));

        return response()->json(($paper === null ? ['tables' => [], 'kit' => []] : $kits->forTables($lesson, $paper, $programme)) + ['cautions' => $cautions]);
    }

    #[OA\Get(path: '/api/paper-ahead', operationId: 'paperAhead', parameters: [new OA\Parameter(name: 'until', description: 'last day counted; left out: a quarter of a year', in: 'query', schema: new OA\Schema(type: 'string', format: 'date'))], responses: [new OA\Response(response: 200, description: 'what the lessons ahead take together', content: new OA\JsonContent(ref: '#/components/schemas/PaperAheadData'))])]
    public function ahead(Request $request, PaperAhead $ahead): JsonResponse
    {
        $given = $request->validate(['until' => ['sometimes', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01']], ['until.*' => 'Give the last day as a date.']);
        $until = isset($given['until']) ? CarbonImmutable::parse((string) $given['until'])->endOfDay() : CarbonImmutable::now()->addMonths(3)->endOfDay();

        return response()->json($ahead($this->organisation($request), $until));
    }
}
