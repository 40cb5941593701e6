<?php

declare(strict_types=1);

namespace App\Terms;

use App\Models\Group;
use App\Models\Lesson;
use App\Paper\PaperBench;
use App\Programme\Loaded;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Illuminate\Database\Eloquent\Collection;
use Sabre\VObject\Component\VCalendar;

/**
 * Lessons as iCalendar (RFC 5545): each with its models and paper, and an entry of its own for the preparation. Times
 * are floating: the clock on the wall of the room, wherever the calendar is read.
 */
final readonly class Calendar
{
    /** Lessons of a group that are still to come, at most. */
    private const MOST = 100;

    public function __construct(private ModelShelf $shelf, private PaperBench $bench, private LibraryFiles $files)
    {
    }

    public function ofGroup(Group $group): string
    {
        /** @var Collection<int, Lesson> $lessons */
        $lessons = $group->lessons()->whereNull('ended_at')->limit(self::MOST)->get();

        return $this->of(array_values($lessons->all()));
    }

    /** @param  list<Lesson>  $lessons */
    public function of(array $lessons): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Cathedra//Lessons//EN']);
        foreach ($lessons as $lesson) {
            Loaded::one($lesson);
            if (! LoadedProgramme::isThere($lesson, $this->shelf)) {
                continue;
            }
            $title = LoadedProgramme::of($lesson, $this->shelf)->title();
            $paper = $this->bench->forLesson($lesson);
            $with = [
                'title' => $title, 'group' => $lesson->group->name, 'learners' => $lesson->group->size(),
                'sheets' => $paper->sheets ?? 0,
            ];
            $from = $lesson->starts_at;
            $this->add(
                calendar: $calendar,
                id: "lesson-{$lesson->id}",
                lesson: $lesson,
                from: $from,
                to: $lesson->bell(),
                what: 'lesson',
                with: $with,
            );
            $by = $paper?->prepare->start_by;
            if ($by !== null) {
                $begin = CarbonImmutable::parse($by);
                $end = $begin->addMinutes(max(1, $paper->prepare->minutes));
                $this->add(
                    calendar: $calendar,
                    id: "prepare-{$lesson->id}",
                    lesson: $lesson,
                    from: $begin,
                    to: $end,
                    what: 'prepare',
                    with: $with,
                );
            }
        }

        return $calendar->serialize();
    }

    /** @param  array<string, string|int>  $with */
    private function add(
        VCalendar $calendar,
        string $id,
        Lesson $lesson,
        CarbonImmutable $from,
        CarbonImmutable $to,
        string $what,
        array $with,
    ): void {
        $words = $this->files->words();
        $event = $calendar->createComponent('VEVENT', [
            'UID' => "$id@cathedra",
            'DTSTAMP' => ($lesson->updated_at ?? $lesson->starts_at)->format('Ymd\THis\Z'),
            'SEQUENCE' => $lesson->version,
            'SUMMARY' => $words->say('calendar', $what, $with),
            'DESCRIPTION' => $words->say('calendar', "$what-more", $with),
        ]);
        $event->add('DTSTART', self::floating($from));
        $event->add('DTEND', self::floating($to));
        $calendar->add($event);
    }

    private static function floating(DateTimeInterface $at): string
    {
        return $at->format('Ymd\THis');
    }
}
