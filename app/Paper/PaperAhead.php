<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Lesson;
use App\Models\Organisation;
use App\Models\Stock as StockRecord;
use App\Programme\Loaded;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use Carbon\CarbonImmutable;
use Cathedra\Core\Paper\ModelPaper;
use Illuminate\Database\Eloquent\Collection;

/**
 * Sums the paper of all lessons ahead: by paper, by lesson, where it runs out, and what cutting for all at once would
 * save.
 */
final readonly class PaperAhead
{
    private const MOST_LESSONS = 100;

    public function __construct(
        private PaperBench $bench,
        private PaperPlans $plans,
        private ModelShelf $shelf,
        private Measure $measure,
    ) {
    }

    public function __invoke(Organisation $organisation, CarbonImmutable $until): PaperAheadData
    {
        return $this->answer($until, ...$this->collect($organisation, $until));
    }

    /**
     * Only the sums by paper, of all lessons that are not yet held.
     *
     * @return list<array{stock: int, name: string, lessons: int, sheets: int, have: int|null, short: int}>
     */
    public function needs(Organisation $organisation): array
    {
        return array_map(
            static fn (array $of): array => [
                'stock' => $of['record']->id,
                'name' => $of['record']->name,
                'lessons' => $of['lessons'],
                'sheets' => $of['sheets'],
                'have' => $of['record']->count,
                'short' => self::short($of),
            ],
            $this->collect($organisation, null)[0],
        );
    }

    /** @param  array{record: StockRecord, sheets: int, ...}  $of */
    private static function short(array $of): int
    {
        return $of['record']->count === null ? 0 : max(0, $of['sheets'] - $of['record']->count);
    }

    /**
     * @return array{list<array{record: StockRecord, lessons: int, sheets: int, runs_out: int|null,
     *     only: list<ModelPaper>, apart: int, kerf: float|null}>, list<array{id: int, title: string, group: string,
     *     starts_at: string, takes: list<array{stock: int, name: string, sheets: int, left: int|null}>,
     *     pieces: list<array{title: string, side_mm: float, side: string, count: int, uncut: bool}>,
     *     problem: bool}>, int} by paper, by lesson, and lessons without paper
     */
    private function collect(Organisation $organisation, ?CarbonImmutable $until): array
    {
        /** @var Collection<int, Lesson> $lessons */
        $lessons = $organisation
            ->lessons()
            ->with(Loaded::WITH)
            ->whereNull('ended_at')
            ->when($until !== null, static fn ($query) => $query->where('starts_at', '<=', $until))
            ->orderBy('starts_at')
            ->limit(self::MOST_LESSONS)
            ->get();
        $stocks = [];
        $rows = [];
        $unplanned = 0;
        foreach ($lessons as $lesson) {
            if (! LoadedProgramme::isThere($lesson, $this->shelf)) {
                continue;
            }
            $paper = $this->bench->reckon($lesson);
            $unplanned += $paper === null ? 1 : 0;
            $takes = [];
            foreach ($paper === null || ! $paper->fits() ? [] : array_filter($paper->takes) as $i => $sheets) {
                $record = $lesson->papers()[$i];
                $sum = $stocks[$record->id] ?? [
                    'record' => $record,
                    'lessons' => 0,
                    'sheets' => 0,
                    'runs_out' => null,
                    'only' => [],
                    'apart' => 0,
                    'kerf' => null,
                ];
                $sum['lessons']++;
                $sum['sheets'] += $sheets;
                $left = $record->count === null ? null : $record->count - $sum['sheets'];
                $sum['runs_out'] ??= $left !== null && $left < 0 ? $lesson->id : null;
                if ($paper !== null && count($paper->pile) === 1) {
                    array_push($sum['only'], ...$paper->models);
                    $sum['apart'] += $sheets;
                    $sum['kerf'] = max($sum['kerf'] ?? 0.0, $this->bench->kerf($lesson));
                }
                $stocks[$record->id] = $sum;
                $takes[] = ['stock' => $record->id, 'name' => $record->name, 'sheets' => $sheets, 'left' => $left];
            }
            $rows[] = [
                'id' => $lesson->id,
                'title' => LoadedProgramme::of($lesson, $this->shelf)->title(),
                'group' => $lesson->group->name,
                'starts_at' => $lesson->starts_at->format('Y-m-d\TH:i'),
                'takes' => $takes,
                'pieces' => array_map(
                    fn (array $p): array => [
                        'title' => $p['title'],
                        'side_mm' => $p['side'],
                        'side' => $this->measure->say($p['side']),
                        'count' => $p['count'],
                        'uncut' => $p['uncut'],
                    ],
                    $paper->pieces ?? [],
                ),
                'problem' => $paper !== null && ! $paper->fits(),
            ];
        }

        return [array_values($stocks), $rows, $unplanned];
    }

    /**
     * @param  list<array{record: StockRecord, lessons: int, sheets: int, runs_out: int|null, only: list<ModelPaper>,
     *     apart: int, kerf: float|null}>  $stocks
     * @param  list<array{id: int, title: string, group: string, starts_at: string, takes: list<array{stock: int,
     *     name: string, sheets: int, left: int|null}>, pieces: list<array{title: string, side_mm: float, side: string,
     *     count: int, uncut: bool}>, problem: bool}>  $rows
     */
    private function answer(CarbonImmutable $until, array $stocks, array $rows, int $unplanned): PaperAheadData
    {
        $sums = [];
        $saved = 0;
        $cost = 0.0;
        foreach ($stocks as $of) {
            $record = $of['record'];
            $short = self::short($of);
            $together =
                count($of['only']) < 2
                    ? null
                    : min(
                        $of['apart'],
                        $this->plans
                            ->for([PaperBench::pile($record)->plenty()], $of['only'], $of['kerf'] ?? 0.0)
                            ->sheets(),
                    );
            $saved += $together === null ? 0 : $of['apart'] - $together;
            $cost = $cost === null || $record->price === null ? null : $cost + $of['sheets'] * $record->price;
            $sums[] = [
                'stock' => $record->id,
                'name' => $record->name,
                'lessons' => $of['lessons'],
                'sheets' => $of['sheets'],
                'have' => $record->count,
                'short' => $short,
                'cost' => $record->price === null ? null : round($of['sheets'] * $record->price, 2),
                'buy' => $record->price === null ? null : round($short * $record->price, 2),
                'runs_out' => $of['runs_out'],
                'together' => $together,
            ];
        }
        usort(
            $sums,
            static fn (array $a, array $b): int => $b['short'] <=> $a['short'] ?: $b['sheets'] <=> $a['sheets'],
        );

        return new PaperAheadData(
            until: $until->format('Y-m-d'),
            stocks: $sums,
            lessons: $rows,
            unplanned: $unplanned,
            cost: $cost === null ? null : round($cost, 2),
            together: $saved,
        );
    }
}
