<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What nobody may change afterwards, not even the application's own code: published versions with their clauses,
 * sign-offs, and the activity log.
 */
return new class extends Migration
{
    private const APPEND_ONLY = ['sign_offs' => 'A sign-off', 'sign_off_pieces' => 'A sign-off', 'activities' => 'The activity log'];

    public function up(): void
    {
        foreach (self::APPEND_ONLY as $table => $what) {
            foreach (['UPDATE', 'DELETE'] as $event) {
                DB::unprepared("CREATE TRIGGER {$table}_no_".strtolower($event)." BEFORE $event ON $table FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '$what cannot be changed or deleted'");
            }
        }
        foreach (['UPDATE', 'DELETE'] as $event) {
            DB::unprepared('CREATE TRIGGER standard_versions_no_'.strtolower($event)." BEFORE $event ON standard_versions FOR EACH ROW
                BEGIN IF OLD.status = 'published' THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'A published version cannot be changed or deleted'; END IF; END");
        }
        foreach (['INSERT' => 'NEW', 'UPDATE' => 'OLD', 'DELETE' => 'OLD'] as $event => $row) {
            DB::unprepared('CREATE TRIGGER clauses_no_'.strtolower($event)." BEFORE $event ON clauses FOR EACH ROW
                BEGIN IF EXISTS (SELECT 1 FROM standard_versions v WHERE v.id = $row.standard_version_id AND v.status = 'published') THEN
                SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'The clauses of a published version cannot be changed'; END IF; END");
        }
        // Moving a draft's clause into a published version is a change of that version too.
        DB::unprepared("CREATE TRIGGER clauses_no_move BEFORE UPDATE ON clauses FOR EACH ROW
            BEGIN IF NEW.standard_version_id <> OLD.standard_version_id THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'A clause stays in its version'; END IF; END");
    }

    public function down(): void
    {
        foreach (array_keys(self::APPEND_ONLY) as $table) {
            DB::unprepared("DROP TRIGGER IF EXISTS {$table}_no_update");
            DB::unprepared("DROP TRIGGER IF EXISTS {$table}_no_delete");
        }
        foreach (['standard_versions_no_update', 'standard_versions_no_delete', 'clauses_no_insert', 'clauses_no_update', 'clauses_no_delete', 'clauses_no_move'] as $trigger) {
            DB::unprepared("DROP TRIGGER IF EXISTS $trigger");
        }
    }
};
