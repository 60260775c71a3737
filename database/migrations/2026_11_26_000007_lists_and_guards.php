<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What lists of any length are sorted by: columns that are never null, each with its index; and order numbers. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(
            "alter table orders
            add column settled tinyint unsigned
                as (if(status in ('delivered', 'closed', 'cancelled'), 1, 0)) stored,
            add column due_key date as (coalesce(due_on, '9999-12-31')) stored,
            add index orders_by_due (settled, due_key, id),
            add index orders_by_client (client, id),
            add index orders_by_title (title, id)",
        );
        DB::statement('alter table pieces add index pieces_by_stage (unit_id, stage)');
        DB::statement('alter table schemes add index schemes_by_name (name, id)');
        DB::statement('alter table sculpts add index sculpts_by_name (name, id)');
        // A database that was emptied keeps its sequences.
        DB::statement('create or replace sequence order_numbers start with 1 increment by 1 nocache');
        $last = (int) DB::table('orders')->max('id');
        if ($last > 0) {
            DB::select("select setval(order_numbers, $last)");
        }
    }

    public function down(): void
    {
        DB::statement('drop sequence order_numbers');
        DB::statement('alter table sculpts drop index sculpts_by_name');
        DB::statement('alter table schemes drop index schemes_by_name');
        DB::statement('alter table pieces drop index pieces_by_stage');
        DB::statement(
            'alter table orders drop index orders_by_title, drop index orders_by_client, drop index orders_by_due,
            drop column due_key, drop column settled',
        );
    }
};
