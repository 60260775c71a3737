<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What was said at a gate, what was drawn of a lot and a finished drill stay as they were. */
return new class extends Migration
{
    /** What a lot says of its draw; only its verdict comes later. */
    private const DRAWN = ['id', 'unit_id', 'seed', 'is_tightened', 'pieces', 'drawn', 'plans', 'painter_id', 'drawn_by'];

    public function up(): void
    {
        Schema::table('releases', function (Blueprint $table): void {
            $table->boolean('is_sampled')->default(false)->comment('only some of its models are checked');
        });
        $this->refuse('gate_answers', 'update', 'true', 'What was said at a gate stays as it was; a later word counts');
        $this->refuse('gate_answers', 'delete', 'true', 'What was said at a gate cannot be deleted');
        $same = implode(' and ', array_map(fn (string $c) => "NEW.$c <=> OLD.$c", self::DRAWN));
        $this->refuse('lots', 'update', "not ($same) or OLD.verdict <> 'open'", 'What was drawn of a lot stays as it was');
        $this->refuse('lots', 'delete', 'true', 'A lot cannot be deleted');
        $this->refuse('drills', 'update', 'OLD.finished_at is not null', 'A finished drill stays as it was');
        $this->refuse('drills', 'delete', 'OLD.finished_at is not null', 'A finished drill cannot be deleted');
    }

    public function down(): void
    {
        Schema::table('releases', fn (Blueprint $table) => $table->dropColumn('is_sampled'));
        foreach (['gate_answers', 'lots', 'drills'] as $table) {
            foreach (['update', 'delete'] as $event) {
                DB::unprepared("drop trigger if exists {$table}_keep_on_$event");
            }
        }
    }

    private function refuse(string $table, string $event, string $when, string $why): void
    {
        DB::unprepared(
            "create trigger {$table}_keep_on_$event before $event on $table for each row
            begin if $when then signal sqlstate '45000' set message_text = '$why'; end if; end",
        );
    }
};
