<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Drawings of the booth, kept by the hash of all they depend on. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('drawings', function (Blueprint $table): void {
            $table->char('hash', 64)->primary();
            $table->mediumText('spec');
            $table->enum('state', ['known', 'waiting', 'drawing', 'ready', 'failed'])->default('known');
            $table->unsignedInteger('bytes')->nullable();
            $table->timestamp('asked_at', 3)->nullable();
            $table->timestamp('ready_at', 3)->nullable();
            $table->index(['state', 'asked_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('drawings');
    }
};
