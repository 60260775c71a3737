<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The life of an order: how it came to where it stands, what was promised, holds, payments, parcels, what came in, and
 * questions. Orders that are there keep their state, marked as from before that was written down.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('studio', function (Blueprint $table): void {
            $table->string('quotes', 16)->default('when_asked');
            $table->boolean('wants_received')->default(false)->comment('models are there before they go to the bench');
            $table->unsignedSmallInteger('claim_days')->default(30)->comment('after delivery, until an order is closed');
        });
        Schema::table('orders', function (Blueprint $table): void {
            $table->date('promised_on')->nullable()->after('due_on');
            $table->timestamp('held_at', 3)->nullable();
            $table->string('held_for', 16)->nullable()->comment('client or studio: whose wait it is');
            $table->string('held_reason', 500)->nullable();
            $table->date('quoted_until')->nullable()->comment('until when the quote holds');
        });
        DB::statement("update orders set promised_on = due_on where status not in ('draft', 'quoted')");
        // Late means promised; where nothing was promised yet, the day that was asked for sorts it.
        DB::statement('alter table orders drop index orders_by_due, drop column due_key');
        DB::statement(
            "alter table orders add column due_key date as (coalesce(promised_on, due_on, '9999-12-31')) stored,
            add index orders_by_due (settled, due_key, id)",
        );
        Schema::table('units', function (Blueprint $table): void {
            $table->decimal('price', 10, 2)->nullable()->comment('of a piece, as the lead set it; null: the middle of the card');
            $table->decimal('agreed_price', 10, 2)->nullable()->comment('of a piece, as it was accepted');
        });
        Schema::create('order_moves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained();
            $table->string('from_status', 16);
            $table->string('to_status', 16);
            $table->string('mover', 16);
            $table->foreignId('user_id')->nullable()->constrained();
            $table->text('facts')->comment('JSON: reason, who said yes and how, price, days');
            $table->timestamp('at', 3)->useCurrent();
            $table->index(['order_id', 'id']);
        });
        Schema::create('order_payments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained();
            $table->unsignedTinyInteger('place');
            $table->string('due_when', 16);
            $table->date('due_on')->nullable();
            $table->decimal('amount', 10, 2)->nullable();
            $table->unsignedTinyInteger('percent')->nullable();
            $table->date('noted_on')->nullable();
            $table->string('noted_way', 100)->nullable();
            $table->foreignId('noted_by')->nullable()->constrained('users');
            $table->unique(['order_id', 'place']);
        });
        Schema::create('parcels', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained();
            $table->string('direction', 3)->comment('in or out');
            $table->date('on_day');
            $table->string('way', 100);
            $table->string('tracking', 100)->nullable();
            $table->string('recipient', 200)->nullable();
            $table->decimal('insured', 10, 2)->nullable();
            $table->text('pieces')->comment('JSON: ids of what it held');
            $table->foreignId('user_id')->nullable()->constrained();
            $table->timestamp('made_at', 3)->useCurrent();
        });
        Schema::create('receivings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('unit_id')->unique()->constrained();
            $table->unsignedSmallInteger('count');
            $table->boolean('built');
            $table->string('state', 500)->nullable();
            $table->text('missing')->comment('JSON: number of the model and the part that is not there');
            $table->string('spares', 500)->nullable();
            $table->string('base', 200)->nullable();
            $table->string('lies', 200)->nullable();
            $table->unsignedInteger('revision')->default(0);
            $table->foreignId('user_id')->constrained();
            $table->timestamp('at', 3)->useCurrent();
        });
        Schema::create('questions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained();
            $table->foreignId('unit_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('piece_id')->nullable()->constrained()->nullOnDelete();
            $table->string('text', 2000);
            $table->boolean('blocks')->default(false)->comment('what it is about stays off the bench until it is answered');
            $table->date('waits_until')->nullable()->comment('so long it holds nothing up');
            $table->char('picture', 64)->nullable();
            $table->text('pin')->nullable()->comment('JSON: x and y on the picture, 0 to 1');
            $table->foreignId('asked_by')->constrained('users');
            $table->timestamp('asked_at', 3)->useCurrent();
            $table->string('answer', 2000)->nullable();
            $table->string('answered_by', 200)->nullable();
            $table->timestamp('answered_at', 3)->nullable();
            $table->foreignId('amendment_id')->nullable()->constrained('amendments')->nullOnDelete();
            $table->index(['order_id', 'answered_at']);
        });
        DB::statement(
            "insert into order_moves (order_id, from_status, to_status, mover, facts, at)
            select id, 'draft', status, 'itself', '{\"before\":true}', coalesce(updated_at, created_at, now(3)) from orders
            where status <> 'draft'",
        );
    }

    public function down(): void
    {
        foreach (['questions', 'receivings', 'parcels', 'order_payments', 'order_moves'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn(['price', 'agreed_price']));
        DB::statement('alter table orders drop index orders_by_due, drop column due_key');
        Schema::table('orders', fn (Blueprint $table) => $table->dropColumn([
            'promised_on', 'held_at', 'held_for', 'held_reason', 'quoted_until',
        ]));
        DB::statement(
            "alter table orders add column due_key date as (coalesce(due_on, '9999-12-31')) stored,
            add index orders_by_due (settled, due_key, id)",
        );
        Schema::table('studio', fn (Blueprint $table) => $table->dropColumn([
            'quotes', 'wants_received', 'claim_days',
        ]));
    }
};
