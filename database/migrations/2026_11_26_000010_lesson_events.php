<?php

declare(strict_types=1);

use Cathedra\Core\Lesson\EventKind;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A lesson is a log: taps, moves, starts, ends and corrections are lines of one table. What was there before is carried
 * over with its times by one statement (all of it or nothing), under keys made from the old rows, so that running it
 * again adds nothing. Rows of `finishes` stay: they are what the log says, kept for lists.
 */
return new class extends Migration
{
    public function up(): void
    {
        $kinds = implode("', '", array_map(static fn (EventKind $k): string => $k->value, EventKind::cases()));
        DB::statement("CREATE TABLE IF NOT EXISTS lesson_events (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            lesson_id BIGINT UNSIGNED NOT NULL,
            number INT UNSIGNED NOT NULL,
            `key` CHAR(36) CHARACTER SET ascii COLLATE ascii_general_ci NOT NULL,
            kind VARCHAR(16) NOT NULL,
            learner_id BIGINT UNSIGNED NULL,
            step SMALLINT UNSIGNED NULL,
            cancels CHAR(36) CHARACTER SET ascii COLLATE ascii_general_ci NULL,
            model VARCHAR(60) NULL,
            finish VARCHAR(10) NULL,
            finish_step SMALLINT UNSIGNED NULL,
            text VARCHAR(400) NULL,
            user_id BIGINT UNSIGNED NULL,
            device VARCHAR(40) NOT NULL,
            device_at DATETIME(3) NOT NULL,
            after_number INT UNSIGNED NOT NULL DEFAULT 0,
            at DATETIME(3) NOT NULL,
            UNIQUE KEY lesson_events_key (`key`),
            UNIQUE KEY lesson_events_number (lesson_id, number),
            CONSTRAINT lesson_events_lesson FOREIGN KEY (lesson_id) REFERENCES lessons (id) ON DELETE CASCADE,
            CONSTRAINT lesson_events_learner FOREIGN KEY (learner_id) REFERENCES learners (id) ON DELETE CASCADE,
            CONSTRAINT lesson_events_user FOREIGN KEY (user_id) REFERENCES users (id) ON DELETE SET NULL,
            CONSTRAINT lesson_events_kind CHECK (kind IN ('$kinds')),
            CONSTRAINT lesson_events_corrected CHECK
                ((kind = 'corrected') = (finish IS NOT NULL AND model IS NOT NULL)),
            CONSTRAINT lesson_events_cancels CHECK ((kind = 'taken-back') = (cancels IS NOT NULL)),
            CONSTRAINT lesson_events_finish CHECK (finish IS NULL OR finish IN ('alone', 'help', 'stopped', 'away')
                AND (finish = 'stopped') = (finish_step IS NOT NULL))
        ) DEFAULT CHARSET utf8mb4 COLLATE utf8mb4_unicode_ci");
        if (! Schema::hasColumn('lessons', 'newest')) {
            DB::statement('ALTER TABLE lessons ADD newest INT UNSIGNED NOT NULL DEFAULT 0');
        }
        if (Schema::hasTable('marks')) {
            DB::statement($this->carryOver());
        }
        DB::statement('UPDATE lessons JOIN (
                SELECT lesson_id, MAX(number) AS newest FROM lesson_events GROUP BY lesson_id
            ) AS log ON log.lesson_id = lessons.id SET lessons.newest = GREATEST(lessons.newest, log.newest)');
        if (Schema::hasTable('marks')) {
            Schema::drop('marks');
        }
    }

    /** Started, moved, marks, ended, finishes: numbered by their times, at the same second in this order. */
    private function carryOver(): string
    {
        $key = static fn (
            string $of,
        ): string => "INSERT(INSERT(INSERT(INSERT(MD5(CONCAT('$of', id)), 9, 0, '-'), 14, 0, '-'),".
            " 19, 0, '-'), 24, 0, '-')";

        return "INSERT INTO lesson_events (lesson_id, number, `key`, kind, learner_id, step, model, finish,
                finish_step, device, device_at, after_number, at)
            SELECT lesson_id, ROW_NUMBER() OVER (PARTITION BY lesson_id ORDER BY at, place, id), `key`, kind,
                learner_id,
                step, model, finish, finish_step, 'carried over', at, 0, at
            FROM (
                SELECT id, id AS lesson_id, 0 AS place, {$key('started ')} AS `key`, 'started' AS kind,
                    NULL AS learner_id, NULL AS step, NULL AS model, NULL AS finish, NULL AS finish_step,
                    started_at AS at
                    FROM lessons WHERE started_at IS NOT NULL
                UNION ALL SELECT id, lesson_id, 1, CAST(`key` AS CHAR(36)), kind, learner_id, step, NULL, NULL, NULL, at
                    FROM marks
                UNION ALL SELECT id, id, 2, {$key('moved ')}, 'moved', NULL, step, NULL, NULL, NULL,
                    COALESCE(ended_at, updated_at, started_at)
                    FROM lessons WHERE started_at IS NOT NULL
                UNION ALL SELECT id, id, 3, {$key('ended ')}, 'ended', NULL, NULL, NULL, NULL, NULL, ended_at
                    FROM lessons WHERE ended_at IS NOT NULL
                UNION ALL SELECT id, lesson_id, 4, {$key('finish ')}, 'corrected', learner_id, NULL, model, outcome,
                    IF(outcome = 'stopped', step, NULL), COALESCE(updated_at, created_at, NOW())
                    FROM finishes
            ) AS old
            WHERE lesson_id NOT IN (SELECT lesson_id FROM lesson_events)";
    }
};
