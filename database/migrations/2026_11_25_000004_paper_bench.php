<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What more there is to say about paper, a log of its count, and what a taught lesson used, kept whatever becomes of
 * the stock.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('stocks', 'kind')) {
            Schema::table('stocks', function (Blueprint $table): void {
                $table->string('kind', 20)->default('office');
                $table->string('sides', 10)->default('alike');
                $table->decimal('trim_mm', 5, 2)->default(0);
                $table->unsignedInteger('version')->default(1);
            });
        }
        if (! Schema::hasColumn('lessons', 'used_paper')) {
            Schema::table('lessons', function (Blueprint $table): void {
                $table->json('used_paper')->nullable();
            });
        }
        if (! Schema::hasTable('stock_changes')) {
            Schema::create('stock_changes', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('stock_id')->constrained()->cascadeOnDelete();
                $table->foreignId('lesson_id')->nullable()->constrained()->nullOnDelete();
                $table->integer('sheets');
                $table->string('why', 160);
                $table->dateTime('undone_at')->nullable();
                $table->dateTime('at');
                $table->index(['stock_id', 'at']);
            });
        }
    }
};
