<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tests\Support\Chrome;

/** The real interface in a real browser, on a database of its own, with the demo in it unless a test says otherwise. */
abstract class BrowserTestCase extends TestCase
{
    /** What fills the empty database before the first test. */
    protected const FILL = [PHP_BINARY, 'artisan', 'ordotype:install', '--demo'];

    /** What the command that fills it is told by the environment. */
    protected const TOLD = [];

    /** Of its own, so that these tests run beside those of the API. */
    protected const DATABASE = 'ordotype_browser';

    private static Process $server;

    protected static Chrome $chrome;

    protected static string $address;

    public static function setUpBeforeClass(): void
    {
        $root = dirname(__DIR__, 2);
        $env = [
            'APP_ENV' => 'production',
            'DB_DATABASE' => self::DATABASE,
            'ORDOTYPE_STUDIO' => '',
            'ORDOTYPE_FILES' => "$root/storage/app/browser",
            'CACHE_STORE' => 'database',
            'SESSION_DRIVER' => 'database',
            // Nobody draws pictures while the interface is tried: one process serves all of it.
            'QUEUE_CONNECTION' => 'database',
            'LOG_CHANNEL' => 'stderr',
        ];
        foreach (
            [[PHP_BINARY, 'artisan', 'migrate:fresh', '--database=migrate', '--force'], static::FILL] as $command
        ) {
            (new Process($command, $root, static::TOLD + $env, null, 120))->mustRun();
        }
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('no free port');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        self::$address = "http://127.0.0.1:$port";
        self::$server = self::server($port, $root, $env);
        self::connect();
        self::$chrome = new Chrome(self::$address);
    }

    /** @param  array<string, string>  $env */
    private static function server(int $port, string $root, array $env): Process
    {
        return new Process(
            [
                PHP_BINARY,
                '-d',
                'opcache.enable_cli=1',
                '-S',
                "127.0.0.1:$port",
                '-t',
                'public',
                'tests/Support/server.php',
            ],
            $root,
            $env,
            null,
            null,
        );
    }

    /** The server is there, at the address that it had before. */
    protected static function connect(): void
    {
        // Nobody reads what it prints, and a full pipe would stop it.
        self::$server->disableOutput()->start();
        for ($i = 0; $i < 100 && @file_get_contents(self::$address.'/up') === false; $i++) {
            usleep(100_000);
        }
    }

    /** Nothing answers any more, as where the line is gone. */
    protected static function cut(): void
    {
        self::$server->stop(3);
    }

    public static function tearDownAfterClass(): void
    {
        self::$chrome->close();
        self::$server->stop(3);
    }

    /** What the API answers the person who is signed in. */
    protected function get(string $path): mixed
    {
        return self::$chrome->page->executeAsyncScript(
            'const done = arguments[1]; fetch("/api/v1/" + arguments[0], {headers: {Accept: '.
                '"application/json"}}).then(r => r.json()).then(done)',
            [$path],
        );
    }

    /** The first unit of an order, for those who see orders. */
    protected function unit(string $order): int
    {
        foreach ($this->get('orders')['data'] as $one) {
            if ($one['number'] === $order) {
                return (int) $one['units'][0]['id'];
            }
        }
        self::fail("no order $order");
    }

    /** @return list<string> what axe calls serious or critical on the page that is open */
    protected function axe(): array
    {
        $page = self::$chrome->page;
        usleep(400_000);
        $page->executeScript((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        $found = $page->executeAsyncScript(
            'const done = arguments[0]; axe.run(document, {resultTypes: '.
                '["violations"]}).then(r => done(r.violations.filter(v => v.impact === "serious" '.
                '|| v.impact === "critical").map(v => v.id + ": " + v.nodes.slice(0, 4).map(n => '.
                'n.target.join(" ") + " " + (n.any[0]?.message ?? n.failureSummary)).join(" | "))))',
        );

        return array_values($found);
    }

    /** @param  array<string, mixed>  $change  written by somebody else, past the page that is open */
    protected function elsewhere(string $clause, array $change): int
    {
        return self::$chrome->page->executeAsyncScript(
            'const [id, change, done] = arguments; (async () => { const l = await (await '.
                'fetch("/api/v1/standard", {headers: {Accept: "application/json"}})).json(); const '.
                'c = l.rows.flatMap(r => r.cells).find(c => c.own && c.clause?.id === id);'.
                'const r = await fetch("/api/v1/standard/draft/clauses", {method: "PUT", headers: '.
                '{Accept: "application/json", "Content-Type": "application/json", "X-XSRF-TOKEN": '.
                'decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1])}, body: '.
                'JSON.stringify({tier: c.tier, revision: c.revision, clause: {...c.clause, '.
                '...change}})}); done(r.status); })()',
            [$clause, $change],
        );
    }

    /** @param  callable(): bool  $holds */
    protected function until(callable $holds): void
    {
        for ($i = 0; $i < (int) (getenv('TRY') ?: 600); $i++) {
            if ($holds()) {
                self::addToAssertionCount(1);

                return;
            }
            usleep(100_000);
        }
        self::fail(
            'It did not come to that. The page shows: '.
                mb_substr(self::$chrome->page->findElement(WebDriverBy::tagName('body'))->getText(), 0, 1500),
        );
    }

    /**
     * @return list<string> keys and ids that a person would read on the page that is open, on paper too: words with an
     *     underscore or with dots inside
     */
    protected function keysShown(): array
    {
        return array_values(
            self::$chrome->page->executeScript(
                'const texts = []; const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT); '.
                    'while (walk.nextNode()) texts.push(walk.currentNode.data); const said = [...texts, ...[...document.querySelectorAll("[aria-label], [title], '.
                    '[placeholder], [alt]")].flatMap(e => ["aria-label", "title", "placeholder", "alt"].map(a => '.
                    'e.getAttribute(a) ?? ""))].join(" \\n ").replace(/\\S+@\\S+/g, ""); return [...new Set(said.match('.
                    '/\\b[a-z0-9]+_[a-z0-9_]+\\b|\\b[a-z]{3,}\\.[a-z]{3,}(\\.[a-z]+)*\\b/g) ?? [])]',
            ),
        );
    }
}
