<?php

declare(strict_types=1);

use Database\Seeders\DatabaseSeeder;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The demo account is known as one, so that it stays out once the demo is turned off. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('users', 'demo')) {
            DB::statement('ALTER TABLE users ADD demo TINYINT(1) NOT NULL DEFAULT 0');
        }
        DB::table('users')->where('email', DatabaseSeeder::EMAIL)->update(['demo' => 1]);
    }
};
