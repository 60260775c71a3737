<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where a client can read a record, and the names that a record holds only as salted hashes. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('sign_offs', function (Blueprint $table): void {
            $table->char('secret', 32)->nullable()->unique()->comment('128 random bits of its public address');
        });
        Schema::create('record_names', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sign_off_id')->constrained()->restrictOnDelete();
            $table->char('token', 64)->comment('SHA-256 of the salt and the name, as the record holds it');
            $table->char('salt', 32)->nullable();
            $table->string('name', 1000)->nullable()->comment('null: erased');
            $table->unique(['sign_off_id', 'token']);
            $table->index('name');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('record_names');
        Schema::table('sign_offs', fn (Blueprint $table) => $table->dropColumn('secret'));
    }
};
