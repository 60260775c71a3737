<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Logs that only grow, closed checks and schemes in use that stay as they were, and rows that a signature rests on that
 * cannot go, with foreign keys checked or not.
 */
return new class extends Migration
{
    /** What a signature rests on: how a row of the table is found to be under one. */
    private const SIGNED = [
        'pieces' => 'select 1 from sign_off_pieces s where s.piece_id = OLD.id',
        'units' => 'select 1 from sign_off_pieces s join pieces p on p.id = s.piece_id where p.unit_id = OLD.id',
        'orders' => 'select 1 from sign_off_pieces s join pieces p on p.id = s.piece_id join units u on u.id = p.unit_id '.
            'where u.order_id = OLD.id',
        'sculpts' => 'select 1 from sign_off_pieces s join pieces p on p.id = s.piece_id join units u on u.id = p.unit_id '.
            'where u.sculpt_id = OLD.id',
        'users' => 'select 1 from sign_offs s where s.user_id = OLD.id',
        'standards' => "select 1 from standard_versions v where v.standard_id = OLD.id and v.status = 'published'",
    ];

    /** What belongs to a check and stays as it was once that is closed. */
    private const OF_CHECKS = ['answers' => 'An answer', 'faults' => 'A fault'];

    /** What a log entry says of its work; only what came after it may be noted on it. */
    private const LOGGED = [
        'id', 'piece_id', 'step', 'technique', 'family', 'area', 'minutes', 'planned_minutes', 'skipped', 'user_id',
        'done_at', 'undoes',
    ];

    public function up(): void
    {
        DB::statement(
            "alter table step_logs
            add column undoes bigint unsigned null comment 'the entry that this one takes back',
            add column undone_by bigint unsigned null comment 'the entry that takes this one back',
            add constraint step_logs_undoes foreign key (undoes) references step_logs (id) on delete restrict,
            add constraint step_logs_undone_by foreign key (undone_by) references step_logs (id) on delete restrict,
            drop index step_logs_once,
            drop column standing",
        );
        DB::statement(
            'alter table step_logs
            add column standing tinyint unsigned
                as (if(covered_by is null and undone_by is null and undoes is null, 1, null)) stored,
            add unique step_logs_once (piece_id, step, standing)',
        );
        foreach (self::SIGNED as $table => $under) {
            $this->refuse($table, 'delete', "exists ($under)", 'What a signature rests on cannot be deleted');
            $this->refuse($table, 'update', "NEW.id <> OLD.id and exists ($under)", 'What a signature rests on keeps its place');
        }
        foreach (self::OF_CHECKS as $table => $what) {
            foreach (['insert' => 'NEW', 'update' => 'OLD', 'delete' => 'OLD'] as $event => $row) {
                $closed = "exists (select 1 from checks c where c.id = $row.check_id and c.closed_at is not null)";
                $this->refuse($table, $event, $closed, "$what of a closed check stays as it was");
            }
        }
        foreach (['update', 'delete'] as $event) {
            $this->refuse('checks', $event, 'OLD.closed_at is not null', 'A closed check stays as it was');
        }
        $this->refuse('releases', 'delete', 'true', 'A release cannot be deleted');
        $this->refuse(
            'releases',
            'update',
            'NEW.id <> OLD.id or NEW.unit_id <> OLD.unit_id or NEW.document <> OLD.document or NEW.sha256 <> OLD.sha256',
            'A release stays as it was',
        );
        $used = "OLD.outcome <> 'untried' or exists (select 1 from units u join orders o on o.id = u.order_id
            where o.scheme_id = OLD.scheme_id and u.scheme_number = OLD.number and u.released_at is not null)";
        $this->refuse('scheme_versions', 'delete', $used, 'A version of a scheme in use cannot be deleted');
        $this->refuse(
            'scheme_versions',
            'update',
            "(NEW.document <> OLD.document or NEW.number <> OLD.number or NEW.scheme_id <> OLD.scheme_id) and ($used)",
            'The colours of a version of a scheme in use stay as they were',
        );
        $this->refuse('step_logs', 'delete', 'true', 'A log entry cannot be deleted');
        $same = implode(' and ', array_map(fn (string $c) => "NEW.$c <=> OLD.$c", self::LOGGED));
        $this->refuse(
            'step_logs',
            'update',
            "not ($same) or (OLD.covered_by is not null and not NEW.covered_by <=> OLD.covered_by)
            or (OLD.undone_by is not null and not NEW.undone_by <=> OLD.undone_by)",
            'A log entry stays as it was; a later one takes it back',
        );
    }

    public function down(): void
    {
        $tables = [...array_keys(self::SIGNED), ...array_keys(self::OF_CHECKS), 'checks', 'releases', 'scheme_versions', 'step_logs'];
        foreach ($tables as $table) {
            foreach (['insert', 'update', 'delete'] as $event) {
                DB::unprepared("drop trigger if exists {$table}_keep_on_$event");
            }
        }
        DB::statement('alter table step_logs drop index step_logs_once, drop column standing');
        DB::statement(
            'alter table step_logs drop foreign key step_logs_undoes, drop foreign key step_logs_undone_by,
            drop column undoes, drop column undone_by,
            add column standing tinyint unsigned as (if(covered_by is null, 1, null)) stored,
            add unique step_logs_once (piece_id, step, standing)',
        );
    }

    private function refuse(string $table, string $event, string $when, string $why): void
    {
        DB::unprepared(
            "create trigger {$table}_keep_on_$event before $event on $table for each row
            begin if $when then signal sqlstate '45000' set message_text = '$why'; end if; end",
        );
    }
};
