<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A way may change while it is taught; the record says which way each learner folded; leads keep their usual ways. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('lesson_events', 'way')) {
            Schema::table('lesson_events', static function (Blueprint $table): void {
                $table->json('way')->nullable();
            });
        }
        if (! Schema::hasColumn('finishes', 'ways')) {
            Schema::table('finishes', static function (Blueprint $table): void {
                $table->json('ways')->nullable();
            });
        }
        if (! Schema::hasTable('usual_ways')) {
            Schema::create('usual_ways', static function (Blueprint $table): void {
                $table->id();
                $table->foreignId('user_id')->constrained()->cascadeOnDelete();
                $table->string('model', 60);
                $table->json('ways');
                $table->unique(['user_id', 'model']);
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('usual_ways');
        Schema::table('finishes', static fn (Blueprint $table) => $table->dropColumn('ways'));
        Schema::table('lesson_events', static fn (Blueprint $table) => $table->dropColumn('way'));
    }
};
