<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The link by which a client was asked about a check is looked for whenever the check is read: by a column of its own. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("alter table share_links add column check_id bigint unsigned
            as (if(what = 'concession', json_value(shows, '$.check'), null)) stored");
        Schema::table('share_links', fn (Blueprint $table) => $table->index(['check_id', 'id'], 'share_links_of_check'));
    }

    public function down(): void
    {
        Schema::table('share_links', function (Blueprint $table): void {
            $table->dropIndex('share_links_of_check');
            $table->dropColumn('check_id');
        });
    }
};
