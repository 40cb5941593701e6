<?php

declare(strict_types=1);

namespace App\Terms;

use App\Models\Group;
use App\Models\Lesson;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** A row of lessons, and lessons for a calendar. */
final class TermController extends Controller
{
    public function __construct(private readonly PlanTerm $term, private readonly Calendar $calendar)
    {
    }

    public function plan(TermRequest $request): JsonResponse
    {
        return response()->json(
            $this->term->of($request->group(), $request->dates(), $request->minutes(), $request->fixed()),
        );
    }

    public function make(TermRequest $request): JsonResponse
    {
        $group = $request->group();
        $term = $this->term->of($group, $request->dates(), $request->minutes(), $request->fixed());

        return response()->json(['lessons' => $this->term->make($group, $term, $request->minutes())], 201);
    }

    public function lesson(Lesson $lesson): Response
    {
        return self::ics($this->calendar->of([$lesson]), "lesson-{$lesson->id}");
    }

    public function group(Group $group): Response
    {
        return self::ics($this->calendar->ofGroup($group), "lessons-{$group->id}");
    }

    private static function ics(string $calendar, string $name): Response
    {
        return new Response($calendar, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"$name.ics\"",
        ]);
    }
}
