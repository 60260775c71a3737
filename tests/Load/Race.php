<?php

declare(strict_types=1);

namespace Tests\Load;

use Generator;
use GuzzleHttp\Client;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\Promise\Utils;
use PDO;
use Psr\Http\Message\ResponseInterface;

/**
 * Writes that must happen once, each sent many times at the same moment: with one key, as a browser sends what was not
 * answered, and with a key each, as many people who press at once. What is there afterwards is counted in the database.
 */
final class Race
{
    private readonly Client $client;

    private readonly CurlMultiHandler $handler;

    private readonly PDO $rows;

    /** @var array<string, Person> */
    private array $people = [];

    public function __construct(string $url, string $root, private readonly int $atOnce)
    {
        $this->handler = new CurlMultiHandler(['select_timeout' => 0.01, 'options' => [CURLMOPT_MAX_HOST_CONNECTIONS => 60]]);
        $this->client = Person::client($url, $this->handler, 60);
        $given = parse_ini_file("$root/.env", false, INI_SCANNER_RAW) ?: [];
        $this->rows = new PDO(
            "mysql:host=127.0.0.1;port={$given['DB_PORT']};dbname={$given['DB_DATABASE']}",
            $given['DB_USERNAME'],
            $given['DB_PASSWORD'],
        );
    }

    /** @return Generator<string, string|null> by what was tried: what is wrong; null: nothing */
    public function run(): Generator
    {
        foreach (['lead', 'desk', 'painter', 'odo'] as $who) {
            $this->people[$who] = new Person($this->client, "$who@heron-lane.example");
            $this->wait([$this->people[$who]->signIn()]);
        }
        $unit = $this->one("select u.id from units u join orders o on o.id = u.order_id where o.number = '26-041' order by u.id limit 1");
        $order = $this->one("select id from orders where number = '26-041'");
        $painter = $this->one("select id from users where email = 'painter@heron-lane.example'");
        $count = fn (string $sql) => fn () => $this->one("select count(*) from $sql");

        yield from $this->both('an order', 'desk', 'POST', 'orders', ['client' => 'A', 'title' => 'Race'], $count("orders where title = 'Race'"), null);
        yield from $this->both('a unit', 'desk', 'POST', "orders/$order/units", ['sculpt' => 'mudlark', 'tier' => 'muster', 'count' => 2, 'label' => 'Race'], $count("units where label = 'Race'"), null);
        yield from $this->both('a link for a person', 'lead', 'POST', "people/$painter/link", null, $count("invitations where user_id = $painter and used_at is null and withdrawn_at is null"), 1, standing: true);
        yield from $this->both('a link for a client', 'desk', 'POST', "orders/$order/links", null, $count("share_links where what = 'order' and withdrawn_at is null and json_value(shows, '$.order') = $order"), 1, standing: true);
        yield from $this->both('a draft', 'lead', 'POST', 'standard/draft', null, $count("standard_versions where status = 'draft'"), 1, standing: true);
        // An order is moved, paid, asked about and sent a parcel by two people who do not know of each other.
        $draft = $this->one("select o.id from orders o join units u on u.order_id = o.id where o.status = 'draft' order by o.id limit 1");
        $seen = $this->one("select revision from orders where id = $draft");
        $moves = $count("order_moves where order_id = $draft and to_status = 'quoted'");
        yield from $this->both('a quote', 'desk', 'POST', "orders/$draft/moves", ['revision' => $seen, 'to' => 'quoted'], $moves, 1);
        $seen = $this->one("select revision from orders where id = $draft");
        $plan = ['revision' => $seen, 'payments' => [['when' => 'on_acceptance', 'percent' => 30], ['when' => 'before_sending', 'percent' => 70]]];
        yield from $this->both('payments', 'desk', 'PUT', "orders/$draft/payments", $plan, $count("order_payments where order_id = $draft"), 2);
        yield from $this->both('a question', 'desk', 'POST', "orders/$draft/questions", ['text' => 'Race?', 'blocks' => false], $count("questions where text = 'Race?'"), null);
        yield from $this->both('a parcel', 'desk', 'POST', "orders/$draft/parcels", ['direction' => 'in', 'on_day' => '2026-12-01', 'way' => 'Race', 'pieces' => [], 'reason' => ''], $count("parcels where way = 'Race'"), null);
        yield from $this->accepts($draft, $count("order_moves where order_id = $draft and to_status = 'accepted'"));
        $revision = $this->one("select revision from units where id = $unit");
        yield from $this->both('a release', 'lead', 'POST', "units/$unit/release", ['revision' => $revision, 'despite' => 'Race.'], $count("releases where unit_id = $unit"), 1);
        $hand = ['user' => $painter, 'from' => '09:00', 'to' => '15:00', 'days' => [1, 2, 3, 4, 5], 'largest' => null];
        $batch = ['name' => 'Race', 'units' => [$unit], 'painters' => [$hand], 'starts_at' => gmdate('Y-m-d\TH:i:s\Z'), 'guns' => 1, 'fan' => false];
        yield from $this->both('a batch', 'lead', 'POST', 'batches', $batch, $count("batches where name = 'Race'"), 1);
        $pieces = $this->all("select id from pieces where unit_id = $unit order by number limit 3");
        $step = json_decode((string) $this->answer('painter', 'GET', "bench/$unit")->getBody(), true)['passes'][0]['steps'][0] ?? null;
        $marks = ['pieces' => $pieces, 'steps' => [$step]];
        yield from $this->both('marks', 'painter', 'POST', 'bench/marks', $marks, $count('step_logs where undone_by is null and undoes is null and piece_id in ('.implode(',', $pieces).')'), count($pieces));
        $offered = $this->one("select id from pieces where stage = 'offered' order by id limit 1");
        yield from $this->both('a check', 'lead', 'POST', "pieces/$offered/check", null, $count("checks where piece_id = $offered and closed_at is null"), 1, standing: true);
        $passed = $this->one("select id from pieces where stage = 'passed' order by id limit 1");
        yield from $this->both('a sign-off', 'lead', 'POST', 'sign-offs', ['pieces' => [$passed]], $count("sign_off_pieces where piece_id = $passed"), 1);
        $number = $this->one('select max(number) from sign_offs');
        yield from $this->both('a withdrawal', 'lead', 'POST', "sign-offs/$number/withdrawal", ['reason' => 'Race.'], $count("sign_off_pieces where piece_id = $passed"), 1);
        foreach ([true, false] as $oneKey) {
            $photograph = $this->photograph($offered, $painter);
            yield from $this->race('a photograph removed', $oneKey, 'painter', 'DELETE', "photographs/$photograph", null, $count("activities where action = 'photograph.removed' and subject_id = $photograph"), 1);
        }
        yield from $this->both('a new password', 'painter', 'PUT', 'account/password', ['current' => 'tidemark', 'password' => 'lantern gravel otter'], $count("activities where action = 'person.password'"), 1);
    }

    /**
     * A client says yes by their page, many times at once: nobody is signed in, and no key tells them apart.
     *
     * @param  callable(): int  $count
     * @return Generator<string, string|null>
     */
    private function accepts(int $order, callable $count): Generator
    {
        $made = json_decode((string) $this->answer('desk', 'POST', "orders/$order/links")->getBody(), true);
        $this->people['client'] = new Person($this->client, '');
        $this->answer('client', 'GET', 'session');
        $number = $this->one("select max(number) from quotes where order_id = $order");
        $yes = ['version' => $number, 'yes' => true, 'name' => 'Race', 'ticks' => [], 'of_age' => true];
        $path = 'for-you/'.basename((string) ($made['path'] ?? '')).'/answer';
        yield from $this->race('a yes by a page', true, 'client', 'POST', $path, $yes, $count, 1);
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @param  callable(): int  $count
     * @param  int|null  $more  rows that may come with a key each; null: as many as asked
     * @param  bool  $standing  whether there is never more than that, whatever is asked
     * @return Generator<string, string|null>
     */
    private function both(
        string $what,
        string $who,
        string $method,
        string $path,
        ?array $body,
        callable $count,
        ?int $more,
        bool $standing = false,
    ): Generator {
        yield from $this->race($what, true, $who, $method, $path, $body, $count, $more ?? 1, $standing);
        yield from $this->race($what, false, $who, $method, $path, $body, $count, $more === null ? $this->atOnce : ($standing ? $more : 0), $standing);
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @param  callable(): int  $count
     * @return Generator<string, string|null>
     */
    private function race(
        string $what,
        bool $oneKey,
        string $who,
        string $method,
        string $path,
        ?array $body,
        callable $count,
        int $more,
        bool $standing = false,
    ): Generator {
        $before = $standing ? 0 : $count();
        $key = bin2hex(random_bytes(8));
        $asked = [];
        for ($n = 0; $n < $this->atOnce; $n++) {
            $asked[] = $this->people[$who]->once($method, $path, $body, $oneKey ? $key : "$key-$n");
        }
        /** @var list<ResponseInterface> $answers */
        $answers = $this->wait($asked);
        $statuses = array_count_values(array_map(fn (ResponseInterface $a) => $a->getStatusCode(), $answers));
        $bodies = array_unique(array_map(fn (ResponseInterface $a) => (string) $a->getBody(), $answers));
        $came = $count() - $before;
        // With a key each, what was done already may be refused, or done once more to no effect.
        $isFew = $oneKey || $standing ? $came === $more : $came <= max($more, 1);
        $told = json_encode($statuses);
        yield sprintf('%s, %d at once with %s: %s', $what, $this->atOnce, $oneKey ? 'one key' : 'a key each', $told) => match (true) {
            max(array_keys($statuses)) >= 500 => 'one answered with an error',
            $oneKey && count($statuses) > 1 => 'they were not answered the same',
            // A secret is told once: asked again there is another one, and what nobody saw opens nothing.
            $oneKey && count($bodies) > 1 && ! str_contains($what, 'link') => 'they were told different things',
            ! $isFew => "$came came of it, not $more",
            default => null,
        };
    }

    private function photograph(int $piece, int $by): int
    {
        $sha = bin2hex(random_bytes(32));
        $this->rows->exec("insert into pictures (sha256, mime, width, height, bytes, made_by, created_at) values ('$sha', 'image/png', 9, 9, 9, $by, now())");
        $this->rows->exec("insert into photographs (piece_id, view, sha256, made_by, created_at) values ($piece, 'front', '$sha', $by, now())");

        return (int) $this->rows->lastInsertId();
    }

    private function answer(string $who, string $method, string $path): ResponseInterface
    {
        return $this->wait([$this->people[$who]->answered($method, $path)])[0];
    }

    private function one(string $sql): int
    {
        return (int) $this->all($sql)[0];
    }

    /** @return list<int> */
    private function all(string $sql): array
    {
        $found = $this->rows->query($sql);

        return $found === false ? [] : array_map(intval(...), $found->fetchAll(PDO::FETCH_COLUMN));
    }

    /**
     * @param  list<mixed>  $promises
     * @return list<mixed>
     */
    private function wait(array $promises): array
    {
        $all = Utils::all($promises);
        $is = fn () => $all->getState() === 'pending';
        while ($is()) {
            Person::turn($this->handler);
        }

        return $all->wait();
    }
}
