<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The studio's figures, tokens for scripts, links that are shared, and answers to writes that must not happen twice. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('studio', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->decimal('hourly_rate', 8, 2)->comment('what an hour at the bench costs, in the currency of the standard');
            $table->timestamps(3);
        });
        DB::table('studio')->insert(['id' => 1, 'hourly_rate' => '20.00', 'created_at' => now(), 'updated_at' => now()]);

        Schema::table('pieces', function (Blueprint $table): void {
            $table->string('held_from', 16)->nullable()->after('stage')->comment('the stage to go back to from on_hold');
        });
        Schema::create('access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->string('name', 100);
            $table->char('hash', 64)->unique()->comment('SHA-256 of the token; the token itself is shown once');
            $table->text('abilities');
            $table->timestamp('last_used_at', 3)->nullable();
            $table->timestamp('revoked_at', 3)->nullable();
            $table->timestamps(3);
        });
        Schema::create('share_links', function (Blueprint $table): void {
            $table->id();
            $table->char('hash', 64)->unique()->comment('SHA-256 of 128 random bits; the address itself is shown once');
            $table->string('what', 32);
            $table->text('shows');
            $table->foreignId('made_by')->constrained('users')->restrictOnDelete();
            $table->timestamp('expires_at', 3);
            $table->timestamp('withdrawn_at', 3)->nullable();
            $table->timestamps(3);
        });
        Schema::create('answered_writes', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->string('key', 100);
            $table->char('request', 64)->comment('SHA-256 of method, path and body');
            $table->unsignedSmallInteger('status')->nullable()->comment('null while it is being answered');
            $table->longText('body')->nullable();
            $table->timestamp('created_at', 3);
            $table->primary(['user_id', 'key']);
        });
    }

    public function down(): void
    {
        Schema::table('pieces', fn (Blueprint $table) => $table->dropColumn('held_from'));
        foreach (['answered_writes', 'share_links', 'access_tokens', 'studio'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
