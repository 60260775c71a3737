<?php

declare(strict_types=1);

use App\Models\User;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Tokens as Laravel Sanctum keeps them, with a last day. Those that were made before go on for ninety days. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::rename('access_tokens', 'personal_access_tokens');
        Schema::table('personal_access_tokens', function (Blueprint $table): void {
            $table->renameColumn('user_id', 'tokenable_id');
            $table->renameColumn('hash', 'token');
            $table->string('tokenable_type', 100)->default(User::class)->after('id');
            $table->timestamp('expires_at', 3)->nullable()->after('last_used_at');
        });
        DB::table('personal_access_tokens')->update(['expires_at' => now()->addDays(90)]);
    }

    public function down(): void
    {
        Schema::table('personal_access_tokens', function (Blueprint $table): void {
            $table->dropColumn(['tokenable_type', 'expires_at']);
            $table->renameColumn('token', 'hash');
            $table->renameColumn('tokenable_id', 'user_id');
        });
        Schema::rename('personal_access_tokens', 'access_tokens');
    }
};
