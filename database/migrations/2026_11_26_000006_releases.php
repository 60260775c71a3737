<?php

declare(strict_types=1);

use App\Actions\Plan\ReconstructReleases;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A released plan is one record, which nobody changes; work that was painted over is marked as such. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('releases', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('unit_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('number');
            $table->longText('document')->comment('ordotype/release@1');
            $table->char('sha256', 64)->comment('of the document');
            $table->unsignedInteger('steps')->comment('how many the work of its unit has');
            $table->unsignedInteger('passes');
            $table->boolean('reconstructed')->default(false)->comment('made from rows that were there before releases were kept');
            $table->foreignId('released_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamp('released_at', 3);
            $table->timestamp('taken_back_at', 3)->nullable()->comment('before anything was done');
            $table->unique(['unit_id', 'number']);
        });
        Schema::table('checks', function (Blueprint $table): void {
            $table->foreignId('release_id')->nullable()->after('standard_version_id')->constrained()->restrictOnDelete();
        });
        Schema::table('step_logs', function (Blueprint $table): void {
            $table->unsignedInteger('covered_by')->nullable()->after('step')->comment('number of the release whose work goes over it');
            $table->decimal('planned_minutes', 8, 2)->nullable()->after('minutes');
        });
        // The old unique key carries the foreign key of the piece, which needs an index of its own first.
        Schema::table('step_logs', fn (Blueprint $table) => $table->index('piece_id'));
        Schema::table('step_logs', fn (Blueprint $table) => $table->dropUnique(['piece_id', 'step']));
        app(ReconstructReleases::class)->uncover();
        DB::statement('UPDATE step_logs SET planned_minutes = minutes');
        Schema::table('step_logs', fn (Blueprint $table) => $table->decimal('minutes', 8, 2)->nullable()->comment('as timed or entered; null: not told')->change());
        DB::statement('UPDATE step_logs SET minutes = NULL');
        // A step is done once on a piece, but for what was painted over.
        DB::statement('ALTER TABLE step_logs ADD COLUMN standing TINYINT UNSIGNED AS (if(covered_by IS NULL, 1, NULL)) STORED, ADD UNIQUE step_logs_once (piece_id, step, standing)');
        app(ReconstructReleases::class)->all();
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn('plan'));
        Schema::table('pieces', fn (Blueprint $table) => $table->dropColumn('steps'));
        DB::unprepared("CREATE TRIGGER releases_no_delete BEFORE DELETE ON releases FOR EACH ROW
            SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'A release cannot be deleted'");
        DB::unprepared("CREATE TRIGGER releases_no_update BEFORE UPDATE ON releases FOR EACH ROW
            BEGIN IF NEW.document <> OLD.document OR NEW.unit_id <> OLD.unit_id OR NEW.number <> OLD.number OR NEW.sha256 <> OLD.sha256 THEN
            SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'A release cannot be changed'; END IF; END");
    }

    public function down(): void
    {
        throw new RuntimeException('Releases are not undone: restore a copy made before.');
    }
};
