<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A lesson may have several bodies; what was read before belongs to the first of them ('' names it). */
return new class extends Migration
{
    public function up(): void
    {
        if (Schema::hasColumn('readings', 'model')) {
            return;
        }
        Schema::table('readings', static function (Blueprint $table): void {
            $table->string('model', 40)->default('');
            $table->unique(['lesson_id', 'learner_id', 'model', 'name'], 'readings_once');
        });
        Schema::table('readings', static function (Blueprint $table): void {
            $table->dropUnique(['lesson_id', 'learner_id', 'name']);
        });
    }

    public function down(): void
    {
        Schema::table('readings', static function (Blueprint $table): void {
            $table->unique(['lesson_id', 'learner_id', 'name']);
        });
        Schema::table('readings', static function (Blueprint $table): void {
            $table->dropUnique('readings_once');
            $table->dropColumn('model');
        });
    }
};
