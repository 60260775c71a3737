<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was said of a model at a gate; the last word counts, and every one is kept. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('gate_answers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('piece_id')->constrained()->restrictOnDelete();
            $table->string('gate', 32);
            $table->boolean('passed');
            $table->string('note', 1000)->nullable();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->timestamp('answered_at', 3);
            $table->index(['piece_id', 'gate']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('gate_answers');
    }
};
