<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\Lesson;
use App\Models\Stock;
use App\Paper\CountPaper;
use App\Paper\PaperBench;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use Cathedra\Core\Kit\LessonPaper;

/** Keeps what paper a lesson used, once, and takes it from the cupboard. */
final readonly class UsePaper
{
    /** What is kept of each paper. */
    private const KEPT = [
        'id',
        'organisation_id',
        'name',
        'width_mm',
        'height_mm',
        'grammage',
        'count',
        'kind',
        'sides',
        'trim_mm',
        'price',
        'tags',
        'scrap',
        'version',
    ];

    public function __construct(private PaperBench $bench, private CountPaper $count)
    {
    }

    /** What it takes; reckoned before the lesson is locked, since it may take a second or two. */
    public function reckon(Lesson $lesson): ?LessonPaper
    {
        $paper = $lesson->used_paper !== null ? null : $this->bench->reckon($lesson);

        return $paper?->fits() === true ? $paper : null;
    }

    /** @param  Lesson  $lesson  locked, so that two ends take paper once */
    public function take(Lesson $lesson, LessonPaper $paper, LoadedProgramme $programme): void
    {
        if ($lesson->used_paper !== null) {
            return;
        }
        $papers = $lesson->papers();
        $takes = [];
        foreach (array_filter($paper->takes) as $i => $sheets) {
            $takes[] = ['stock' => $papers[$i]->id, 'name' => $papers[$i]->name, 'sheets' => $sheets];
        }
        $locks = $takes;
        // one order for all: no deadlocks
        usort($locks, static fn (array $a, array $b): int => $a['stock'] <=> $b['stock']);
        $why = "{$programme->title()} with {$lesson->group->name}, {$lesson->starts_at->format('j M Y')}";
        foreach ($locks as $take) {
            ($this->count)($take['stock'], -$take['sheets'], $why, $lesson);
        }
        $lesson->used_paper = [
            'name' => $papers[0]->name,
            'width_mm' => $papers[0]->width_mm,
            'height_mm' => $papers[0]->height_mm,
            'side_mm' => $paper->sides[0],
            'sheets' => $paper->sheets(),
            'takes' => $takes,
            'sides' => array_combine(
                array_map(static fn (ProgrammeItem $i): string => $i->slug, $programme->items),
                $paper->sides,
            ),
            'stocks' => array_map(static fn (Stock $s): array => $s->only(self::KEPT), $papers),
        ];
    }
}
