<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Photographs of a figure in undercoat or bare, what a measured one is compared with, a unit's test model, and details
 * kept as examples of a tier.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('photographs', function (Blueprint $table): void {
            $table->foreignId('piece_id')->nullable()->change();
            $table->foreignId('sculpt_id')->nullable()->after('piece_id')->constrained()->restrictOnDelete();
            $table->enum('shows', ['painted', 'undercoated', 'bare'])->default('painted')->after('view');
            $table->mediumText('reference')->nullable()->after('measures')->comment('the drawn plan, measured likewise');
            $table->unsignedInteger('revision')->default(0)->after('said');
        });
        Schema::table('pictures', function (Blueprint $table): void {
            $table->boolean('is_drawn')->default(false)->comment('of the booth, whatever it is used as');
        });
        Schema::table('units', function (Blueprint $table): void {
            $table->foreignId('test_piece_id')->nullable()->constrained('pieces')->restrictOnDelete();
        });
        Schema::create('examples', function (Blueprint $table): void {
            $table->id();
            $table->string('tier', 64);
            $table->string('material', 32);
            $table->string('area', 100)->comment('its name on the figure');
            $table->char('sha256', 64);
            $table->foreign('sha256')->references('sha256')->on('pictures')->restrictOnDelete();
            $table->foreignId('photograph_id')->constrained()->cascadeOnDelete();
            $table->foreignId('made_by')->constrained('users')->restrictOnDelete();
            $table->timestamps(3);
            $table->unique(['tier', 'photograph_id', 'area']);
        });
        // What was measured before has no colours: it is measured anew when its outlines are laid again.
        DB::table('photographs')->update(['measures' => null, 'state' => 'kept']);
    }

    public function down(): void
    {
        Schema::dropIfExists('examples');
        Schema::table('units', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('test_piece_id');
        });
        Schema::table('pictures', fn (Blueprint $table) => $table->dropColumn('is_drawn'));
        DB::table('photographs')->whereNull('piece_id')->delete();
        Schema::table('photographs', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('sculpt_id');
            $table->dropColumn(['shows', 'reference', 'revision']);
            $table->foreignId('piece_id')->nullable(false)->change();
        });
    }
};
