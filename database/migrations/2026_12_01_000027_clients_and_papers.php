<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Clients with a record of their own, who pays, and what stands on the studio's papers. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('studio', function (Blueprint $table): void {
            $table->char('currency', 3)->default('EUR')->comment('ISO 4217');
            $table->string('address', 200)->nullable()->comment('that links begin with; null: the one the page is at');
            $table->string('paper_head', 500)->nullable()->comment('lines under the name on papers');
            $table->char('mark', 64)->nullable()->comment('SHA-256 of a picture kept');
        });
        $published = DB::table('standard_versions')->where('status', 'published')->orderByDesc('number')->value('frame');
        $frame = is_string($published) ? json_decode($published, true) : null;
        if (is_array($frame) && isset($frame['currency'])) {
            DB::table('studio')->update(['currency' => $frame['currency']]);
        }
        Schema::create('clients', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 200)->unique();
            $table->string('reach', 500)->nullable()->comment('letters, telephone, where parcels go');
            $table->text('notes')->nullable();
            $table->unsignedInteger('revision')->default(0);
            $table->timestamps(3);
        });
        Schema::table('orders', function (Blueprint $table): void {
            $table->foreignId('client_id')->nullable()->after('client')->constrained()->nullOnDelete();
            $table->string('payer', 200)->nullable()->after('client_id')->comment('where somebody else pays');
        });
        DB::statement(
            'insert into clients (name, created_at, updated_at)
            select min(client), min(created_at), now(3) from orders group by client',
        );
        DB::statement('update orders join clients on clients.name = orders.client set orders.client_id = clients.id');
    }

    public function down(): void
    {
        Schema::table('orders', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('client_id');
            $table->dropColumn('payer');
        });
        Schema::dropIfExists('clients');
        Schema::table('studio', fn (Blueprint $t) => $t->dropColumn(['currency', 'address', 'paper_head', 'mark']));
    }
};
