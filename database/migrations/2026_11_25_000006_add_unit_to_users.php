<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Units a lead reads lengths in; they are mm inside. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('users', 'unit')) {
            Schema::table('users', function (Blueprint $table): void {
                $table->string('unit', 2)->default('mm');
            });
        }
    }
};
