<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A second factor beside the password, and the roles that want one. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->text('second_factor')->nullable()->comment('the shared secret, encrypted');
            $table->timestamp('second_factor_since', 3)->nullable()->comment('null: not confirmed by a code yet');
            $table->unsignedBigInteger('second_factor_step')->default(0)->comment('of the last code that was used');
            $table->text('recovery_codes')->nullable()->comment('SHA-256 of those that were not used');
        });
        Schema::table('studio', function (Blueprint $table): void {
            $table->string('second_factor_roles', 64)->default('[]')->comment('who must have one');
        });
    }

    public function down(): void
    {
        Schema::table('studio', fn (Blueprint $table) => $table->dropColumn('second_factor_roles'));
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn([
            'second_factor', 'second_factor_since', 'second_factor_step', 'recovery_codes',
        ]));
    }
};
