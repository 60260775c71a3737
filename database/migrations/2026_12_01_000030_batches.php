<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Batches: who paints which models together, in which hours, and the runs that were laid out for them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('batches', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->unsignedInteger('revision')->default(1);
            $table->dateTime('starts_at', 3);
            $table->unsignedTinyInteger('guns')->default(1);
            $table->boolean('fan')->default(false);
            $table->json('painters')->comment('user, from, to, days, largest');
            $table->json('runs')->comment('painter, and operations as piece, step, coat');
            $table->dateTime('laid_at', 3);
            $table->dateTime('expected_at', 3)->nullable()->comment('the end, when it was looked at last');
            $table->foreignId('made_by')->constrained('users');
            $table->dateTime('ended_at', 3)->nullable()->index();
            $table->timestamps(3);
        });
        Schema::table('pieces', function (Blueprint $table): void {
            $table->foreignId('batch_id')->nullable()->constrained('batches')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('pieces', fn (Blueprint $table) => $table->dropConstrainedForeignId('batch_id'));
        Schema::dropIfExists('batches');
    }
};
