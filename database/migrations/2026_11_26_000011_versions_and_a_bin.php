<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Groups and lessons have versions, so that nobody overwrites what she has not seen. What is removed lies in a bin; its
 * name is free meanwhile (`live` is null for what lies there, and nulls do not collide).
 */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['groups', 'lessons'] as $table) {
            if (! Schema::hasColumn($table, 'version')) {
                DB::statement("ALTER TABLE `$table` ADD version INT UNSIGNED NOT NULL DEFAULT 1");
            }
        }
        foreach (['groups', 'learners', 'lessons', 'stocks'] as $table) {
            if (! Schema::hasColumn($table, 'deleted_at')) {
                DB::statement("ALTER TABLE `$table` ADD deleted_at TIMESTAMP NULL DEFAULT NULL");
            }
        }
        foreach (['groups', 'stocks'] as $table) {
            if (! Schema::hasColumn($table, 'live')) {
                DB::statement("ALTER TABLE `$table` ADD live TINYINT AS (IF(deleted_at IS NULL, 1, NULL)) PERSISTENT");
            }
            // A new unique key first: the foreign key of the organisation needs an index that begins with it.
            DB::statement(
                "CREATE UNIQUE INDEX IF NOT EXISTS {$table}_live_name ON `$table` (organisation_id, name, live)",
            );
            DB::statement("DROP INDEX IF EXISTS {$table}_organisation_id_name_unique ON `$table`");
        }
        DB::statement('CREATE INDEX IF NOT EXISTS finishes_learner_model ON finishes (learner_id, model, outcome)');
    }
};
