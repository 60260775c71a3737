<?php

declare(strict_types=1);

namespace Tests\Load;

use App\Actions\Bench\WorkOnPieces;
use App\Actions\Orders\AddUnit;
use App\Actions\Orders\OpenOrder;
use App\Actions\Plan\PlanUnit;
use App\Models\Sculpt;
use App\Models\SignOff;
use App\Models\User;
use App\Repositories\Releases;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Foundation\Chain;

/** Makes a studio of many years out of the demo: every order of it, with all that hangs on it, many times over. */
final class Scale
{
    /** What hangs on an order, with the columns that hold another row's number: [column => its table]. */
    private const TABLES = [
        'orders' => [],
        'units' => ['order_id' => 'orders'],
        'pieces' => ['unit_id' => 'units'],
        'amendments' => ['order_id' => 'orders', 'unit_id' => 'units', 'piece_id' => 'pieces'],
        'releases' => ['unit_id' => 'units'],
        'step_logs' => ['piece_id' => 'pieces', 'undoes' => 'step_logs', 'undone_by' => 'step_logs'],
        'checks' => ['piece_id' => 'pieces', 'release_id' => 'releases'],
        'answers' => ['check_id' => 'checks'],
        'faults' => ['check_id' => 'checks'],
        'activities' => [],
    ];

    /** A studio's largest orders: units of so many models, with so many steps done on each. */
    private const LARGE = ['units' => 3, 'models' => 57, 'steps' => 6];

    public function __construct(
        private readonly OpenOrder $open,
        private readonly AddUnit $add,
        private readonly PlanUnit $plan,
        private readonly WorkOnPieces $work,
        private readonly Releases $releases,
    ) {
    }

    public function grow(int $copies): void
    {
        $last = self::last();
        $this->largeOrder();
        $shift = array_map(fn (int $id) => $id + 1, self::last());
        $signed = SignOff::query()->with('pieces')->orderBy('number')->get();
        for ($copy = 1; $copy < $copies; $copy++) {
            DB::transaction(function () use ($copy, $shift, $last, $signed): void {
                foreach (self::TABLES as $table => $of) {
                    $this->copy($table, $of, $copy, $shift, $last[$table]);
                }
                // The answers of a check that is closed can no longer be written, so it is closed after them.
                DB::update("update checks join checks as first on checks.id = first.id + {$copy} * {$shift['checks']}
                    set checks.verdict = first.verdict, checks.closed_at = first.closed_at");
                foreach ($signed as $signOff) {
                    $this->sign($signOff, $copy * $shift['pieces']);
                }
            });
        }
        DB::select('analyze table '.implode(', ', array_keys(self::TABLES)));
    }

    /** Beside the copies, once. */
    private function largeOrder(): void
    {
        Auth::setUser(User::query()->where('role', 'lead')->firstOrFail());
        $sculpt = Sculpt::query()->where('slug', 'sluice-warden')->firstOrFail();
        $order = ($this->open)('The Fen Library', 'Everything for the long table', null, '2027-03-01', null);
        for ($i = 0; $i < self::LARGE['units']; $i++) {
            $unit = ($this->add)($order, $sculpt, 'company', self::LARGE['models'], null)->refresh();
            $this->plan->release($unit, $unit->revision, 'Its colours come later');
            $pieces = array_values($unit->pieces()->pluck('id')->map(intval(...))->all());
            $steps = array_keys($this->releases->of($unit)->steps());
            $steps = array_slice(array_map(strval(...), $steps), 0, self::LARGE['steps']);
            $this->work->mark($pieces, $steps);
        }
    }

    /**
     * @param  array<string, string>  $of
     * @param  array<string, int>  $shift
     * @param  int  $last  of the rows that are copied
     */
    private function copy(string $table, array $of, int $copy, array $shift, int $last): void
    {
        $into = $from = [];
        $columns = DB::select('select column_name as name from information_schema.columns where table_schema = database()
            and table_name = ? and generation_expression is null', [$table]);
        foreach (array_column($columns, 'name') as $name) {
            $into[] = "`$name`";
            $from[] = match (true) {
                $name === 'id' => 'id + '.$copy * $shift[$table],
                isset($of[$name]) => "`$name` + ".$copy * $shift[$of[$name]],
                default => $this->own($table, $name, $copy, $shift),
            };
        }
        DB::insert("insert into $table (".implode(', ', $into).')
            select '.implode(', ', $from)." from $table where id <= $last");
    }

    /** @return array<string, int> the last row of each table */
    private static function last(): array
    {
        $tables = array_keys(self::TABLES);

        return array_combine($tables, array_map(fn (string $table) => (int) DB::table($table)->max('id'), $tables));
    }

    /** @param  array<string, int>  $shift */
    private function own(string $table, string $column, int $copy, array $shift): string
    {
        return match ("$table.$column") {
            'orders.number' => "concat('26-', 1000 + id + ".$copy * $shift['orders'].')',
            'orders.title' => "concat(title, ' ', ".($copy + 1).')',
            'orders.due_on' => 'due_on + interval '.$copy % 90 .' day',
            'pieces.code' => "concat(left(code, 5), lpad(conv($copy, 10, 36), 2, '0'))",
            'checks.verdict', 'checks.closed_at' => 'null',
            'step_logs.done_at' => 'done_at - interval '.$copy.' day',
            'activities.at' => 'at - interval '.$copy.' day',
            default => "`$column`",
        };
    }

    /** A sign-off like another, of the copied pieces, at the end of the chain. */
    private function sign(SignOff $like, int $shift): void
    {
        $last = SignOff::query()->orderByDesc('number')->firstOrFail();
        $body = (array) json_decode($like->record, true);
        unset($body['previous']);
        $number = $last->number + 1;
        $link = Chain::link($number, $last->hash, ['number' => $number] + $body);
        $made = SignOff::query()->create([
            'number' => $number,
            'kind' => $like->kind,
            'previous' => $last->hash,
            'hash' => $link->hash,
            'record' => $link->record,
            'user_id' => $like->user_id,
            'signed_at' => $like->signed_at,
        ]);
        $made->pieces()->attach($like->pieces->map(fn ($piece) => $piece->id + $shift)->all());
    }
}
