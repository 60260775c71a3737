<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Minutes that were told wrongly are corrected with a reason; what was told first is kept, and so is each correction. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(
            "alter table step_logs
            add column is_corrected tinyint(1) not null default 0,
            add column corrected_minutes decimal(8,2) null comment 'in the place of minutes, where it is corrected',
            add column spent decimal(8,2) as (if(is_corrected, corrected_minutes, minutes)) virtual",
        );
        Schema::create('time_corrections', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('step_log_id')->constrained('step_logs')->restrictOnDelete();
            $table->decimal('before', 8, 2)->nullable();
            $table->decimal('after', 8, 2)->nullable();
            $table->string('reason', 300);
            $table->foreignId('user_id')->constrained('users');
            $table->timestamp('at', 3);
        });
        foreach (['update', 'delete'] as $event) {
            DB::unprepared(
                "create trigger time_corrections_{$event}_refused before $event on time_corrections for each row
                begin signal sqlstate '45000' set message_text = 'A correction stays as it was made'; end",
            );
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('time_corrections');
        Schema::table('step_logs', fn (Blueprint $table) => $table->dropColumn('spent'));
        Schema::table('step_logs', fn (Blueprint $table) => $table->dropColumn(['corrected_minutes', 'is_corrected']));
    }
};
