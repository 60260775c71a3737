<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Amendments of the studio are those of no order, no unit and no piece: found without reading those of all others. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('alter table amendments add index amendments_by_level (order_id, unit_id, piece_id)');
    }

    public function down(): void
    {
        DB::statement('alter table amendments drop index amendments_by_level');
    }
};
