<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** The bench goes on without a connection: what is tapped is kept in the browser, and goes out once and in order. */
final class OfflineBrowserTest extends BrowserTestCase
{
    private const PASSES = 4;

    public function test_forty_taps_without_a_connection_with_the_page_loaded_anew_between_are_neither_lost_nor_doubled(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $unit = $this->unit('26-041');
        $this->released($unit);
        $chrome->signIn('Ines Tallow');
        $chrome->open("/bench/$unit");
        $chrome->waitFor('All done');
        $this->until(fn () => $chrome->page->executeScript('return navigator.serviceWorker.controller !== null'));
        // What was read before the worker was there is read once more by way of it.
        $chrome->open("/bench/$unit");
        $chrome->waitFor('All done');
        $before = $this->get("bench/$unit");
        $models = array_slice(array_column($before['pieces'], 'number'), 0, 10);
        $this->until(fn () => $this->isKept("/api/v1/bench/$unit") && $this->isKept('/api/v1/session'));

        self::cut();
        foreach (range(1, self::PASSES) as $pass) {
            foreach ($models as $n) {
                $chrome->click($chrome->css("button[title^='Model $n, to do']"));
            }
            if ($pass === 2) {
                $chrome->waitFor('20 taps are kept');
                $chrome->open("/bench/$unit");
                $chrome->waitFor('20 taps are kept');
                self::assertStringContainsString('This page can be loaded anew', $this->said());
                // It opens at the pass that is open in what was read last; the taps stand as they were made.
                self::assertCount(10, $this->cells('done'));
                $chrome->press('Next', true);
            }
            if ($pass < self::PASSES) {
                $chrome->press('Next', true);
            }
        }
        $chrome->waitFor('40 taps are kept');

        self::connect();
        $this->until(fn () => ! $chrome->seen('are kept') && $this->waiting() === 0);
        $steps = $this->steps($before);
        $after = $this->get("bench/$unit");
        foreach ($after['pieces'] as $piece) {
            $isTapped = in_array($piece['number'], $models, true);
            self::assertEqualsCanonicalizing($isTapped ? $steps : [], $piece['done'], "model {$piece['number']}");
        }
    }

    public function test_what_the_server_refuses_is_said_and_what_follows_it_goes_on(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $unit = $this->unit('26-041');
        $chrome->signIn('Ines Tallow');
        $chrome->open("/bench/$unit");
        $chrome->waitFor('All done');
        $chrome->page->executeScript(
            'const at = new Date().toISOString().slice(0, 19) + "Z"; const id = arguments[0]; '.
                'localStorage.setItem("ordotype.taps." + id, JSON.stringify({refused: [], since: null, waiting: '.
                '[{key: "tap-of-a-step-that-is-not", at, done: true, pieces: [arguments[1]], steps: ["nothing:of:that"], '.
                'words: "A step of before, model 11"}]}))',
            [$this->get('session')['person']['id'], $this->piece($unit, 11)],
        );
        $chrome->open("/bench/$unit");
        $chrome->waitFor('has no such step');
        self::assertStringContainsString('A step of before, model 11', $this->said());
        $chrome->click($chrome->css("button[title^='Model 12, to do']"));
        $this->until(fn () => $this->pieceOn($unit, 12)['done'] !== []);
        $chrome->press('I have seen it');
        $this->until(fn () => ! $chrome->seen('has no such step'));
        // Whoever sits down next finds nothing of what was read.
        $this->until(fn () => $this->isKept("/api/v1/bench/$unit"));
        $chrome->click($chrome->css('[aria-label="Sign out Ines Tallow"]'));
        $this->until(fn () => ! $this->isKept("/api/v1/bench/$unit"));
    }

    private function released(int $unit): void
    {
        $chrome = self::$chrome;
        $chrome->open("/units/$unit/plan");
        $chrome->press('Release to bench', true);
        $this->until(fn () => isset($this->get("bench/$unit")['passes']));
    }

    private function isKept(string $path): bool
    {
        return self::$chrome->page->executeAsyncScript(
            'const [path, done] = arguments; caches.match(path).then(found => done(Boolean(found)))',
            [$path],
        );
    }

    /** @return list<mixed> */
    private function cells(string $state): array
    {
        return self::$chrome->page->findElements(WebDriverBy::cssSelector("button[title*=', $state']"));
    }

    /**
     * @param  array<string, mixed>  $bench
     * @return list<string> keys of the passes that are tapped
     */
    private function steps(array $bench): array
    {
        return array_merge(...array_column(array_slice($bench['passes'], 0, self::PASSES), 'steps'));
    }

    /** Taps of anybody that this browser still keeps. */
    private function waiting(): int
    {
        return (int) self::$chrome->page->executeScript(
            'return Object.keys(localStorage).filter(k => k.startsWith("ordotype.taps.")).reduce((n, k) => '.
                'n + JSON.parse(localStorage.getItem(k)).waiting.length, 0)',
        );
    }

    private function piece(int $unit, int $number): int
    {
        return $this->pieceOn($unit, $number)['id'];
    }

    /** @return array<string, mixed> */
    private function pieceOn(int $unit, int $number): array
    {
        return array_values(array_filter(
            $this->get("bench/$unit")['pieces'],
            fn (array $p) => $p['number'] === $number,
        ))[0];
    }

    private function said(): string
    {
        return (string) self::$chrome->page->executeScript('return document.body.innerText');
    }
}
