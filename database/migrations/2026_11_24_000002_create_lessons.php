<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('stocks')) {
            Schema::create('stocks', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('organisation_id')->constrained()->cascadeOnDelete();
                $table->string('name', 80);
                $table->decimal('width_mm', 7, 2);
                $table->decimal('height_mm', 7, 2);
                $table->unsignedSmallInteger('grammage')->nullable();
                $table->unsignedInteger('count')->nullable();
                $table->timestamps();
                $table->unique(['organisation_id', 'name']);
            });
            DB::statement(
                'ALTER TABLE stocks ADD CONSTRAINT stocks_size CHECK (width_mm BETWEEN 10 AND 2000 AND height_mm '
                    .'BETWEEN 10 AND 2000)',
            );
        }
        if (! Schema::hasTable('lessons')) {
            Schema::create('lessons', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('organisation_id')->constrained()->cascadeOnDelete();
                $table->foreignId('group_id')->constrained()->cascadeOnDelete();
                $table->foreignId('stock_id')->nullable()->constrained()->nullOnDelete();
                $table->string('model', 60);
                $table->dateTime('starts_at');
                $table->unsignedSmallInteger('minutes');
                $table->unsignedTinyInteger('helpers');
                $table->decimal('side_mm', 7, 2)->nullable();
                $table->string('method', 10)->default('scissors');
                $table->boolean('square_in_lesson')->default(false);
                $table->boolean('paper_ready')->default(false);
                $table->unsignedSmallInteger('step')->default(0);
                $table->dateTime('started_at')->nullable();
                $table->dateTime('ended_at')->nullable();
                $table->timestamps();
                $table->index(['organisation_id', 'starts_at']);
            });
            DB::statement('ALTER TABLE lessons ADD CONSTRAINT lessons_minutes CHECK (minutes BETWEEN 5 AND 480)');
        }
        if (! Schema::hasTable('marks')) {
            Schema::create('marks', function (Blueprint $table): void {
                $table->id();
                $table->uuid('key')->unique();
                $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
                $table->foreignId('learner_id')->constrained()->cascadeOnDelete();
                $table->unsignedSmallInteger('step');
                $table->string('kind', 10);
                $table->dateTime('at');
                $table->index(['lesson_id', 'learner_id']);
            });
        }
        if (! Schema::hasTable('finishes')) {
            Schema::create('finishes', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
                $table->foreignId('learner_id')->constrained()->cascadeOnDelete();
                $table->string('outcome', 10);
                $table->unsignedSmallInteger('step')->nullable();
                $table->timestamps();
                $table->unique(['lesson_id', 'learner_id']);
            });
            DB::statement(
                "ALTER TABLE finishes ADD CONSTRAINT finishes_outcome CHECK (outcome IN ('alone', 'help', 'stopped', "
                    ."'away') AND (outcome <> 'stopped' OR step IS NOT NULL))",
            );
        }
    }
};
