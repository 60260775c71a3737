<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Photographs of models, where their outlines lie in them, and what was measured. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('photographs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('piece_id')->constrained()->restrictOnDelete();
            $table->enum('view', ['front', 'back', 'left', 'right', 'top', 'under']);
            $table->char('sha256', 64);
            $table->foreign('sha256')->references('sha256')->on('pictures')->restrictOnDelete();
            $table->json('placement')->nullable()->comment('three points and the grey card, pixels');
            $table->enum('state', ['kept', 'waiting', 'measured', 'failed'])->default('kept');
            $table->mediumText('measures')->nullable();
            $table->string('said', 500)->nullable();
            $table->foreignId('made_by')->constrained('users')->restrictOnDelete();
            $table->timestamps(3);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('photographs');
    }
};
