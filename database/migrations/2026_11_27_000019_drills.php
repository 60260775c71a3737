<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Drills by which people train the eye: what was planted, and what they called. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('drills', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->foreignId('sculpt_id')->constrained()->restrictOnDelete();
            $table->foreignId('standard_version_id')->constrained()->restrictOnDelete();
            $table->string('tier', 64);
            $table->unsignedInteger('number')->comment('the same number shows everybody the same pictures');
            $table->text('pictures');
            $table->text('calls')->comment('by place: the area that was pressed, or null');
            $table->timestamp('finished_at', 3)->nullable();
            $table->timestamps(3);
            $table->unique(['user_id', 'sculpt_id', 'standard_version_id', 'tier', 'number'], 'drills_once');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('drills');
    }
};
