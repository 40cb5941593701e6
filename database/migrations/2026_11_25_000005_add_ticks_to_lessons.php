<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What of the preparation is done. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('lessons', 'ticks')) {
            Schema::table('lessons', function (Blueprint $table): void {
                $table->json('ticks')->nullable();
            });
        }
    }
};
