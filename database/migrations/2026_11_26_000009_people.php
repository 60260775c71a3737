<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** People as a lead looks after them: invited, at work or set aside, with their hours; and what the studio is. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->decimal('hours_week', 4, 1)->nullable()->after('skill')->comment('at the bench');
            $table->unsignedSmallInteger('largest_batch')->nullable()->after('hours_week')->comment('models');
            $table->timestamp('joined_at', 3)->nullable()->comment('null: invited, no password yet');
            $table->timestamp('set_aside_at', 3)->nullable();
            $table->unsignedInteger('revision')->default(1);
        });
        DB::table('users')->update(['joined_at' => DB::raw('created_at')]);
        Schema::create('invitations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->char('hash', 64)->unique()->comment('SHA-256 of the secret; the link itself is told once');
            $table->foreignId('made_by')->constrained('users')->restrictOnDelete();
            $table->timestamp('expires_at', 3)->nullable();
            $table->timestamp('used_at', 3)->nullable();
            $table->timestamp('withdrawn_at', 3)->nullable();
            $table->timestamps(3);
        });
        Schema::table('studio', function (Blueprint $table): void {
            $table->string('name', 100)->default('')->after('id');
            $table->string('time_zone', 64)->default('UTC')->after('hourly_rate');
        });
    }

    public function down(): void
    {
        Schema::table('studio', fn (Blueprint $table) => $table->dropColumn(['name', 'time_zone']));
        Schema::dropIfExists('invitations');
        Schema::table('users', function (Blueprint $table): void {
            $table->dropColumn(['hours_week', 'largest_batch', 'joined_at', 'set_aside_at', 'revision']);
        });
    }
};
