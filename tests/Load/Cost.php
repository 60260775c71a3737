<?php

declare(strict_types=1);

namespace Tests\Load;

use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\Promise\PromiseInterface;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** What pages cost a running copy: processor time of PHP and of the database, and the rows that it read for them. */
final class Cost
{
    private const TIMES = 60;

    /** What the kernel counts processor time in. */
    private const TICK_MS = 10.0;

    private const SERVICES = ['php', 'mariadb'];

    private readonly CurlMultiHandler $handler;

    /** @param  array<string, string>  $pages  name => path, each for one and the same thing however the studio grows */
    public function __construct(private readonly string $root, private readonly string $url, private readonly array $pages)
    {
        $this->handler = new CurlMultiHandler(['select_timeout' => 0.05]);
    }

    /** @return array<string, array{php: float, mariadb: float, rows: int}> ms and rows a request, by page */
    public function table(): array
    {
        $lead = new Person(Person::client($this->url, $this->handler), 'lead@heron-lane.example');
        $this->wait($lead->signIn());
        $table = [];
        foreach ($this->pages as $name => $path) {
            $get = fn () => $this->wait($lead->once('GET', $path, null, ''));
            foreach ([1, 2] as $warm) {
                if ($get()->getStatusCode() !== 200) {
                    throw new RuntimeException("$path was not answered at try $warm");
                }
            }
            [$spent, $rows] = [$this->spent(), self::rows()];
            for ($i = 0; $i < self::TIMES; $i++) {
                $get();
            }
            $read = self::rows() - $rows;
            $after = $this->spent();
            $table[$name] = [
                'php' => ($after[0] - $spent[0]) / self::TIMES,
                'mariadb' => ($after[1] - $spent[1]) / self::TIMES,
                'rows' => (int) round($read / self::TIMES),
            ];
        }

        return $table;
    }

    private function wait(PromiseInterface $promise): mixed
    {
        while ($promise->getState() === PromiseInterface::PENDING) {
            Person::turn($this->handler);
        }

        return $promise->wait();
    }

    /** @return list<float> ms that the processors have worked for each service, with the processes that it began */
    private function spent(): array
    {
        return array_map(function (string $service): float {
            // The file also tells when the process began.
            $master = (string) strtok((string) file_get_contents("$this->root/var/run/$service.pid"), ' ');
            $children = explode(' ', trim((string) file_get_contents("/proc/$master/task/$master/children")));
            $ticks = 0;
            foreach (array_filter([$master, ...$children]) as $pid) {
                // After the name, which may hold spaces: user and system time are the 12th and 13th of what follows.
                $told = explode(' ', trim((string) strrchr((string) @file_get_contents("/proc/$pid/stat"), ')')));
                $ticks += (int) ($told[12] ?? 0) + (int) ($told[13] ?? 0);
            }

            return $ticks * self::TICK_MS;
        }, self::SERVICES);
    }

    private static function rows(): int
    {
        return (int) array_sum(array_column(DB::select("show global status like 'Handler_read%'"), 'Value'));
    }
}
