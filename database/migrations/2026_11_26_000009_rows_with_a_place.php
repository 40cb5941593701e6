<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * All models and all papers of a lesson are rows with a place, the first like any other. May be stopped at any
 * statement and run again: rows are carried over while the old columns are there, and carrying twice changes nothing.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('lesson_stock', 'place')) {
            Schema::table('lesson_stock', function (Blueprint $table): void {
                $table->unsignedTinyInteger('place')->default(0);
            });
        }
        if (Schema::hasColumn('lessons', 'model')) {
            DB::statement('INSERT IGNORE INTO lesson_models (lesson_id, place, model, ways, side_mm)
                SELECT id, 0, model, ways, side_mm FROM lessons');
        }
        if (Schema::hasColumn('lessons', 'stock_id')) {
            DB::statement('UPDATE lesson_stock JOIN (
                    SELECT s.id, ROW_NUMBER() OVER (PARTITION BY s.lesson_id ORDER BY s.id) AS place
                    FROM lesson_stock s JOIN lessons l ON l.id = s.lesson_id
                    WHERE l.stock_id IS NULL OR s.stock_id <> l.stock_id
                ) AS further ON further.id = lesson_stock.id SET lesson_stock.place = further.place');
            DB::statement('INSERT INTO lesson_stock (lesson_id, stock_id, place)
                SELECT id, stock_id, 0 FROM lessons WHERE stock_id IS NOT NULL
                ON DUPLICATE KEY UPDATE place = 0');
        }
        // One statement, so that a lesson never has its first model or paper in neither place.
        DB::statement('ALTER TABLE lessons DROP FOREIGN KEY IF EXISTS lessons_stock_id_foreign,
            DROP COLUMN IF EXISTS model, DROP COLUMN IF EXISTS ways,
            DROP COLUMN IF EXISTS side_mm, DROP COLUMN IF EXISTS stock_id');
    }
};
