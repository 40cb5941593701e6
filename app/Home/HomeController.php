<?php

declare(strict_types=1);

namespace App\Home;

use App\Lessons\LessonSheet;
use App\Models\Lesson;
use App\Models\Organisation;
use App\Support\Controller;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class HomeController extends Controller
{
    /** Lessons listed before and after the next one. */
    private const LISTED = 6;

    public function __construct(private readonly LessonSheet $sheet)
    {
    }

    public function __invoke(Request $request, Unfinished $unfinished, HomeKept $kept): JsonResponse
    {
        $organisation = $this->organisation($request);

        return JsonResponse::fromJsonString(
            $kept($organisation, fn (): HomeData => $this->home($organisation, $unfinished)),
        );
    }

    private function home(Organisation $organisation, Unfinished $unfinished): HomeData
    {
        $today = CarbonImmutable::now()->startOfDay();
        /** @var Collection<int, Lesson> $open */
        $open = $organisation
            ->lessons()
            ->whereNull('ended_at')
            ->where('starts_at', '>=', $today)
            ->orderByRaw('started_at IS NULL')
            ->orderBy('starts_at')
            ->limit(self::LISTED + 1)
            ->get();
        /** @var Collection<int, Lesson> $taught */
        $taught = $organisation
            ->lessons()
            ->whereNotNull('ended_at')
            ->orderByDesc('starts_at')
            ->limit(self::LISTED)
            ->get();
        $cards = $this->sheet->cards([...$open->values(), ...$taught->values()]);
        $coming = array_slice($cards, 0, $open->count());

        return new HomeData(
            $coming[0] ?? null,
            array_slice($coming, 1),
            array_slice($cards, $open->count()),
            $unfinished($organisation),
        );
    }
}
