<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Files whose taking in is long: the worker does it, people see how far it is and can call it off. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->longText('text')->nullable()->comment('null: over and done with');
            $table->enum('state', ['waiting', 'running', 'done', 'refused', 'cancelled'])->default('waiting');
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('all')->default(0);
            $table->boolean('called_off')->default(false);
            $table->string('said', 1000)->nullable();
            $table->text('problems')->nullable();
            $table->timestamps(3);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('imports');
    }
};
