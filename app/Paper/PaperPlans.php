<?php

declare(strict_types=1);

namespace App\Paper;

use App\Support\LibraryFiles;
use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Cutting\Verdict;
use Cathedra\Core\Kit\LessonPaper;
use Cathedra\Core\Paper\ModelPaper;
use Cathedra\Core\Paper\Stock;
use Illuminate\Contracts\Cache\Repository;

/**
 * The paper of lessons, worked out once for each question and kept under everything the answer depends on: a plan that
 * was cut short by time stays the same from one look to the next. Safe to delete at any time.
 */
final class PaperPlans
{
    private const KEEP_SECONDS = 60 * 60 * 24 * 30;

    /** @var array<string, LessonPaper> of this request */
    private array $known = [];

    public function __construct(private readonly LibraryFiles $files, private readonly Repository $cache)
    {
    }

    /**
     * @param  non-empty-list<Stock>  $pile
     * @param  list<ModelPaper>  $models
     */
    public function for(
        array $pile,
        array $models,
        float $kerf,
        Prefer $prefer = Prefer::Least,
        ?Work $work = null,
    ): LessonPaper {
        $work ??= Work::lesson();
        $question = serialize([$this->files->engineVersion(), $pile, $models, $kerf, $prefer, $work->steps()]);
        $key = 'paper:'.hash('xxh128', $question);
        if (! isset($this->known[$key])) {
            $kept = $this->cache->get($key);
            $this->known[$key] = $kept instanceof LessonPaper
                ? $kept
                : LessonPaper::for(
                    pile: $pile,
                    models: $models,
                    kerf: $kerf,
                    prefer: $prefer,
                    work: $work->budget(...),
                );
            // An answer that the clock cut short is good for now, but not kept.
            if (! $kept instanceof LessonPaper && $this->known[$key]->plan?->verdict !== Verdict::CutShort) {
                $this->cache->put($key, $this->known[$key], self::KEEP_SECONDS);
            }
        }

        return $this->known[$key];
    }
}
