<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Order;
use App\Models\Piece;
use App\Models\Sculpt;
use App\Models\Unit;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Lists of any length: walked page by page, every row comes once and in its place, whatever is alike or missing. */
final class ListsTest extends StudioTestCase
{
    private const STATUSES = ['draft', 'quoted', 'accepted', 'in_work', 'done', 'delivered', 'closed', 'cancelled'];

    /** @return iterable<string, array{array<string, string>}> */
    public static function asked(): iterable
    {
        yield 'as it comes' => [[]];
        foreach (['due', 'latest', 'client', 'title'] as $sort) {
            yield "sorted by $sort" => [['sort' => $sort]];
        }
        yield 'one state' => [['status' => 'accepted']];
        yield 'one client' => [['client' => 'Ada Fen', 'sort' => 'title']];
        yield 'no day' => [['due' => 'none', 'sort' => 'client']];
        yield 'late' => [['due' => 'late']];
        yield 'within a month' => [['due' => 'month', 'sort' => 'title']];
        yield 'a word with a sign of the database' => [['find' => '50%']];
    }

    /** @param  array<string, string>  $asked */
    #[DataProvider('asked')]
    public function test_every_page_of_the_orders_gives_every_row_once_and_in_order(array $asked): void
    {
        $this->orders(170);
        $rows = $this->walk('desk', 'orders', $asked);
        $ids = array_column($rows, 'id');
        self::assertSame(array_unique($ids), $ids);
        $expected = Order::query()->get()->filter(fn (Order $o) => self::belongs($o, $asked))->pluck('id')->all();
        self::assertEqualsCanonicalizing($expected, $ids);
        self::assertNotSame([], $ids);
        $key = fn (array $row) => match ($asked['sort'] ?? 'due') {
            'due' => [
                in_array($row['status'], ['delivered', 'closed', 'cancelled'], true) ? 1 : 0,
                $row['promised_on'] ?? ($row['due_on'] ?? '9999-12-31'),
                $row['id'],
            ],
            'latest' => [-$row['id']],
            'client' => [self::folded($row['client']), $row['id']],
            default => [self::folded($row['title']), $row['id']],
        };
        $sorted = $rows;
        usort($sorted, fn (array $a, array $b) => $key($a) <=> $key($b));
        self::assertSame(array_column($sorted, 'id'), $ids);
    }

    public function test_rows_that_come_and_go_between_two_pages_neither_double_nor_hide_the_others(): void
    {
        $this->orders(170);
        $first = $this->api('desk', 'GET', 'orders?sort=title', null, 200);
        $seen = array_column($first->json('data'), 'id');
        $before = Order::query()->pluck('id')->all();
        // One that stood on the first page goes to the end, one comes in before everything.
        Order::query()->whereKey($seen[3])->update(['title' => 'zzz']);
        $this->insert(['title' => 'A 0']);
        $rest = $this->walk('desk', 'orders', ['sort' => 'title', 'cursor' => $first->json('next_cursor')]);
        $ids = array_column($rest, 'id');
        self::assertSame([$seen[3]], array_values(array_intersect($ids, $seen)));
        self::assertEqualsCanonicalizing($before, array_unique([...$seen, ...$ids]));
    }

    public function test_bench_and_check_come_page_by_page_by_the_day_they_are_due(): void
    {
        $this->orders(180, units: true);
        foreach (['bench' => ['planned', 'on_bench', 'rework', 'offered'], 'checks' => ['offered', 'rework', 'passed']] as $list => $stages) {
            $rows = $this->walk('lead', $list, []);
            $expected = Piece::query()
                ->whereIn('stage', $stages)
                ->get()
                ->map(fn (Piece $p) => Unit::query()->findOrFail($p->unit_id))
                ->filter(fn (Unit $u) => $list === 'checks' || $u->released_at !== null)
                ->reject(fn (Unit $u) => in_array($u->order->status->value, ['delivered', 'closed', 'cancelled'], true))
                ->pluck('id')
                ->unique();
            self::assertGreaterThan(60, count($rows), 'more than two pages');
            self::assertEqualsCanonicalizing($expected->values()->all(), array_column($rows, 'id'));
            $orders = Unit::query()->pluck('order_id', 'id');
            $due = array_map(fn (array $r) => [$r['due_on'] ?? '9999-12-31', $orders[$r['id']], $r['id']], $rows);
            $sorted = $due;
            sort($sorted);
            self::assertSame($sorted, $due);
        }
    }

    public function test_models_stand_by_their_numbers_whatever_their_stages(): void
    {
        $unit = $this->unit('26-033');
        foreach ([1 => 'signed', 2 => 'passed', 3 => 'lost', 4 => 'planned', 5 => 'offered', 6 => 'on_bench'] as $n => $stage) {
            $unit->pieces()->where('number', $n)->update(['stage' => $stage]);
        }
        $orders = $this->api('desk', 'GET', 'orders', null, 200)->json('data');
        $listed = array_values(array_filter($orders, fn (array $o) => $o['number'] === '26-033'))[0]['units'][0]['pieces'];
        $shown = $this->api('desk', 'GET', "orders/$unit->order_id", null, 200)->json('units.0.pieces');
        foreach ([$listed, $shown] as $pieces) {
            self::assertSame([1, 2, 3, 4, 5, 6], array_column($pieces, 'number'));
        }
        self::assertStringContainsString('order by `number`', $unit->pieces()->toSql());
    }

    /** @return iterable<string, array{string}> */
    public static function forged(): iterable
    {
        yield 'no base64' => ['%%%'];
        yield 'no list' => [base64_encode('{"a":1}')];
        yield 'of another order' => [base64_encode('["orders.title","a",1]')];
        yield 'too short' => [base64_encode('["orders.due",0]')];
        yield 'nested' => [base64_encode('["orders.due",0,["x"],1]')];
        yield 'null' => [base64_encode('["orders.due",0,null,1]')];
        yield 'endless' => [base64_encode('["orders.due",0,"'.str_repeat('9', 2000).'",1]')];
        yield 'empty text' => [base64_encode('""')];
    }

    #[DataProvider('forged')]
    public function test_a_cursor_that_the_list_did_not_give_is_refused(string $cursor): void
    {
        $refused = $this->api('desk', 'GET', 'orders?cursor='.urlencode($cursor), null, 422);
        self::assertSame('/cursor', $refused->json('errors.0.pointer'));
    }

    public function test_values_in_a_cursor_are_only_ever_compared(): void
    {
        $cursor = base64_encode((string) json_encode(['orders.due', 0, "' or 1=1 --", '99999999999999999999999999']));
        $this->api('desk', 'GET', 'orders?cursor='.urlencode($cursor), null, 200);
    }

    public function test_lists_read_no_document_and_ask_as_often_for_a_hundred_rows_as_for_ten(): void
    {
        $asked = function (): array {
            $counts = [];
            foreach (['orders', 'bench', 'checks', 'sign-offs', 'schemes'] as $list) {
                $this->api('lead', 'GET', $list, null, 200);
                DB::flushQueryLog();
                DB::enableQueryLog();
                $this->api('lead', 'GET', $list, null, 200);
                DB::disableQueryLog();
                $counts[$list] = count(DB::getQueryLog());
                foreach (DB::getQueryLog() as $query) {
                    self::assertDoesNotMatchRegularExpression(
                        '/select \* from `(releases|standard_versions|step_logs|sculpts|schemes|units)`/',
                        $query['query'],
                        $list,
                    );
                }
            }

            return $counts;
        };
        $few = $asked();
        $this->orders(100, units: true);
        self::assertSame($few, $asked());
    }

    public function test_a_batch_and_its_marks_ask_as_often_for_forty_models_as_for_two(): void
    {
        $asked = function (int $models): array {
            $order = $this->api('desk', 'POST', 'orders', ['client' => 'A', 'title' => 'B'], 201)->json('id');
            $new = ['sculpt' => 'sluice-warden', 'tier' => 'company', 'count' => $models];
            $unit = $this->api('desk', 'POST', "orders/$order/units", $new, 201)->json('id');
            $release = ['revision' => 1, 'despite' => 'Its colours come later.'];
            $this->api('lead', 'POST', "units/$unit/release", $release, 200);
            $batch = $this->api('painter', 'GET', "bench/$unit", null, 200);
            self::assertCount($models, $batch->json('pieces'));
            $marks = ['pieces' => array_column($batch->json('pieces'), 'id'), 'steps' => $batch->json('passes.0.steps')];

            return array_map($this->queries(...), [
                'mark' => fn () => $this->api('painter', 'POST', 'bench/marks', $marks, 200),
                'batch' => fn () => $this->api('painter', 'GET', "bench/$unit", null, 200),
                'again' => fn () => $this->api('painter', 'POST', 'bench/marks', $marks, 200),
            ]);
        };
        self::assertSame($asked(2), $asked(40));
    }

    public function test_orders_opened_at_once_have_numbers_of_their_own(): void
    {
        $numbers = [];
        for ($i = 0; $i < 20; $i++) {
            $numbers[] = $this->api('desk', 'POST', 'orders', ['client' => 'A', 'title' => "No. $i"], 201)->json('number');
        }
        self::assertCount(20, array_unique($numbers));
        $highest = Order::query()->where('number', 'like', now()->format('y').'-%')->max('number');
        self::assertSame($highest, $numbers[19], 'they go on after those that came in files');
        self::assertSame(19, (int) substr($numbers[19], 3) - (int) substr($numbers[0], 3));
    }

    /**
     * @param  array<string, string|null>  $asked
     * @return list<array<string, mixed>>
     */
    private function walk(string $who, string $list, array $asked): array
    {
        $rows = [];
        for ($pages = 0; $pages < 40; $pages++) {
            $page = $this->api($who, 'GET', "$list?".http_build_query($asked), null, 200);
            array_push($rows, ...$page->json('data'));
            if ($page->json('next_cursor') === null) {
                return $rows;
            }
            $asked['cursor'] = $page->json('next_cursor');
        }
        self::fail("$list does not end");
    }

    private function orders(int $many, bool $units = false): void
    {
        $random = new Randomizer(new Mt19937(7));
        $pick = fn (array $of) => $of[$random->getInt(0, count($of) - 1)];
        $days = [null, null, self::today()->subDays(3), self::today(), self::today()->addDays(2), self::today()->addDays(20)];
        for ($i = 0; $i < $many; $i++) {
            $order = $this->insert([
                'client' => $pick(['Ada Fen', 'ada fen', 'Bo Marsh', 'Zoe Ålund']),
                'title' => $pick(['Reeds', 'reeds', 'A 50% wave', 'A 501 wave', 'Öre']),
                'status' => $pick(self::STATUSES),
                'due_on' => $pick($days)?->format('Y-m-d'),
                'promised_on' => $pick($days)?->format('Y-m-d'),
            ]);
            if ($units) {
                $unit = Unit::query()->create([
                    'order_id' => $order,
                    'sculpt_id' => Sculpt::query()->value('id'),
                    'tier' => 'company',
                    'released_at' => $pick([null, now(), now()]),
                ]);
                foreach ([1, 2] as $number) {
                    Piece::query()->create([
                        'unit_id' => $unit->id,
                        'number' => $number,
                        'code' => sprintf('L%05d', 2 * $i + $number),
                        'stage' => $pick(['planned', 'on_bench', 'offered', 'passed', 'signed', 'cancelled']),
                    ]);
                }
            }
        }
    }

    /** @param  array<string, mixed>  $facts */
    private function insert(array $facts): int
    {
        static $number = 0;

        return Order::query()->create($facts + [
            'number' => '97-'.++$number,
            'client' => 'Ada Fen',
            'title' => 'Reeds',
            'status' => 'draft',
            'standard_version_id' => Order::query()->value('standard_version_id'),
        ])->id;
    }

    /** As the database sorts texts (utf8mb4_unicode_ci): letters without their case and accents. */
    private static function folded(string $text): string
    {
        return strtr(mb_strtolower($text), ['ö' => 'o', 'å' => 'a']);
    }

    /** @param  array<string, string>  $asked */
    private static function belongs(Order $order, array $asked): bool
    {
        $promised = $order->promised_on?->format('Y-m-d');
        $due = $promised ?? $order->due_on?->format('Y-m-d');
        $today = self::today()->format('Y-m-d');
        $open = ! in_array($order->status->value, ['done', 'delivered', 'closed', 'cancelled'], true);

        return (! isset($asked['status']) || $order->status->value === $asked['status'])
            && (! isset($asked['client']) || mb_strtolower($order->client) === mb_strtolower($asked['client']))
            && (! isset($asked['find']) || str_contains($order->title, $asked['find']))
            && match ($asked['due'] ?? null) {
                'none' => $due === null,
                'late' => $open && $promised !== null && $promised < $today,
                'month' => $due !== null && $due >= $today && $due <= self::today()->addDays(30)->format('Y-m-d'),
                default => true,
            };
    }
}
