<?php

declare(strict_types=1);

namespace Tests\Load;

use Generator;
use GuzzleHttp\Client;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\Promise\Coroutine;
use GuzzleHttp\Promise\PromiseInterface;
use PDO;
use PDOException;
use Random\Engine\Mt19937;
use Random\Randomizer;
use RuntimeException;
use Throwable;

/**
 * Kills processes of a running studio at random moments while people write, and then counts what was written against
 * what had been acknowledged. Only for a copy that holds nothing but the demo.
 */
final class Chaos
{
    /** Tries to read from the database by hand, and microseconds between them: ten seconds in all. */
    private const READ_TRIES = 100;

    private const READ_PAUSE = 100_000;

    /** What is killed: [service, whether one of its workers instead of itself]. */
    private const TARGETS = [
        ['mariadb', false], ['php', false], ['php', true], ['nginx', false], ['nginx', true], ['queue', false],
    ];

    private const LOST_SECONDS = 60.0;

    /** @var array<int, array{count: int, units: int, revision: int}> what was acknowledged of each order, by id */
    private array $orders = [];

    /** @var array<string, array{marks: int, undone: int}> by piece and step */
    private array $marks = [];

    private int $signed = 0;

    private int $answers = 0;

    private int $writes = 0;

    private bool $ending = false;

    /** @var list<string> */
    private array $wrong = [];

    private readonly Client $client;

    private readonly CurlMultiHandler $handler;

    private readonly Randomizer $random;

    public function __construct(
        private readonly string $root,
        private readonly string $url,
        int $seed,
        private readonly float $backSeconds,
    ) {
        $this->handler = new CurlMultiHandler(['select_timeout' => 0.02]);
        $this->client = Person::client($url, $this->handler);
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return list<string> what went wrong: nothing, if all is well */
    public function run(int $kills): array
    {
        $before = $this->counts();
        $writers = [
            $this->writer('desk@heron-lane.example', $this->takesOrders(...)),
            $this->writer('painter@heron-lane.example', fn (Person $p) => $this->paints($p, 0)),
            $this->writer('odo@heron-lane.example', fn (Person $p) => $this->paints($p, 1)),
            $this->writer('lead@heron-lane.example', $this->checksAndSigns(...)),
        ];
        $back = $this->until($this->kills($kills));
        $this->ending = true;
        foreach ($writers as $writer) {
            $this->until($writer);
        }
        $this->compare($before);
        sort($back);
        printf(
            "%d kills, %d writes acknowledged; back after %.2f s (median), %.2f s (longest)\n",
            $kills,
            $this->writes,
            $back[intdiv(count($back), 2)] ?? 0,
            $back === [] ? 0 : max($back),
        );

        return $this->wrong;
    }

    private function until(PromiseInterface $promise): mixed
    {
        while ($promise->getState() === PromiseInterface::PENDING) {
            Person::turn($this->handler);
        }

        return $promise->wait();
    }

    // --- Kills -------------------------------------------------------------------------------------------------------

    /** @return PromiseInterface of list<float>: seconds until everything was back */
    private function kills(int $kills): PromiseInterface
    {
        return Coroutine::of(function () use ($kills): Generator {
            $back = [];
            for ($i = 0; $i < $kills; $i++) {
                yield $this->rest($this->random->getInt(50, 900));
                // Each in turn first, so that none is left out of a short run.
                [$name, $worker] = self::TARGETS[
                    $i < count(self::TARGETS) ? $i : $this->random->getInt(0, count(self::TARGETS) - 1)
                ];
                while (! (yield $this->isBack($name, 0))) {
                    yield $this->rest(50); // the worker may just have left a database that was lost
                }
                $old = $this->pid($name);
                $victim = $worker ? $this->workerOf($old) : $old;
                $since = hrtime(true);
                if ($victim < 2 || ! posix_kill($victim, SIGKILL)) {
                    throw new RuntimeException("there was no $name to kill");
                }
                do {
                    yield $this->rest(20);
                    $seconds = (hrtime(true) - $since) / 1e9;
                } while (! (yield $this->isBack($name, $worker ? 0 : $old)) && $seconds < self::LOST_SECONDS);
                $back[] = $seconds;
                if ($seconds > $this->backSeconds) {
                    $this->wrong[] = sprintf('kill %d: %s was back only after %.1f s', $i + 1, $name, $seconds);
                }
            }

            return yield $back;
        });
    }

    /** @return PromiseInterface of bool */
    private function isBack(string $name, int $old): PromiseInterface
    {
        return Coroutine::of(function () use ($name, $old): Generator {
            try {
                $health = yield $this->client->getAsync("$this->url/up", ['timeout' => 2]);
            } catch (Throwable) {
                return yield false;
            }
            $alive = fn (string $one) => $this->pid($one) !== ($one === $name ? $old : 0) && posix_kill($this->pid($one), 0);
            $all = array_unique(array_column(self::TARGETS, 0));

            return yield $health->getStatusCode() === 200 && array_filter($all, $alive) === $all;
        });
    }

    private function workerOf(int $master): int
    {
        $workers = array_map(intval(...), explode("\n", trim((string) shell_exec("pgrep -P $master"))));

        return $workers[$this->random->getInt(0, count($workers) - 1)];
    }

    private function pid(string $name): int
    {
        return (int) @file_get_contents("$this->root/var/run/$name.pid");
    }

    /** @return PromiseInterface of nothing, after so many milliseconds */
    private function rest(int $ms): PromiseInterface
    {
        return $this->client->getAsync("$this->url/mark.svg", ['delay' => $ms, 'timeout' => 2])->otherwise(fn () => null);
    }

    // --- People who write --------------------------------------------------------------------------------------------

    /** @param  callable(Person): Generator  $work */
    private function writer(string $email, callable $work): PromiseInterface
    {
        return Coroutine::of(function () use ($email, $work): Generator {
            $person = new Person($this->client, $email);
            yield $person->signIn();
            yield from $work($person);
        });
    }

    /** @param  array<string, mixed>|null  $body */
    private function write(Person $person, string $method, string $path, ?array $body = null): PromiseInterface
    {
        return $person->answered($method, $path, $body)->then(function ($answer) use ($method, $path): array {
            if ($answer->getStatusCode() >= 300) {
                throw new RuntimeException("$method $path: ".$answer->getStatusCode().' '.$answer->getBody());
            }
            $this->writes++;

            return Person::read($answer);
        });
    }

    private function takesOrders(Person $desk): Generator
    {
        for ($n = 1; ! $this->ending; $n++) {
            $title = "Wave $n";
            $order = yield $this->write($desk, 'POST', 'orders', [
                'client' => 'Ada Fen', 'title' => $title, 'due_on' => '2030-01-31', 'brief' => null,
            ]);
            $this->orders[$order['id']] = ['count' => 0, 'units' => 0, 'revision' => $order['revision']];
            yield $this->write($desk, 'POST', "orders/{$order['id']}/units", [
                'sculpt' => 'sluice-warden', 'tier' => 'company', 'count' => 3,
            ]);
            $this->orders[$order['id']] = ['count' => 3, 'units' => 1, 'revision' => $order['revision']];
            for ($i = 0; $i < 2; $i++) {
                $kept = yield $this->write($desk, 'PUT', "orders/{$order['id']}", [
                    'revision' => $this->orders[$order['id']]['revision'], 'title' => "$title, $i",
                ]);
                if ($kept['revision'] !== $this->orders[$order['id']]['revision'] + 1) {
                    $this->wrong[] = "order $title was changed twice";
                }
                $this->orders[$order['id']]['revision'] = $kept['revision'];
            }
        }
    }

    private function paints(Person $painter, int $turn): Generator
    {
        $unit = (int) $this->value("select unit_id from pieces join units on units.id = unit_id
            where stage in ('planned', 'on_bench') and released_at is not null
            group by unit_id order by count(*) desc, unit_id limit 1");
        $answer = yield $painter->answered('GET', "bench/$unit");
        if ($answer->getStatusCode() !== 200) {
            throw new RuntimeException("GET bench/$unit: {$answer->getStatusCode()} {$answer->getBody()}");
        }
        $batch = Person::read($answer);
        $atWork = fn (array $p) => in_array($p['stage'], ['planned', 'on_bench'], true);
        ['id' => $piece, 'done' => $done] = array_values(array_filter($batch['pieces'], $atWork))[$turn];
        $open = array_diff(array_merge(...array_column($batch['passes'], 'steps')), $done);
        $step = array_values($open)[0] ?? throw new RuntimeException('there is nothing to paint');
        $this->marks["$piece $step"] = ['marks' => 0, 'undone' => 0];
        while (! $this->ending) {
            yield $this->write($painter, 'POST', 'bench/marks', ['pieces' => [$piece], 'steps' => [$step]]);
            $this->marks["$piece $step"]['marks']++;
            yield $this->write($painter, 'DELETE', 'bench/marks', ['pieces' => [$piece], 'steps' => [$step]]);
            $this->marks["$piece $step"]['undone']++;
        }
    }

    private function checksAndSigns(Person $lead): Generator
    {
        $number = (int) $this->value("select max(number) from sign_offs where kind = 'sign_off'");
        $piece = (int) $this->value("select piece_id from sign_off_pieces join sign_offs on sign_offs.id = sign_off_id
            where number = $number limit 1");
        $all = array_map(intval(...), $this->column("select piece_id from sign_off_pieces join sign_offs on
            sign_offs.id = sign_off_id where number = $number"));
        while (! $this->ending) {
            yield $this->write($lead, 'POST', "sign-offs/$number/withdrawal", ['reason' => 'Another look']);
            $this->signed++;
            foreach ($all as $piece) {
                $check = yield $this->write($lead, 'POST', "pieces/$piece/check");
                foreach ($check['questions'] as $question) {
                    yield $this->write($lead, 'PUT', "checks/{$check['id']}/answers", [
                        'question' => $question['key'], 'answer' => 'yes',
                    ]);
                    $this->answers++;
                }
                yield $this->write($lead, 'POST', "checks/{$check['id']}/verdict", ['verdict' => 'passed']);
            }
            $number = (yield $this->write($lead, 'POST', 'sign-offs', ['pieces' => $all]))['number'];
            $this->signed++;
        }
    }

    // --- What is there afterwards ------------------------------------------------------------------------------------

    /** @return array{orders: int, units: int, sign_offs: int, answers: int} */
    private function counts(): array
    {
        return array_map(fn (string $table) => (int) $this->value("select count(*) from $table"), [
            'orders' => 'orders', 'units' => 'units', 'sign_offs' => 'sign_offs', 'answers' => 'answers',
        ]);
    }

    /** @param  array{orders: int, units: int, sign_offs: int, answers: int}  $before */
    private function compare(array $before): void
    {
        $after = $this->counts();
        $expected = [
            'orders' => $before['orders'] + count($this->orders),
            'units' => $before['units'] + array_sum(array_column($this->orders, 'units')),
            'sign_offs' => $before['sign_offs'] + $this->signed,
            'answers' => $before['answers'] + $this->answers,
        ];
        foreach ($expected as $what => $count) {
            if ($after[$what] !== $count) {
                $this->wrong[] = "$what: $count were acknowledged, {$after[$what]} are there";
            }
        }
        foreach ($this->orders as $id => $order) {
            $pieces = (int) $this->value("select count(*) from pieces join units on units.id = unit_id where order_id = $id");
            $revision = (int) $this->value("select revision from orders where id = $id");
            $told = (int) $this->value("select count(*) from activities where subject = 'orders' and subject_id = $id
                and action = 'order.created'");
            if ([$pieces, $revision, $told] !== [$order['count'], $order['revision'], 1]) {
                $this->wrong[] = "order $id: $pieces models, revision $revision, told $told times of its opening";
            }
        }
        foreach ($this->marks as $place => ['marks' => $marks, 'undone' => $undone]) {
            [$piece, $step] = explode(' ', $place, 2);
            $rows = fn (string $which) => (int) $this->value("select count(*) from step_logs
                where piece_id = $piece and step = '$step' and $which");
            $found = [$rows('undoes is null'), $rows('undoes is not null'), $rows('undone_by is not null')];
            if ($found !== [$marks, $undone, $undone]) {
                $this->wrong[] = "$place: marked $marks times, found ".implode(', ', $found);
            }
        }
        $half = (int) $this->value('select count(*) from answered_writes where status is null');
        if ($half > 0) {
            $this->wrong[] = "$half writes are kept without an answer";
        }
        exec(escapeshellarg(PHP_BINARY).' '.escapeshellarg("$this->root/artisan").' ordotype:verify', $lines, $code);
        if ($code !== 0) {
            $this->wrong[] = implode(' ', $lines);
        }
    }

    private function value(string $sql): mixed
    {
        return $this->column($sql)[0] ?? null;
    }

    /** @return list<mixed> */
    private function column(string $sql): array
    {
        $given = parse_ini_file("$this->root/.env", false, INI_SCANNER_RAW) ?: [];
        // The database may just have been killed: how soon it must be back is judged elsewhere.
        for ($left = self::READ_TRIES; ; $left--) {
            try {
                $database = new PDO(
                    "mysql:host=127.0.0.1;port={$given['DB_PORT']};dbname={$given['DB_DATABASE']}",
                    $given['DB_USERNAME'],
                    $given['DB_PASSWORD'],
                );

                return array_values($database->query($sql)?->fetchAll(PDO::FETCH_COLUMN) ?: []);
            } catch (PDOException $e) {
                if ($left === 0) {
                    throw $e;
                }
                usleep(self::READ_PAUSE);
            }
        }
    }
}
