<?php

declare(strict_types=1);

namespace Tests\Load;

use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\Promise\PromiseInterface;
use Psr\Http\Message\ResponseInterface;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Yaml\Yaml;

/**
 * Requests of every operation of the contract with bodies that are nearly right, quite wrong, or far too large, by
 * seeded chance: what may come back is an answer or a reason, as JSON, soon.
 */
final class Odd
{
    private const SECONDS = 2.0;

    /** What would end the sign-ins that the others are sent with. */
    private const LEFT_OUT = ['DELETE /session', 'DELETE /account/sessions', 'POST /session'];

    /** What no request reached when it was answered so: it was turned away at the door, or meant something else. */
    private const TURNED_AWAY = [401, 403, 404, 405, 419, 429];

    private const WORDS = ['', 'x', 'null', '<script>', "'; drop table orders; --", '%00', 'a/b', '😀', '-1', '1e309', '2026-02-31'];

    /** @var array<string, mixed> */
    private array $contract;

    private readonly Randomizer $random;

    /** @var array<int, int> */
    public array $statuses = [];

    public float $longest = 0;

    /** @var array<string, bool> operations, and whether one of their requests got past the door */
    public array $reached = [];

    private Places $places;

    public function __construct(private readonly string $url, string $root, int $seed)
    {
        $this->contract = (array) Yaml::parseFile("$root/docs/openapi.yaml");
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return list<string> what should not have been */
    public function run(int $requests): array
    {
        $handler = new CurlMultiHandler(['select_timeout' => 0.01]);
        $client = Person::client($this->url, $handler);
        $until = function (PromiseInterface $promise) use ($handler): mixed {
            while ($promise->getState() === PromiseInterface::PENDING) {
                Person::turn($handler);
            }

            return $promise->wait();
        };
        $people = [];
        foreach (['lead', 'painter', 'odo', 'desk'] as $who) {
            $until(($people[] = new Person($client, "$who@heron-lane.example"))->signIn());
        }
        $this->places = new Places($this->made($people[0], $until));
        $people[] = new Person($client, 'nobody@heron-lane.example');
        $operations = $this->operations();
        $wrong = [];
        for ($i = 0; $i < $requests; $i++) {
            [$method, $path, $schema] = $operations[$i % count($operations)];
            $named = fn (array $of) => rawurlencode($this->place($path, $of[1]));
            $address = ltrim(preg_replace_callback('/\{(\w+)\}/', $named, $path) ?? '', '/').$this->query();
            $body = $method === 'GET' ? null : $this->body($schema);
            // Mostly a lead, who gets past the door.
            $who = $people[$this->random->getInt(0, 2) > 0 ? 0 : $this->random->getInt(1, 4)];
            $since = microtime(true);
            $answer = $until($who->once($method, $address, $body, bin2hex(random_bytes(16))));
            $seconds = microtime(true) - $since;
            $this->longest = max($this->longest, $seconds);
            $this->statuses[$answer->getStatusCode()] = 1 + ($this->statuses[$answer->getStatusCode()] ?? 0);
            $past = ! in_array($answer->getStatusCode(), self::TURNED_AWAY, true);
            $this->reached["$method $path"] = $past || ($this->reached["$method $path"] ?? false);
            $why = $this->judge($answer, $path, $seconds);
            if ($why !== null) {
                $wrong[] = "$method $address: $why; sent ".mb_substr((string) json_encode($body), 0, 200);
            }
        }

        return $wrong;
    }

    private function judge(ResponseInterface $answer, string $path, float $seconds): ?string
    {
        $type = $answer->getHeaderLine('Content-Type');
        $status = $answer->getStatusCode();

        return match (true) {
            $status >= 500 => "$status ".mb_substr((string) $answer->getBody(), 0, 200),
            str_contains($type, 'html') => "$status as a page",
            $status >= 400 && ! str_starts_with($type, 'application/problem+json') => "$status as $type",
            $seconds > self::SECONDS => sprintf('%.1f s', $seconds),
            default => null,
        };
    }

    /** @return list<array{string, string, array<string, mixed>}> method, path, schema of the body */
    private function operations(): array
    {
        $operations = [];
        foreach ((array) $this->contract['paths'] as $path => $methods) {
            foreach ((array) $methods as $method => $operation) {
                $method = mb_strtoupper((string) $method);
                if (! in_array("$method $path", self::LEFT_OUT, true) && is_array($operation)) {
                    $schema = $operation['requestBody']['content']['application/json']['schema'] ?? [];
                    $operations[] = [$method, (string) $path, $schema];
                }
            }
        }

        return $operations;
    }

    /**
     * What the demo lacks: links, a token, a drill, people whom anything may happen to.
     *
     * @return list<string> secrets of links
     */
    private function made(Person $lead, callable $until): array
    {
        $post = fn (string $path, array $body) => Person::read($until($lead->answered('POST', $path, $body)));
        $links = [
            $post('orders/1/links', ['days' => 30])['path'] ?? '',
            $post('shares', ['sculpt' => 'sluice-warden', 'prices' => false, 'days' => 30])['path'] ?? '',
        ];
        $facts = ['role' => 'painter', 'may_sign' => false, 'skill' => 3, 'hours_week' => 20];
        foreach (['a', 'b', 'c'] as $who) {
            $links[] = $post('people', ['name' => "Somebody $who", 'email' => "$who@odd.test"] + $facts)['link'] ?? '';
        }
        $post('tokens', ['name' => 'Odd', 'abilities' => ['orders.read'], 'days' => 30]);
        $post('drill', ['sculpt' => 'sluice-warden', 'tier' => 'banner']);
        $record = Person::read($until($lead->answered('GET', 'sign-offs/1')));

        return array_values(array_filter([...array_map(basename(...), $links), basename($record['path'] ?? '')]));
    }

    /** Seven times in ten something that is there. */
    private function place(string $path, string $parameter): string
    {
        $there = $this->places->of($path, $parameter);
        $strange = ['0', '99999999999999999999999999', 'x', 'mudlark', '..', str_repeat('a', 64), '-1'];
        $of = $there !== [] && $this->random->getInt(0, 9) < 7 ? $there : $strange;

        return $of[$this->random->getInt(0, count($of) - 1)];
    }

    private function query(): string
    {
        $queries = ['', '', '', '?cursor=abc', '?cursor[]=1', '?find[]=x', '?find=%00', '?sort=nothing&status=x',
            '?sculpt=mudlark&from=1&to=2', '?tier=company&sculpt=mudlark', '?step=1&to=2', '?order=99999999999999999999'];

        return $queries[$this->random->getInt(0, count($queries) - 1)];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<array-key, mixed>
     */
    private function body(array $schema): array
    {
        $roll = $this->random->getInt(0, 19);
        if ($roll === 0) {
            return [];
        }
        if ($roll === 1) {
            return array_fill_keys(array_map(fn (int $n) => "k$n", range(1, 3000)), [[], [[]], 0]);
        }
        $body = $this->like($schema, 0);

        return is_array($body) ? $body : ['value' => $body];
    }

    /** @param  array<string, mixed>  $schema */
    private function like(array $schema, int $depth): mixed
    {
        if (isset($schema['$ref'])) {
            $name = basename((string) $schema['$ref']);

            return $this->like((array) ($this->contract['components']['schemas'][$name] ?? []), $depth);
        }
        // One place in eight is of another kind than it should be.
        if ($depth > 6 || $this->random->getInt(0, 7) === 0) {
            return $this->anything();
        }
        $any = $schema['oneOf'] ?? $schema['anyOf'] ?? $schema['allOf'] ?? null;
        if (is_array($any)) {
            return $this->like((array) $any[$this->random->getInt(0, count($any) - 1)], $depth);
        }
        if (isset($schema['enum'])) {
            return $schema['enum'][$this->random->getInt(0, count($schema['enum']) - 1)];
        }
        $type = is_array($schema['type'] ?? null) ? $schema['type'][0] : ($schema['type'] ?? 'object');

        return match ($type) {
            'string' => $this->random->getInt(0, 2) > 0 ? 'mudlark' : $this->anything(),
            'integer' => $this->random->getInt(-1, 30),
            'number' => $this->random->getInt(-10, 300) / 10,
            'boolean' => $this->random->getInt(0, 1) === 1,
            'array' => array_map(
                fn () => $this->like((array) ($schema['items'] ?? []), $depth + 1),
                range(1, $this->random->getInt(1, 3)),
            ),
            default => $this->object($schema, $depth),
        };
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function object(array $schema, int $depth): array
    {
        $object = [];
        foreach ((array) ($schema['properties'] ?? ['any' => []]) as $name => $of) {
            if ($this->random->getInt(0, 9) > 0) {
                $object[$name] = $this->like((array) $of, $depth + 1);
            }
        }

        return $object;
    }

    private function anything(): mixed
    {
        return match ($this->random->getInt(0, 8)) {
            0 => null,
            1 => [],
            2 => ['x' => ['y' => []]],
            3 => PHP_INT_MAX,
            4 => -1.5e300,
            5 => str_repeat('long ', 4000),
            6 => true,
            7 => [[[]], 1, 'x'],
            default => self::WORDS[$this->random->getInt(0, count(self::WORDS) - 1)],
        };
    }
}
