<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What learners read off their rulers. Erased with the learner. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('readings')) {
            Schema::create('readings', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
                $table->foreignId('learner_id')->constrained()->cascadeOnDelete();
                $table->string('name', 10);
                $table->decimal('mm', 7, 2);
                $table->unique(['lesson_id', 'learner_id', 'name']);
            });
        }
    }
};
