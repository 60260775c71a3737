<?php

declare(strict_types=1);

// How quick the screens are in a real browser, on the running demo. Called by ./ordotype pace with the address.
// The ladder's first screen is timed with an empty cache, from the request to the frame that shows its cells; a key by
// the browser's own Event Timing: from the key to the next frame painted (rounded to 8 ms by its definition).

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\Chrome;

require dirname(__DIR__, 2).'/vendor/autoload.php';

const ROUNDS = 5;
const KEYS = 40;

$chrome = new Chrome($argv[1] ?? 'http://127.0.0.1:8480');
$tell = fn (string $command, array $what = []) => $chrome->page->executeCustomCommand(
    '/session/:sessionId/goog/cdp/execute',
    'POST',
    ['cmd' => $command, 'params' => (object) $what],
);
$median = function (array $figures): float {
    sort($figures);

    return $figures[intdiv(count($figures), 2)];
};
try {
    $chrome->signIn('Runa Wick');
    $tell('Page.addScriptToEvaluateOnNewDocument', [
        'source' => 'new MutationObserver((_, o) => { if (document.querySelector(".lcell")) { o.disconnect(); '.
            'requestAnimationFrame(() => setTimeout(() => { window.__shown = performance.now() })) } })'.
            '.observe(document, {childList: true, subtree: true}); window.__keys = []; '.
            'new PerformanceObserver(l => { for (const e of l.getEntries()) if (e.name === "keydown") '.
            'window.__keys.push(e.duration) }).observe({type: "event", durationThreshold: 16, buffered: true})',
    ]);
    $first = [];
    for ($i = 0; $i < ROUNDS; $i++) {
        $tell('Network.clearBrowserCache');
        $chrome->open('/standard');
        $chrome->css('.lcell');
        usleep(300_000);
        $first[] = (float) $chrome->page->executeScript('return window.__shown');
    }
    printf("ladder, first screen, cold cache   median %4.0f ms   worst %4.0f ms\n", $median($first), max($first));
    $chrome->waitFor('Does the ladder hold?');
    $chrome->css('.lcell[tabindex="0"]')->click();
    $chrome->page->executeScript('window.__keys = []');
    $down = WebDriverKeys::ARROW_DOWN;
    $ways = [$down, WebDriverKeys::ARROW_RIGHT, $down, WebDriverKeys::ARROW_LEFT];
    for ($i = 0; $i < KEYS; $i++) {
        $chrome->page->getKeyboard()->sendKeys([$ways[$i % count($ways)]]);
        usleep(60_000);
    }
    usleep(300_000);
    // What is painted within 16 ms is not reported at all: it counts as 16.
    $keys = array_pad((array) $chrome->page->executeScript('return window.__keys'), KEYS, 16);
    $late = count(array_filter($keys, fn (float|int $ms) => $ms > 2 * 1000 / 60 + 8));
    printf('ladder, an arrow key to its frame  median %4.0f ms   worst %4.0f ms   ', $median($keys), max($keys));
    printf("later than two frames: %d of %d\n", $late, KEYS);
    $chrome->signOut();
} finally {
    $chrome->close();
}
