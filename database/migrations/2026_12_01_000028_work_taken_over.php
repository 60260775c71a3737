<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Work that was done before the studio kept its log here. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('step_logs', function (Blueprint $table): void {
            $table->boolean('taken_over')->default(false)->comment('done before it was logged here; teaches no minutes');
        });
    }

    public function down(): void
    {
        Schema::table('step_logs', fn (Blueprint $table) => $table->dropColumn('taken_over'));
    }
};
