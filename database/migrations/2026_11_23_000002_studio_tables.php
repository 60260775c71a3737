<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** People, the standard and its versions, figures, colours, orders, pieces, checks and sign-offs. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->enum('role', ['lead', 'painter', 'desk']);
            $table->boolean('may_sign')->default(false);
            $table->unsignedTinyInteger('skill')->default(3);
            $table->rememberToken();
            $table->timestamps(3);
        });

        Schema::create('standards', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->timestamps(3);
        });
        Schema::create('standard_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('standard_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('number');
            $table->enum('status', ['draft', 'published']);
            // One open draft for each standard: null is allowed many times in a unique key, 1 only once.
            $table->unsignedTinyInteger('open')->nullable()->storedAs("if(status = 'draft', 1, null)");
            $table->unsignedInteger('revision')->default(1);
            $table->longText('frame')->comment('ordotype/standard@1 with the clauses of every tier taken out');
            $table->longText('document')->nullable()->comment('ordotype/standard@1 as published');
            $table->char('sha256', 64)->nullable();
            $table->text('note')->nullable();
            $table->foreignId('published_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamp('published_at', 3)->nullable();
            $table->timestamps(3);
            $table->unique(['standard_id', 'number']);
            $table->unique(['standard_id', 'open']);
        });
        Schema::create('clauses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('standard_version_id')->constrained()->restrictOnDelete();
            $table->string('tier', 64);
            $table->string('clause');
            $table->unsignedInteger('position');
            $table->text('body')->comment('the clause as in ordotype/standard@1');
            $table->unsignedInteger('revision')->default(1);
            $table->foreignId('changed_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamps(3);
            $table->unique(['standard_version_id', 'tier', 'clause']);
        });

        Schema::create('sculpts', function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 64)->unique();
            $table->string('name');
            $table->string('role', 16);
            $table->string('size', 16);
            $table->mediumText('document');
            $table->timestamps(3);
        });
        Schema::create('schemes', function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 64)->unique();
            $table->string('name');
            $table->mediumText('document');
            $table->timestamps(3);
        });
        Schema::create('paints', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->string('kind', 16);
            $table->char('hex', 7);
            $table->enum('hiding', ['high', 'medium', 'low']);
            $table->decimal('ml', 8, 2);
            $table->timestamps(3);
        });

        Schema::create('orders', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 24)->unique();
            $table->string('client');
            $table->string('title');
            $table->text('brief')->nullable();
            $table->enum('status', ['draft', 'quoted', 'accepted', 'in_work', 'done', 'delivered', 'closed', 'cancelled']);
            $table->date('due_on')->nullable();
            $table->foreignId('standard_version_id')->constrained()->restrictOnDelete();
            $table->foreignId('scheme_id')->nullable()->constrained()->restrictOnDelete();
            $table->text('method')->nullable();
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps(3);
            $table->index(['status', 'due_on']);
        });
        Schema::create('units', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained()->restrictOnDelete();
            $table->foreignId('sculpt_id')->constrained()->restrictOnDelete();
            $table->string('tier', 64);
            $table->string('label')->nullable();
            $table->text('edits')->nullable()->comment('techniques by area chosen by hand');
            $table->mediumText('plan')->nullable()->comment('ordotype/plan@1 as released to the bench');
            $table->timestamp('released_at', 3)->nullable();
            $table->foreignId('released_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps(3);
        });
        Schema::create('amendments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->nullable()->constrained()->restrictOnDelete();
            $table->foreignId('unit_id')->nullable()->constrained()->restrictOnDelete();
            $table->text('body')->comment('ordotype/amendment@1');
            $table->foreignId('made_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamps(3);
        });
        Schema::create('pieces', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('unit_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('number');
            $table->string('code', 12)->unique();
            $table->enum('stage', ['planned', 'on_bench', 'offered', 'rework', 'passed', 'signed', 'delivered', 'on_hold', 'lost', 'cancelled']);
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps(3);
            $table->unique(['unit_id', 'number']);
            $table->index('stage');
        });
        Schema::create('step_logs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('piece_id')->constrained()->restrictOnDelete();
            $table->string('step', 80)->comment('no. of a step of the plan, or repair:FAULT:no.');
            $table->string('technique', 64);
            $table->string('family', 16);
            $table->string('area', 64)->nullable();
            $table->decimal('minutes', 8, 2);
            $table->string('skipped', 500)->nullable()->comment('why it was left out');
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->timestamp('done_at', 3);
            $table->unique(['piece_id', 'step']);
        });

        Schema::create('checks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('piece_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('round');
            $table->foreignId('standard_version_id')->constrained()->restrictOnDelete();
            $table->mediumText('questions');
            $table->foreignId('opened_by')->constrained('users')->restrictOnDelete();
            $table->enum('verdict', ['passed', 'rework', 'accepted'])->nullable();
            $table->string('reason', 1000)->nullable();
            $table->foreignId('closed_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamp('closed_at', 3)->nullable();
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps(3);
            $table->unique(['piece_id', 'round']);
        });
        Schema::create('answers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('check_id')->constrained()->restrictOnDelete();
            $table->string('question', 190);
            $table->enum('answer', ['yes', 'fault', 'not_seen', 'not_applicable']);
            $table->string('note', 1000)->nullable();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->timestamp('answered_at', 3);
            $table->unique(['check_id', 'question']);
        });
        Schema::create('faults', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('check_id')->constrained()->restrictOnDelete();
            $table->string('question', 190);
            $table->string('fault', 64);
            $table->string('area', 64)->nullable();
            $table->enum('spread', ['spot', 'patch', 'whole']);
            $table->decimal('size_mm', 8, 3)->nullable();
            $table->enum('severity', ['critical', 'major', 'minor', 'note']);
            $table->string('why', 1000);
            $table->text('repair');
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->timestamps(3);
            $table->index(['check_id', 'question']);
        });

        Schema::create('sign_offs', function (Blueprint $table): void {
            $table->id();
            $table->unsignedInteger('number')->unique();
            $table->enum('kind', ['sign_off', 'withdrawal']);
            $table->char('previous', 64)->unique();
            $table->char('hash', 64)->unique();
            $table->longText('record')->comment('RFC 8785 JSON, the bytes that are hashed');
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->timestamp('signed_at', 3);
        });
        Schema::create('sign_off_pieces', function (Blueprint $table): void {
            $table->foreignId('sign_off_id')->constrained()->restrictOnDelete();
            $table->foreignId('piece_id')->constrained()->restrictOnDelete();
            $table->primary(['sign_off_id', 'piece_id']);
        });
        Schema::create('chain_heads', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->comment('One row that is locked while somebody signs');
        });
        DB::table('chain_heads')->insert(['id' => 1]);

        Schema::create('activities', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained()->restrictOnDelete();
            $table->string('action', 64);
            $table->string('subject', 64);
            $table->unsignedBigInteger('subject_id');
            $table->longText('before')->nullable();
            $table->longText('after')->nullable();
            $table->timestamp('at', 3);
            $table->index(['subject', 'subject_id']);
        });

        DB::statement('ALTER TABLE pieces ADD CONSTRAINT pieces_number CHECK (number > 0)');
        DB::statement('ALTER TABLE amendments ADD CONSTRAINT amendments_of CHECK ((order_id IS NULL) <> (unit_id IS NULL))');
        DB::statement('ALTER TABLE users ADD CONSTRAINT users_skill CHECK (skill BETWEEN 1 AND 5)');
        DB::statement("ALTER TABLE standard_versions ADD CONSTRAINT versions_published CHECK (status = 'draft' OR (document IS NOT NULL AND sha256 IS NOT NULL AND published_at IS NOT NULL))");
    }

    public function down(): void
    {
        foreach (['activities', 'chain_heads', 'sign_off_pieces', 'sign_offs', 'faults', 'answers', 'checks', 'step_logs', 'pieces', 'amendments', 'units', 'orders', 'paints', 'schemes', 'sculpts', 'clauses', 'standard_versions', 'standards', 'users'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
