<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A model may offer several ways; a lesson keeps those the lead chose. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('lessons', 'ways')) {
            Schema::table('lessons', function (Blueprint $table): void {
                $table->json('ways')->nullable()->after('model');
            });
        }
    }
};
