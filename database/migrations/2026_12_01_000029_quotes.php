<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Quotes in versions, each as it went out; what the studio asks for beside its hours; what a pot of paint costs; what a
 * client says by their page.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('studio', function (Blueprint $table): void {
            $table->string('quote_end', 16)->default('ceiling')->comment('whether a client sees a ceiling beside the price');
            $table->unsignedSmallInteger('quote_days')->default(14)->comment('so long a quote holds');
            $table->decimal('mark_up', 7, 3)->default(25)->comment('per cent on cost');
            $table->decimal('overhead', 7, 3)->default(0)->comment('per cent of minutes and paint');
            $table->decimal('tax_rate', 7, 3)->nullable()->comment('per cent on painting');
            $table->boolean('tax_included')->default(true)->comment('prices are said with tax');
        });
        Schema::table('paints', function (Blueprint $table): void {
            $table->decimal('price', 8, 2)->nullable()->comment('a pot');
            $table->decimal('pot_ml', 8, 2)->default(17)->comment('what a full pot holds');
        });
        Schema::table('units', function (Blueprint $table): void {
            $table->decimal('ceiling', 10, 2)->nullable()->comment('of a piece, where the card has no high end');
        });
        Schema::table('orders', function (Blueprint $table): void {
            $table->text('quote')->nullable()->comment('JSON: what is typed beside the units for the next version');
            $table->decimal('agreed_total', 12, 2)->nullable()->comment('said otherwise than the accepted version has it');
            $table->string('agreed_reason', 500)->nullable();
            $table->foreignId('continues_id')->nullable()->constrained('orders');
            $table->date('prices_until')->nullable()->comment('so long the prices of the order it continues hold');
        });
        Schema::create('quotes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained();
            $table->unsignedSmallInteger('number');
            $table->mediumText('body')->comment('JSON: all that it says');
            $table->date('valid_until');
            $table->string('state', 16)->default('open');
            $table->foreignId('made_by')->nullable()->constrained('users');
            $table->timestamp('made_at', 3)->useCurrent();
            $table->timestamp('answered_at', 3)->nullable();
            $table->string('answered_by', 200)->nullable();
            $table->string('answered_how', 200)->nullable()->comment('null: by the client’s page');
            $table->text('ticks')->nullable()->comment('JSON: ids of the extras that were taken');
            $table->string('reason', 500)->nullable();
            $table->timestamp('settled_at', 3)->nullable();
            $table->text('came_true')->nullable()->comment('JSON: ids of what moved the price');
            $table->unique(['order_id', 'number']);
        });
        Schema::table('questions', function (Blueprint $table): void {
            $table->foreignId('asked_by')->nullable()->change();
            $table->string('asked_name', 200)->nullable()->comment('of the client, where they ask the studio');
            $table->string('wish', 200)->nullable()->comment('JSON: a tier the client would have, or their word on a test model');
        });
        $same = implode(' and ', array_map(
            fn (string $c) => "NEW.$c <=> OLD.$c",
            ['order_id', 'number', 'body', 'valid_until', 'made_at'],
        ));
        $this->refuse('update', "not ($same)", 'A quote that went out stays as it was: make another version');
        $this->refuse('delete', 'true', 'A quote that went out stays');
    }

    private function refuse(string $event, string $when, string $why): void
    {
        DB::unprepared(
            "create trigger quotes_{$event}_refused before $event on quotes for each row
            begin if $when then signal sqlstate '45000' set message_text = '$why'; end if; end",
        );
    }

    public function down(): void
    {
        Schema::dropIfExists('quotes');
        Schema::table('questions', fn (Blueprint $t) => $t->dropColumn(['asked_name', 'wish']));
        Schema::table('orders', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('continues_id');
            $table->dropColumn(['quote', 'agreed_total', 'agreed_reason', 'prices_until']);
        });
        Schema::table('units', fn (Blueprint $t) => $t->dropColumn('ceiling'));
        Schema::table('paints', fn (Blueprint $t) => $t->dropColumn(['price', 'pot_ml']));
        Schema::table('studio', fn (Blueprint $t) => $t->dropColumn([
            'quote_end', 'quote_days', 'mark_up', 'overhead', 'tax_rate', 'tax_included',
        ]));
    }
};
