<?php

declare(strict_types=1);

namespace Tests\Load;

use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\Promise\PromiseInterface;
use Illuminate\Support\Facades\DB;

/** Every page of every list, as somebody would who goes on and on: each row comes once. */
final class Walk
{
    private const LISTS = [
        'orders' => ['id', 'select id from orders'],
        'orders?sort=due' => ['id', 'select id from orders'],
        'orders?sort=client' => ['id', 'select id from orders'],
        'sign-offs' => ['number', 'select number as id from sign_offs'],
        'sculpts' => ['slug', 'select slug as id from sculpts'],
        'schemes' => ['slug', 'select slug as id from schemes'],
        'bench' => ['id', "select distinct unit_id as id from pieces join units on units.id = unit_id
            join orders on orders.id = order_id and orders.status <> 'cancelled'
            where released_at is not null and stage in ('planned', 'on_bench', 'rework', 'offered')"],
        'checks' => ['id', "select distinct unit_id as id from pieces join units on units.id = unit_id
            join orders on orders.id = order_id and orders.status <> 'cancelled'
            where stage in ('offered', 'rework', 'passed')"],
    ];

    public function __construct(private readonly string $url)
    {
    }

    /** @return list<string> what was missing, or came twice */
    public function run(): array
    {
        $handler = new CurlMultiHandler(['select_timeout' => 0.05]);
        $lead = new Person(Person::client($this->url, $handler), 'lead@heron-lane.example');
        $until = function (PromiseInterface $promise) use ($handler): mixed {
            while ($promise->getState() === PromiseInterface::PENDING) {
                Person::turn($handler);
            }

            return $promise->wait();
        };
        $until($lead->signIn());
        $wrong = [];
        foreach (self::LISTS as $path => [$key, $sql]) {
            $rows = [];
            $pages = 0;
            $since = microtime(true);
            for ($cursor = ''; $cursor !== null; $pages++) {
                $next = $path.(str_contains($path, '?') ? '&' : '?').'cursor='.urlencode($cursor);
                $page = Person::read($until($lead->answered('GET', $cursor === '' ? $path : $next)));
                $rows = [...$rows, ...array_column($page['data'], $key)];
                $cursor = $page['next_cursor'] ?? null;
            }
            $there = array_column(DB::select($sql), 'id');
            sort($there);
            $found = $rows;
            sort($found);
            printf("%-20s %5d rows on %3d pages, %.0f ms a page\n", $path, count($rows), $pages,
                1000 * (microtime(true) - $since) / $pages);
            if (array_map(strval(...), $found) !== array_map(strval(...), $there)) {
                $wrong[] = sprintf('%s: %d rows came, %d of them once; there are %d', $path, count($rows),
                    count(array_unique($rows)), count($there));
            }
        }

        return $wrong;
    }
}
