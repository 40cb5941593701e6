<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** What has to be done and laid out before a lesson, in the order of doing it. Each entry is a key and its numbers; words come from the phrasebook. */
final readonly class KitList
{
    /** Learners who share one pair of scissors. */
    private const SHARE_SCISSORS = 3;

    /**
     * @param  bool  $squareInLesson  the learners make their squares themselves
     * @param  bool  $modelCuts  the model itself is cut
     * @param  'scissors'|'tear'  $method
     * @return list<array{key: string, with: array<string, int|float|string>}>
     */
    public static function of(LessonPaper $paper, int $learners, bool $squareInLesson, bool $modelCuts, string $method): array
    {
        $entries = [['key' => 'take', 'with' => ['sheets' => $paper->sheets, 'name' => $paper->stock->name]]];
        if (! $paper->uncut && ! $squareInLesson) {
            foreach ($paper->pieces as $piece) {
                $entries[] = ['key' => 'cut', 'with' => ['count' => $piece['count'], 'side' => $piece['side'], 'title' => $piece['title']]];
            }
            $entries[] = ['key' => 'check-square', 'with' => []];
        }
        $entries[] = ['key' => 'practise', 'with' => []];
        $entries[] = ['key' => 'sort', 'with' => ['kits' => $learners, 'pieces' => count($paper->pieces)]];
        $entries[] = ['key' => 'spares', 'with' => ['spares' => $paper->spares]];
        if ($modelCuts || ($squareInLesson && $method === 'scissors')) {
            $entries[] = ['key' => 'scissors', 'with' => ['pairs' => (int) ceil($learners / self::SHARE_SCISSORS), 'share' => self::SHARE_SCISSORS]];
        }

        return $entries;
    }
}
