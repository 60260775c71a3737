<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who holds a check, which look an answer was given by, where a fault lies, and what a lead or a client said to it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('checks', function (Blueprint $table): void {
            $table->foreignId('held_by')->nullable()->after('opened_by')->constrained('users')->restrictOnDelete();
            $table->timestamp('held_until', 3)->nullable()->after('held_by');
            $table->string('consent', 1000)->nullable()->after('reason')->comment('who agreed for the client, and how');
        });
        Schema::table('answers', function (Blueprint $table): void {
            $table->string('look', 40)->nullable()->after('note')->comment('the look it was given for as a whole');
        });
        Schema::table('faults', function (Blueprint $table): void {
            $table->string('pin', 120)->nullable()->after('area')->comment('where it lies: view, and parts of the frame');
            $table->string('overruled', 1200)->nullable()->after('why')->comment('what it was, who said otherwise, why');
        });
    }

    public function down(): void
    {
        Schema::table('faults', fn (Blueprint $table) => $table->dropColumn(['pin', 'overruled']));
        Schema::table('answers', fn (Blueprint $table) => $table->dropColumn('look'));
        Schema::table('checks', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('held_by');
            $table->dropColumn(['held_until', 'consent']);
        });
    }
};
