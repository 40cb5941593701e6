<?php

declare(strict_types=1);

namespace App\Home;

use App\Models\Organisation;
use App\Support\LibraryFiles;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;

/**
 * The answer of home, kept until anything it is made from is another: a lesson, its log, a group, a learner, paper, the
 * models, how steps are said, or the day. One look at the rows tells; safe to delete at any time.
 */
final readonly class HomeKept
{
    private const KEPT_DAYS = 30;

    /** What is looked at, by table; each row's columns become one number, and the numbers are added up. */
    private const ROWS = [
        'lessons' => 'id, group_id, starts_at, minutes, helpers, method, square_in_lesson, paper_ready, step, '
            .'started_at, ended_at, ticks, prefer, helpers_cut, version, newest, updated_at, deleted_at',
        'groups' => 'id, name, age_band, helpers, table_size, version, updated_at, deleted_at',
        'stocks' => 'id, name, width_mm, height_mm, trim_mm, grammage, kind, sides, scrap, price, count, version, '
            .'updated_at, deleted_at',
    ];

    public function __construct(private Repository $cache, private LibraryFiles $files)
    {
    }

    /** @param  callable(): HomeData  $make */
    public function __invoke(Organisation $organisation, callable $make): string
    {
        $key = "home:{$organisation->id}";
        $state = $this->state($organisation);
        /** @var array{state: string, json: string}|null $kept one entry an organisation, written over */
        $kept = $this->cache->get($key);
        if ($kept === null || $kept['state'] !== $state) {
            $kept = ['state' => $state, 'json' => (string) json_encode($make(), JSON_THROW_ON_ERROR)];
            $this->cache->put($key, $kept, 86400 * self::KEPT_DAYS);
        }

        return $kept['json'];
    }

    private function state(Organisation $organisation): string
    {
        $sums = [];
        foreach (self::ROWS as $table => $columns) {
            $mix = "CONCAT_WS('-', $columns)";
            // Two sums of unlike numbers: rows that differ would have to agree in both.
            $sums[] = "(SELECT CONCAT(COUNT(*), '-', COALESCE(SUM(CRC32($mix)), 0), '-', "
                ."COALESCE(SUM(CRC32(REVERSE($mix))), 0)) FROM `$table` WHERE organisation_id = ?) AS `$table`";
        }
        $sums[] = '(SELECT CONCAT(COUNT(*), \'-\', COALESCE(SUM(CRC32(CONCAT_WS(\'-\', p.id, p.name, p.seat, '
            .'p.group_id, p.deleted_at))), 0)) FROM learners p JOIN `groups` g ON g.id = p.group_id '
            .'WHERE g.organisation_id = ?) AS learners';
        $row = DB::selectOne('SELECT '.implode(', ', $sums), array_fill(0, count($sums), $organisation->id));

        return implode('|', [
            ...array_values((array) $row),
            CarbonImmutable::now()->toDateString(),
            $this->files->answersVersion(),
            $organisation->manner()->key(),
        ]);
    }
}
