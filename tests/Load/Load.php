<?php

declare(strict_types=1);

namespace Tests\Load;

use Generator;
use GuzzleHttp\Client;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\Promise\Coroutine;
use GuzzleHttp\Promise\PromiseInterface;
use GuzzleHttp\Promise\Utils;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Twenty people at work, each with a request every two seconds, and how long they wait for their answers. */
final class Load
{
    private const PEOPLE = [
        'painter@heron-lane.example' => 6,
        'odo@heron-lane.example' => 4,
        'pim@heron-lane.example' => 4,
        'lead@heron-lane.example' => 3,
        'desk@heron-lane.example' => 3,
    ];

    private const EVERY_MS = 2000;

    /** What people do, out of a hundred times, by the first sign of their address: the bench, the desk, the lead. */
    private const MIX = [
        'painter' => ['bench' => 20, 'batch' => 35, 'mark' => 25, 'undo' => 10, 'checks' => 10],
        'desk' => ['orders' => 35, 'find' => 15, 'order' => 30, 'open' => 10, 'certificates' => 10],
        'lead' => ['orders' => 15, 'order' => 15, 'plan' => 15, 'checks' => 20, 'check' => 20, 'ladder' => 15],
    ];

    /** @var array<string, list<float>> seconds by what was done */
    private array $waited = [];

    /** @var list<string> */
    private array $errors = [];

    private readonly Client $client;

    private readonly CurlMultiHandler $handler;

    private readonly Randomizer $random;

    /** @var array<string, list<int>> numbers of rows that people look at */
    private array $seen;

    private float $end = 0;

    /** @param  array<string, list<int>>  $seen units on the bench, orders, checks, pieces by unit */
    public function __construct(string $url, array $seen, int $seed)
    {
        $this->handler = new CurlMultiHandler(['select_timeout' => 0.01]);
        $this->client = Person::client($url, $this->handler);
        $this->random = new Randomizer(new Mt19937($seed));
        $this->seen = $seen;
    }

    /**
     * @return array{waited: array<string, list<float>>, errors: list<string>}
     */
    public function run(int $seconds): array
    {
        $people = [];
        foreach (self::PEOPLE as $email => $count) {
            for ($i = 0; $i < $count; $i++) {
                $people[] = [$email, $person = new Person($this->client, $email)];
                $this->until($person->signIn());
            }
        }
        $this->end = microtime(true) + $seconds;
        $all = [];
        foreach ($people as $i => [$email, $person]) {
            $first = intdiv($i * self::EVERY_MS, count($people));
            $all[] = Coroutine::of(fn (): Generator => $this->day($person, $email, $first));
        }
        $this->until(Utils::all($all));

        return ['waited' => $this->waited, 'errors' => $this->errors];
    }

    private function until(PromiseInterface $promise): void
    {
        while ($promise->getState() === PromiseInterface::PENDING) {
            Person::turn($this->handler);
        }
        $promise->wait();
    }

    private function day(Person $person, string $email, int $first): Generator
    {
        $mix = self::MIX[strtok($email, '@')] ?? self::MIX['painter'];
        $next = microtime(true) + $first / 1000;
        $work = ['piece' => 0, 'step' => ''];
        $marked = false;
        while ($next < $this->end) {
            $roll = $this->random->getInt(1, 100);
            foreach ($mix as $what => $share) {
                $roll -= $share;
                if ($roll <= 0) {
                    break;
                }
            }
            // What is not in hand is fetched first, what is not marked is not taken back.
            $what = match (true) {
                in_array($what, ['mark', 'undo'], true) && $work['piece'] === 0 => 'batch',
                $what === 'undo' && ! $marked => 'mark',
                default => $what,
            };
            [$method, $path, $body] = $this->asked($what, $work);
            $delay = max(0, (int) round(($next - microtime(true)) * 1000));
            $answer = yield $person->once($method, $path, $body, bin2hex(random_bytes(16)), $delay);
            $this->waited[$what][] = microtime(true) - $next;
            if ($answer->getStatusCode() >= 400) {
                $this->errors[] = "$method $path: ".$answer->getStatusCode().' '.mb_substr((string) $answer->getBody(), 0, 300);
            } elseif ($what === 'batch') {
                [$work, $marked] = [$this->open(Person::read($answer)) ?? $work, false];
            } elseif ($what === 'mark' || $what === 'undo') {
                $marked = $what === 'mark';
            }
            $next = max($next + self::EVERY_MS / 1000, microtime(true));
        }
    }

    /**
     * @param  array{piece: int, step: string}  $work  what this painter has in hand
     * @return array{string, string, array<string, mixed>|null}
     */
    private function asked(string $what, array $work): array
    {
        $one = fn (string $of) => $this->seen[$of][$this->random->getInt(0, count($this->seen[$of]) - 1)];

        return match ($what) {
            'bench' => ['GET', 'bench', null],
            'batch' => ['GET', 'bench/'.$one('units'), null],
            'mark' => ['POST', 'bench/marks', ['pieces' => [$work['piece']], 'steps' => [$work['step']]]],
            'undo' => ['DELETE', 'bench/marks', ['pieces' => [$work['piece']], 'steps' => [$work['step']]]],
            'checks' => ['GET', 'checks', null],
            'check' => ['GET', 'checks/'.$one('checks'), null],
            'orders' => ['GET', 'orders', null],
            'find' => ['GET', 'orders?find=warden%20'.$this->random->getInt(2, 99), null],
            'order' => ['GET', 'orders/'.$one('orders'), null],
            'open' => ['POST', 'orders', ['client' => 'Ada Fen', 'title' => 'One more wave', 'brief' => null, 'due_on' => null]],
            'plan' => ['GET', 'units/'.$one('plans').'/plan', null],
            'ladder' => ['GET', 'standard', null],
            default => ['GET', 'sign-offs', null],
        };
    }

    /**
     * @param  array<string, mixed>  $batch
     * @return array{piece: int, step: string}|null
     */
    private function open(array $batch): ?array
    {
        foreach ($batch['pieces'] as $piece) {
            $open = array_diff($batch['passes'][0]['steps'] ?? [], $piece['done']);
            if (in_array($piece['stage'], ['planned', 'on_bench'], true) && $open !== []) {
                return ['piece' => $piece['id'], 'step' => array_values($open)[0]];
            }
        }

        return null;
    }
}
