<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What a signed record rests on stays as it is while the signature stands: its photographs and their pictures, the tier
 * and colours of its unit, its release, what a client said behind a link. A name beside it can only be erased.
 */
return new class extends Migration
{
    /** What a photograph is of; how far its measuring is may still change. */
    private const TAKEN = ['id', 'piece_id', 'sculpt_id', 'view', 'shows', 'sha256', 'placement', 'made_by', 'created_at'];

    private const DRAWN = ['sha256', 'mime', 'width', 'height', 'bytes', 'is_drawn'];

    public function up(): void
    {
        $standing = fn (string $pieces) => "exists (select 1 from sign_off_pieces s join sign_offs o on o.id = s.sign_off_id
            join pieces p on p.id = s.piece_id where $pieces and o.kind = 'sign_off' and not exists (
                select 1 from sign_off_pieces t join sign_offs l on l.id = t.sign_off_id
                where t.piece_id = s.piece_id and l.number > o.number))";
        $changed = fn (array $columns) => 'not ('.implode(' and ', array_map(fn ($c) => "NEW.$c <=> OLD.$c", $columns)).')';

        $same = 'NEW.id = OLD.id and NEW.sign_off_id = OLD.sign_off_id and NEW.token = OLD.token';
        $erased = 'NEW.name is null and NEW.salt is null';
        $this->refuse('record_names', 'update', "not ($same and $erased)", 'A name beside a record can only be erased');
        $this->refuse('record_names', 'delete', 'true', 'A name beside a record can only be erased');

        $photographs = 'exists (select 1 from sign_off_pieces s join sign_offs o on o.id = s.sign_off_id
            where s.piece_id = OLD.piece_id and o.signed_at >= OLD.created_at)';
        $this->refuse('photographs', 'update', "{$changed(self::TAKEN)} and $photographs", 'A photograph of signed work stays as it was');
        $this->refuse('photographs', 'delete', $photographs, 'A photograph of signed work stays');

        $this->refuse('pictures', 'update', $changed(self::DRAWN), 'A picture is what its hash says');
        $this->refuse(
            'pictures',
            'delete',
            'exists (select 1 from photographs h join sign_off_pieces s on s.piece_id = h.piece_id where h.sha256 = OLD.sha256)',
            'A picture of signed work stays',
        );

        $answered = "json_exists(OLD.shows, '\$.answer')";
        $of = fn (string $row) => "json_compact(json_remove($row.shows, '\$.answer.name'))";
        $kept = "{$of('NEW')} = {$of('OLD')} and NEW.what = OLD.what and (json_value(NEW.shows, '\$.answer.name') is null
            or json_value(NEW.shows, '\$.answer.name') = json_value(OLD.shows, '\$.answer.name'))";
        $this->refuse('share_links', 'update', "$answered and not ($kept)", 'What was said behind a link stays; a name in it can be erased');
        $this->refuse('share_links', 'delete', $answered, 'What was said behind a link stays');

        $this->refuse(
            'units',
            'update',
            "{$changed(['order_id', 'sculpt_id', 'tier', 'scheme_number', 'released_at'])} and {$standing('p.unit_id = OLD.id')}",
            'What was signed keeps its tier and its colours: withdraw the sign-off first',
        );
        $this->refuse(
            'pieces',
            'update',
            "{$changed(['unit_id', 'number', 'code', 'lacks'])} and {$standing('p.id = OLD.id')}",
            'A signed model stays what it was: withdraw the sign-off first',
        );
        $this->refuse(
            'releases',
            'update',
            "{$changed(['number', 'released_by', 'released_at', 'taken_back_at'])} and {$standing('p.unit_id = OLD.unit_id')}",
            'A release that was signed for stays as it was',
        );
    }

    public function down(): void
    {
        foreach (['record_names', 'photographs', 'pictures', 'share_links', 'units', 'pieces', 'releases'] as $table) {
            foreach (['update', 'delete'] as $event) {
                DB::unprepared("drop trigger if exists {$table}_{$event}_of_record");
            }
        }
    }

    private function refuse(string $table, string $event, string $when, string $why): void
    {
        DB::unprepared(
            "create trigger {$table}_{$event}_of_record before $event on $table for each row
            begin if $when then signal sqlstate '45000' set message_text = '$why'; end if; end",
        );
    }
};
