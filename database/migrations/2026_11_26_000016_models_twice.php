<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How often a model is folded in a lesson: slowly, and once more, faster. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('lesson_models', 'times') || Schema::table(
            'lesson_models',
            static function (Blueprint $table): void {
                $table->unsignedTinyInteger('times')->default(1);
            },
        );
    }

    public function down(): void
    {
        Schema::table('lesson_models', static fn (Blueprint $table) => $table->dropColumn('times'));
    }
};
