<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Lesson;
use App\Programme\Loaded;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use Carbon\CarbonImmutable;
use Cathedra\Core\Cutting\Prefer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The paper bench beyond one lesson: free cutting plans, kits, and what the lessons ahead take together. */
final class BenchController extends Controller
{
    public function plan(BenchRequest $request, CutBench $bench): StreamedResponse
    {
        $papers = $request->papers();
        $need = $request->need();
        if (count($need) > 1 && in_array(null, array_column($need, 'side'), true)) {
            throw ValidationException::withMessages([
                'need.'.
                array_search(null, array_column($need, 'side'), true).
                '.side_mm' => 'The largest square can be found for one size at a time. Give this side, or ask for one '
                    .'size.',
            ]);
        }
        /** @var 'scissors'|'trimmer'|'tear' $method */
        $method = $request->validated('method');
        $prefer = Prefer::from((string) $request->string('prefer'));
        $request->session()->save(); // other requests of this lead go on meanwhile

        return response()->stream(
            static function () use ($bench, $papers, $need, $method, $prefer): void {
                $last = 0.0;
                $send = static function (mixed $line): void {
                    echo json_encode($line, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
                    ob_get_level() > 0 && ob_flush();
                    flush();
                };
                $plan = $bench->plan(
                    papers: $papers,
                    need: $need,
                    method: $method,
                    prefer: $prefer,
                    progress: static function (
                        float $share,
                        string $what,
                    ) use (&$last, $send): void {
                        if (microtime(true) - $last > 0.15) {
                            $last = microtime(true);
                            $send(['share' => round($share, 3), 'what' => $what]);
                        }
                    },
                );
                $send(['plan' => $plan]);
            },
            200,
            ['Content-Type' => 'application/x-ndjson', 'Cache-Control' => 'no-store'],
        );
    }

    public function kits(Lesson $lesson, PaperBench $bench, Kits $kits, ModelShelf $shelf): JsonResponse
    {
        Loaded::one($lesson);
        $paper = $bench->reckon($lesson);
        $programme = LoadedProgramme::of($lesson, $shelf);
        $cautions = array_map(static fn ($m): string => "$m->name: $m->caution", $kits->materials($lesson, $programme));

        return response()->json(
            ($paper === null ? ['tables' => [], 'kit' => []] : $kits->forTables($lesson, $paper, $programme)) + [
                'cautions' => $cautions,
            ],
        );
    }

    public function ahead(Request $request, PaperAhead $ahead): JsonResponse
    {
        $given = $request->validate(
            ['until' => ['bail', 'sometimes', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01']],
            ['until.*' => 'Give the last day as a date.'],
        );
        $until = isset($given['until'])
            ? CarbonImmutable::parse((string) $given['until'])->endOfDay()
            : CarbonImmutable::now()->addMonths(3)->endOfDay();

        return response()->json($ahead($this->organisation($request), $until));
    }
}
