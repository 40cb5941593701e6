<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The start of a lesson says how it is marked; lessons begun before say nothing and are read as they were. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('lesson_events', 'marks')) {
            Schema::table('lesson_events', static function (Blueprint $table): void {
                $table->string('marks', 10)->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::table('lesson_events', static fn (Blueprint $table) => $table->dropColumn('marks'));
    }
};
