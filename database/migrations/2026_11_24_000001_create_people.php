<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('organisations')) {
            Schema::create('organisations', function (Blueprint $table): void {
                $table->id();
                $table->string('name', 80);
                $table->timestamps();
            });
        }
        if (! Schema::hasTable('users')) {
            Schema::create('users', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('organisation_id')->constrained()->cascadeOnDelete();
                $table->string('name', 80);
                $table->string('email', 190)->unique();
                $table->string('password');
                $table->rememberToken();
                $table->timestamps();
            });
        }
        if (! Schema::hasTable('groups')) {
            Schema::create('groups', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('organisation_id')->constrained()->cascadeOnDelete();
                $table->string('name', 80);
                $table->string('age_band', 20);
                $table->unsignedTinyInteger('helpers')->default(0);
                $table->timestamps();
                $table->unique(['organisation_id', 'name']);
            });
        }
        if (! Schema::hasTable('learners')) {
            Schema::create('learners', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('group_id')->constrained()->cascadeOnDelete();
                $table->string('name', 40);
                $table->unsignedSmallInteger('seat')->nullable(); // empty only while a list is being re-seated
                $table->timestamps();
                $table->unique(['group_id', 'seat']);
            });
            DB::statement('ALTER TABLE learners ADD CONSTRAINT learners_seat CHECK (seat BETWEEN 1 AND 60)');
        }
    }
};
