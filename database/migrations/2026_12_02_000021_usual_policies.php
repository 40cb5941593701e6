<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How lessons are usually taught at a place, and by a lead: an option by policy, where it is not the table's own. */
return new class extends Migration
{
    private const TABLES = ['organisations', 'users'];

    public function up(): void
    {
        foreach (self::TABLES as $name) {
            if (! Schema::hasColumn($name, 'policies')) {
                Schema::table($name, static function (Blueprint $table): void {
                    $table->json('policies')->nullable();
                });
            }
        }
    }

    public function down(): void
    {
        foreach (self::TABLES as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->dropColumn('policies'));
        }
    }
};
