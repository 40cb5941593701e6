<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Links by which somebody joins a place, once; only what a link is known by is kept, never the link. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('invitations')) {
            Schema::create('invitations', static function (Blueprint $table): void {
                $table->id();
                $table->foreignId('organisation_id')->constrained()->cascadeOnDelete();
                $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
                $table->string('whom', 80)->default('');
                $table->char('token_hash', 64)->unique();
                $table->dateTime('expires_at');
                $table->dateTime('used_at')->nullable();
                $table->timestamps();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('invitations');
    }
};
