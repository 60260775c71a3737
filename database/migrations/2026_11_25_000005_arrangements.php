<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Amendments at four levels, pieces that differ from their unit, orders of work made by hand, versions of schemes, pictures. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement('ALTER TABLE amendments DROP CONSTRAINT amendments_of');
        Schema::table('amendments', function (Blueprint $table): void {
            $table->foreignId('piece_id')->nullable()->after('unit_id')->constrained()->restrictOnDelete();
            $table->timestamp('ended_at', 3)->nullable()->comment('of the studio: holds for what was released before, and for nothing after');
        });
        DB::statement('ALTER TABLE amendments ADD CONSTRAINT amendments_of CHECK ((order_id IS NOT NULL) + (unit_id IS NOT NULL) + (piece_id IS NOT NULL) <= 1)');

        Schema::table('units', function (Blueprint $table): void {
            $table->text('arrangement')->nullable()->after('edits')->comment('order of work made by hand, paints and notes of single steps, practice');
            $table->text('variants')->nullable()->after('arrangement');
            $table->unsignedInteger('scheme_number')->nullable()->after('plan')->comment('version of the scheme it was released with');
        });
        Schema::table('pieces', function (Blueprint $table): void {
            $table->text('lacks')->nullable()->after('stage')->comment('keys of areas this piece does not have');
            $table->text('edits')->nullable()->after('lacks')->comment('techniques by area chosen by hand for this piece alone');
            $table->mediumText('steps')->nullable()->after('edits')->comment('keys of the released steps it needs; null: all');
        });
        Schema::table('step_logs', fn (Blueprint $table) => $table->string('step', 190)->comment('key of a step of the plan, or repair:FAULT:no.')->change());

        Schema::create('pictures', function (Blueprint $table): void {
            $table->char('sha256', 64)->primary()->comment('of the stored file');
            $table->string('mime', 32);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedInteger('bytes');
            $table->foreignId('made_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamp('created_at', 3);
        });
        Schema::table('orders', function (Blueprint $table): void {
            $table->text('overrules')->nullable()->after('method')->comment('rules of order set aside for this order, with who, when and why');
            $table->char('reference', 64)->nullable()->after('overrules');
            $table->foreign('reference')->references('sha256')->on('pictures')->restrictOnDelete();
        });
        Schema::table('sculpts', function (Blueprint $table): void {
            $table->unsignedInteger('revision')->default(1)->after('document');
            foreach (['picture_front', 'picture_back'] as $column) {
                $table->char($column, 64)->nullable()->after('revision');
                $table->foreign($column)->references('sha256')->on('pictures')->restrictOnDelete();
            }
        });

        Schema::table('schemes', fn (Blueprint $table) => $table->unsignedInteger('number')->default(1)->after('document')->comment('the version in force'));
        Schema::create('scheme_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('scheme_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('number');
            $table->mediumText('document');
            $table->string('note', 1000)->nullable();
            $table->enum('outcome', ['untried', 'accepted', 'rejected'])->default('untried')->comment('of its test model');
            $table->string('outcome_note', 1000)->nullable();
            $table->decimal('repaint_minutes', 8, 2)->nullable();
            $table->foreignId('outcome_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamp('outcome_at', 3)->nullable();
            $table->foreignId('made_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestamps(3);
            $table->unique(['scheme_id', 'number']);
        });
        DB::statement('INSERT INTO scheme_versions (scheme_id, number, document, created_at, updated_at) SELECT id, 1, document, created_at, updated_at FROM schemes');
    }

    public function down(): void
    {
        Schema::dropIfExists('scheme_versions');
        Schema::table('schemes', fn (Blueprint $table) => $table->dropColumn('number'));
        Schema::table('sculpts', function (Blueprint $table): void {
            $table->dropForeign(['picture_front']);
            $table->dropForeign(['picture_back']);
            $table->dropColumn(['revision', 'picture_front', 'picture_back']);
        });
        Schema::table('orders', function (Blueprint $table): void {
            $table->dropForeign(['reference']);
            $table->dropColumn(['overrules', 'reference']);
        });
        Schema::dropIfExists('pictures');
        Schema::table('pieces', fn (Blueprint $table) => $table->dropColumn(['lacks', 'edits', 'steps']));
        Schema::table('units', fn (Blueprint $table) => $table->dropColumn(['arrangement', 'variants', 'scheme_number']));
        DB::statement('DELETE FROM amendments WHERE piece_id IS NOT NULL OR (order_id IS NULL AND unit_id IS NULL)');
        DB::statement('ALTER TABLE amendments DROP CONSTRAINT amendments_of');
        Schema::table('amendments', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('piece_id');
            $table->dropColumn('ended_at');
        });
        DB::statement('ALTER TABLE amendments ADD CONSTRAINT amendments_of CHECK ((order_id IS NULL) <> (unit_id IS NULL))');
    }
};
