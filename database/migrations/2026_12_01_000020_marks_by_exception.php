<?php

declare(strict_types=1);

use Cathedra\Core\Lesson\EventKind;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Marks by exception: an event may speak of a table, more can happen in a lesson, and a record says whether a finish
 * was seen or is presumed. Every record from before was tapped, so it was seen.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('lesson_events', 'learners')) {
            Schema::table('lesson_events', static function (Blueprint $table): void {
                $table->json('learners')->nullable();
            });
        }
        if (! Schema::hasColumn('finishes', 'seen')) {
            Schema::table('finishes', static function (Blueprint $table): void {
                $table->boolean('seen')->default(true);
            });
        }
        $kinds = implode("', '", array_map(static fn (EventKind $k): string => $k->value, EventKind::cases()));
        DB::statement('ALTER TABLE lesson_events DROP CONSTRAINT IF EXISTS lesson_events_kind');
        DB::statement("ALTER TABLE lesson_events ADD CONSTRAINT lesson_events_kind CHECK (kind IN ('$kinds'))");
    }

    public function down(): void
    {
        Schema::table('finishes', static fn (Blueprint $table) => $table->dropColumn('seen'));
        Schema::table('lesson_events', static fn (Blueprint $table) => $table->dropColumn('learners'));
    }
};
