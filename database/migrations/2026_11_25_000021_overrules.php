<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What an order sets aside stood as one list in the order's row, so that of two units written at once one was lost, and
 * was taken away by its place. Each is a row of its own now, known by its id. It comes before the releases, which are
 * made by today's code where a studio of before has none.
 */
return new class extends Migration
{
    private const FACTS = ['rule', 'earlier', 'later', 'reason', 'by'];

    public function up(): void
    {
        Schema::create('overrules', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_id')->constrained()->restrictOnDelete();
            $table->string('rule', 40);
            $table->string('earlier', 190);
            $table->string('later', 190);
            $table->string('reason', 500);
            $table->string('by')->comment('whoever said so, as they were called then');
            $table->timestamp('said_at', 3);
            $table->unique(['order_id', 'rule', 'earlier', 'later']);
        });
        foreach (DB::table('orders')->whereNotNull('overrules')->get(['id', 'overrules']) as $order) {
            foreach (json_decode((string) $order->overrules, true) ?: [] as $one) {
                $between = ['order_id' => $order->id] + array_intersect_key($one, array_flip(['rule', 'earlier', 'later']));
                DB::table('overrules')->updateOrInsert($between, [
                    'reason' => $one['reason'],
                    'by' => $one['by'],
                    'said_at' => (new DateTimeImmutable($one['at']))->format('Y-m-d H:i:s.v'),
                ]);
            }
        }
        Schema::table('orders', fn (Blueprint $table) => $table->dropColumn('overrules'));
    }

    public function down(): void
    {
        Schema::table('orders', fn (Blueprint $table) => $table->text('overrules')->nullable()->after('method'));
        foreach (DB::table('overrules')->orderBy('id')->get()->groupBy('order_id') as $order => $rows) {
            $list = $rows->map(fn (stdClass $r) => array_intersect_key((array) $r, array_flip(self::FACTS)) + [
                'at' => (new DateTimeImmutable($r->said_at))->format('Y-m-d\TH:i:s\Z'),
            ]);
            DB::table('orders')->where('id', $order)->update(['overrules' => json_encode($list->all(), JSON_THROW_ON_ERROR)]);
        }
        Schema::drop('overrules');
    }
};
