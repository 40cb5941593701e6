<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How a lesson is taught, apart from its folds; empty: as usual. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('lessons', 'policies') || Schema::table('lessons', static function (Blueprint $table): void {
            $table->json('policies')->nullable();
        });
        Schema::hasColumn('lessons', 'prepared') || Schema::table('lessons', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('prepared')->default(0);
        });
    }

    public function down(): void
    {
        Schema::table('lessons', static function (Blueprint $table): void {
            $table->dropColumn(['policies', 'prepared']);
        });
    }
};
