<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a lead saw go wrong in a lesson: once a lesson, step and kind, however many learners it happened to. */
return new class extends Migration
{
    public function up(): void
    {
        if (Schema::hasTable('fault_sightings')) {
            return;
        }
        Schema::create('fault_sightings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('organisation_id')->constrained()->cascadeOnDelete();
            $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
            $table->string('model', 80);
            $table->unsignedSmallInteger('step');
            $table->string('kind', 20);
            $table->unique(['lesson_id', 'model', 'step', 'kind']);
            $table->index(['organisation_id', 'kind']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('fault_sightings');
    }
};
