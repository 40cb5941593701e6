<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The blocks of a lesson as its lead wants them, checkpoints moved, times said; lessons nothing is learned from. */
return new class extends Migration
{
    public function up(): void
    {
        self::add('lessons', 'blocks', static fn (Blueprint $table) => $table->json('blocks')->nullable());
        self::add('lessons', 'odd', static fn (Blueprint $table) => $table->boolean('odd')->default(false));
        foreach (['checkpoints', 'own_times'] as $column) {
            self::add('lesson_models', $column, static fn (Blueprint $table) => $table->json($column)->nullable());
        }
    }

    /** One column a statement, so that a migration that was killed can be run again. */
    private static function add(string $table, string $column, Closure $how): void
    {
        if (! Schema::hasColumn($table, $column)) {
            Schema::table($table, $how);
        }
    }

    public function down(): void
    {
        Schema::table('lessons', static fn (Blueprint $table) => $table->dropColumn(['blocks', 'odd']));
        Schema::table('lesson_models', static function (Blueprint $table): void {
            $table->dropColumn(['checkpoints', 'own_times']);
        });
    }
};
