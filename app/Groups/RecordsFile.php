<?php

declare(strict_types=1);

namespace App\Groups;

use App\Models\FinishRecord;
use App\Models\Group;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;

/**
 * Every record of a group as a table for other programs: who ended how with which model, lesson by lesson. CSV (RFC
 * 4180) in UTF-8 with a mark at its beginning, so that spreadsheets read names right; a cell that one of them would
 * take for a formula has an apostrophe before it. Who lies in the bin, and lessons that do, are left out.
 */
final readonly class RecordsFile
{
    private const MARK = "\u{FEFF}";

    /** Signs with which a formula begins. */
    private const FORMULA = ['=', '+', '-', '@', "\t", "\r"];

    private const COLUMNS = ['learner', 'day', 'model', 'ended', 'step', 'seen'];

    public function __construct(private ModelShelf $shelf, private LibraryFiles $files)
    {
    }

    public function of(Group $group): string
    {
        $words = $this->files->words();
        $say = static fn (string $what): string => $words->say('records', $what);
        $names = $group->learners()->orderBy('seat')->pluck('name', 'id')->all();
        $places = array_flip(array_keys($names));
        $kept = FinishRecord::query()->with('lesson:id,starts_at');
        $kept->whereHas('lesson', static fn ($lesson) => $lesson->where('group_id', $group->id));
        $kept->whereIn('learner_id', array_keys($names));
        $records = $kept->get()->sortBy(
            static fn (FinishRecord $one): array => [
                $one->lesson->starts_at->getTimestamp(), $one->lesson_id, $one->model, $places[$one->learner_id],
            ],
        );
        $rows = [array_map($say, self::COLUMNS)];
        foreach ($records as $one) {
            $rows[] = [
                $names[$one->learner_id],
                $one->lesson->starts_at->format('Y-m-d'),
                $this->shelf->title($one->model),
                $say("ended-{$one->outcome->value}"),
                (string) $one->step,
                $one->outcome->isFinished() ? $say($one->seen ? 'yes' : 'no') : '',
            ];
        }

        return self::csv($rows);
    }

    /** @param  list<list<string>>  $rows */
    private static function csv(array $rows): string
    {
        $file = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No memory for a table.');
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::harmless(...), $row), escape: '', eol: "\r\n");
        }
        rewind($file);
        $csv = self::MARK.stream_get_contents($file);
        fclose($file);

        return $csv;
    }

    private static function harmless(string $cell): string
    {
        return in_array(substr($cell, 0, 1), self::FORMULA, true) ? "'$cell" : $cell;
    }
}
