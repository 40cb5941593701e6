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
        if (! Schema::hasColumn('lessons', 'blocks')) {
            Schema::table('lessons', static function (Blueprint $table): void {
                $table->json('blocks')->nullable();
                $table->boolean('odd')->default(false);
            });
        }
        if (! Schema::hasColumn('lesson_models', 'checkpoints')) {
            Schema::table('lesson_models', static function (Blueprint $table): void {
                $table->json('checkpoints')->nullable();
                $table->json('own_times')->nullable();
            });
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
