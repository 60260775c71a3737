<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Models that were offered together and of which a sample is checked. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('lots', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('unit_id')->constrained()->restrictOnDelete();
            $table->unsignedBigInteger('seed');
            $table->boolean('is_tightened');
            $table->text('pieces')->comment('numbers of all of them');
            $table->text('drawn')->comment('numbers, in the order in which they were drawn');
            $table->string('plans', 500);
            $table->foreignId('painter_id')->nullable()->constrained('users')->restrictOnDelete();
            $table->foreignId('drawn_by')->constrained('users')->restrictOnDelete();
            $table->enum('verdict', ['open', 'accepted', 'refused'])->default('open');
            $table->timestamps(3);
            $table->index(['painter_id', 'verdict']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('lots');
    }
};
