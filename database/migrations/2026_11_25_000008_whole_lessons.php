<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A lesson may have several models and take from several stocks; records say which model they are of; paper has a price
 * and tags.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('stocks', 'scrap')) {
            Schema::table('stocks', function (Blueprint $table): void {
                $table->decimal('price', 9, 4)->nullable();
                $table->json('tags')->nullable();
                $table->boolean('scrap')->default(false);
            });
            DB::statement('ALTER TABLE stocks ADD CONSTRAINT stocks_price CHECK (price IS NULL OR price >= 0)');
        }
        if (! Schema::hasColumn('groups', 'table_size')) {
            Schema::table('groups', function (Blueprint $table): void {
                $table->unsignedTinyInteger('table_size')->nullable();
            });
        }
        if (! Schema::hasColumn('lessons', 'prefer')) {
            Schema::table('lessons', function (Blueprint $table): void {
                $table->string('prefer', 10)->default('least');
                $table->boolean('helpers_cut')->default(true);
                $table->string('decorate', 10)->default('none');
                $table->json('materials')->nullable();
            });
        }
        if (! Schema::hasTable('lesson_stock')) {
            Schema::create('lesson_stock', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
                $table->foreignId('stock_id')->constrained()->cascadeOnDelete();
                $table->unique(['lesson_id', 'stock_id']);
            });
        }
        if (! Schema::hasTable('lesson_models')) {
            Schema::create('lesson_models', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
                $table->unsignedTinyInteger('place');
                $table->string('model', 60);
                $table->json('ways')->nullable();
                $table->decimal('side_mm', 7, 2)->nullable();
                $table->unique(['lesson_id', 'place']);
                $table->unique(['lesson_id', 'model']);
            });
        }
        if (! Schema::hasColumn('finishes', 'model')) {
            Schema::table('finishes', function (Blueprint $table): void {
                $table->string('model', 60)->default('')->after('learner_id');
            });
            DB::statement(
                'UPDATE finishes JOIN lessons ON lessons.id = finishes.lesson_id SET finishes.model = lessons.model',
            );
            Schema::table('finishes', function (Blueprint $table): void {
                $table->unique(['lesson_id', 'learner_id', 'model']);
                $table->dropUnique(['lesson_id', 'learner_id']);
            });
        }
    }
};
