<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How an organisation wants its steps said. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('organisations', 'directions')) {
            Schema::table('organisations', static function (Blueprint $table): void {
                $table->string('directions', 10)->default('folder');
                $table->string('fold_names', 10)->default('term');
                $table->boolean('letters')->default(false);
            });
        }
    }

    public function down(): void
    {
        Schema::table('organisations', static function (Blueprint $table): void {
            $table->dropColumn(['directions', 'fold_names', 'letters']);
        });
    }
};
