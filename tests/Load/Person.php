<?php

declare(strict_types=1);

namespace Tests\Load;

use Generator;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\HandlerStack;
use GuzzleHttp\Promise\Coroutine;
use GuzzleHttp\Promise\PromiseInterface;
use GuzzleHttp\Promise\Utils;
use Psr\Http\Message\ResponseInterface;
use RuntimeException;
use Throwable;

/** Somebody signed in at a browser of their own, who sends what the interface would send. */
final class Person
{
    /** Seconds between tries to sign in when there were too many. */
    private const WAITS = 5;

    private CookieJar $jar;

    public function __construct(private readonly Client $client, private readonly string $email)
    {
        $this->jar = new CookieJar();
    }

    /** A client for many people at once, driven by `turn()`. */
    public static function client(string $url, CurlMultiHandler $handler, int $timeout = 15): Client
    {
        return new Client([
            'handler' => HandlerStack::create($handler),
            'base_uri' => "$url/api/v1/",
            'http_errors' => false,
            'timeout' => $timeout,
            'headers' => ['Accept' => 'application/json'],
        ]);
    }

    /** Lets everything that is under way go a little further. */
    public static function turn(CurlMultiHandler $handler): void
    {
        $handler->tick();
        Utils::queue()->run();
    }

    /** @return PromiseInterface of nothing: signed in, however long it takes */
    public function signIn(): PromiseInterface
    {
        return Coroutine::of(function (): Generator {
            for ($try = 0; $try < 20; $try++) {
                yield $this->answered('GET', 'session');
                $answer = yield $this->answered('POST', 'session', ['email' => $this->email, 'password' => 'tidemark']);
                // Signed in but never told so: the page is read again, as a person would.
                if ($answer->getStatusCode() === 429) {
                    // On a slow machine those pages may be too many for a minute: they wait, as they are told to.
                    sleep(self::WAITS);
                } elseif ($answer->getStatusCode() !== 419) {
                    break;
                }
            }
            if ($answer->getStatusCode() !== 200) {
                throw new RuntimeException("$this->email could not sign in: ".$answer->getBody());
            }
        });
    }

    /**
     * A request that is sent again, with the same key, until somebody answers it.
     *
     * @param  array<string, mixed>|null  $body
     * @return PromiseInterface of a ResponseInterface
     */
    public function answered(string $method, string $path, ?array $body = null): PromiseInterface
    {
        return Coroutine::of(function () use ($method, $path, $body): Generator {
            $key = bin2hex(random_bytes(16));
            for ($try = 0; ; $try++) {
                try {
                    $answer = yield $this->once($method, $path, $body, $key, $try === 0 ? 0 : 100);
                    if ($answer->getStatusCode() < 500 && self::isWhole($answer) && ! self::isUnderWay($answer)) {
                        return yield $answer;
                    }
                } catch (Throwable) {
                    // The answer was lost on the way, or nobody listens at the moment.
                }
                if ($try > 600) {
                    throw new RuntimeException("$method $path was never answered");
                }
            }
        });
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @return PromiseInterface of a ResponseInterface
     */
    public function once(
        string $method,
        string $path,
        ?array $body,
        string $key,
        int $delayMs = 0,
    ): PromiseInterface {
        $cookie = $this->jar->getCookieByName('XSRF-TOKEN')?->getValue();
        $options = ['cookies' => $this->jar, 'delay' => $delayMs, 'headers' => ['Accept' => 'application/json']];
        if ($method !== 'GET') {
            $options['headers'] += ['X-XSRF-TOKEN' => urldecode((string) $cookie), 'Idempotency-Key' => $key];
            $options['json'] = (object) ($body ?? []);
        }

        return $this->client->requestAsync($method, $path, $options);
    }

    /** Whether all of it came: what sends it may have been killed in the middle, and then it is asked for again. */
    private static function isWhole(ResponseInterface $answer): bool
    {
        return $answer->getStatusCode() === 204 || json_decode((string) $answer->getBody()) !== null;
    }

    /** Whether the first try is still being worked on: its answer is had by asking again. */
    private static function isUnderWay(ResponseInterface $answer): bool
    {
        return $answer->getStatusCode() === 409 && str_contains((string) $answer->getBody(), 'is being answered just now');
    }

    /** @return array<string, mixed> */
    public static function read(ResponseInterface $answer): array
    {
        return (array) json_decode((string) $answer->getBody(), true);
    }
}
