<?php

declare(strict_types=1);

// Takes the pictures in docs/screenshots from the running demo. Called by ./ordotype shots with the address.

use Tests\Support\Chrome;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$folder = $argv[2] ?? dirname(__DIR__, 2).'/docs/screenshots';
@mkdir($folder, 0775, true);
$chrome = new Chrome($argv[1] ?? 'http://127.0.0.1:8480');
$find = function (string $api, callable $pick) use ($chrome): mixed {
    $data = $chrome->page->executeAsyncScript(
        'const done = arguments[1]; fetch("/api/v1/" + arguments[0], {headers: {Accept: '.
            '"application/json"}}).then(r => r.json()).then(done)',
        [$api],
    );

    return $pick($data['data']);
};
$order = fn (string $number): mixed => $find(
    'orders',
    fn (array $orders) => current(array_filter($orders, fn ($o) => $o['number'] === $number)),
);
/** Waits for the worker: drawings take seconds each. */
$drawn = function () use ($chrome): void {
    $waits = 'return document.querySelectorAll("[role=status] .ant-spin, .ant-skeleton").length';
    for ($n = 0; $n < 120 && (sleep(1) || $chrome->page->executeScript($waits) > 0); $n++);
};
try {
    $chrome->open('/');
    $chrome->dark(false);
    $chrome->open('/');
    $chrome->text('Demo studio', '*');
    $chrome->signIn('Runa Wick');
    $chrome->waitFor('Does the ladder hold?');
    $chrome->css('#cell-14-4')->click();
    $chrome->waitFor('minutes allowed');
    $chrome->shot("$folder/standard.png");
    foreach (['techniques' => 'Mould line removal', 'comparison' => 'Links for clients'] as $page => $sign) {
        $chrome->open("/standard/$page");
        $chrome->waitFor($sign);
        $drawn();
        $chrome->shot("$folder/$page.png");
    }
    $chrome->open("/orders/{$order('26-040')['id']}/quote");
    $chrome->waitFor('Versions that went out');
    $chrome->shot("$folder/quote.png");
    $chrome->press('Make the address of the client’s page');
    $chrome->waitFor('/for-you/');
    preg_match('#/for-you/[0-9a-f]{32}#', (string) $chrome->page->executeScript('return document.body.innerText'), $page);
    $chrome->open($page[0] ?? '/');
    $chrome->waitFor('since the last one');
    $drawn();
    $chrome->shot("$folder/client.png");
    $chrome->open('/orders');
    $chrome->waitFor('Mudlarks for the flats');
    $chrome->shot("$folder/orders.png");
    $fresh = $order('26-041');
    $chrome->open("/orders/{$fresh['id']}");
    $chrome->waitFor('Add a unit');
    $drawn();
    $chrome->shot("$folder/order.png");
    $chrome->open("/units/{$fresh['units'][1]['id']}/plan");
    $chrome->waitFor('a model');
    $chrome->page->executeScript("document.querySelectorAll('.strips .step:not([data-area=\"\"])')[1].click()");
    $chrome->waitFor('Why is this here?');
    $chrome->shot("$folder/plan.png");
    $chrome->open("/units/{$fresh['units'][0]['id']}/plan?tab=order");
    $chrome->waitFor('Drag a step');
    $chrome->css('.order li:nth-child(2) .moves button:first-child')->click();
    $chrome->waitFor('cannot stand there');
    $chrome->shot("$folder/order-of-work.png");
    $chrome->open("/units/{$order('26-040')['units'][0]['id']}/plan?tab=models");
    $chrome->waitFor('Painted alike');
    $chrome->shot("$folder/models.png");
    $chrome->open("/units/{$fresh['units'][0]['id']}/card");
    $chrome->waitFor('Bench card');
    $chrome->shot("$folder/bench-card.png");
    $chrome->open("/schemes/tidemark?order={$fresh['id']}");
    $chrome->waitFor('Versions');
    $chrome->press('drawn');
    $drawn();
    $chrome->shot("$folder/scheme.png");
    $chrome->open('/figures/sluice-warden');
    $chrome->waitFor('The map, checked');
    $chrome->shot("$folder/map.png");
    $chrome->open('/bench');
    $chrome->waitFor('Work on this batch');
    $chrome->shot("$folder/bench.png");
    $chrome->open('/bench/day');
    $chrome->waitFor('Flats and dyke');
    $chrome->shot("$folder/day.png");
    $chrome->open('/bench/'.$order('26-038')['units'][0]['id']);
    $chrome->waitFor('All done');
    $chrome->waitFor('in its own mix');
    $drawn();
    $chrome->shot("$folder/batch.png");
    $chrome->open('/check');
    $chrome->waitFor('Signed off');
    $chrome->press('Go on with model', true);
    $chrome->waitFor('drawn, not photographed');
    $chrome->shot("$folder/check.png");
    $chrome->dark(true);
    $chrome->page->navigate()->refresh();
    $chrome->waitFor('drawn, not photographed');
    $chrome->shot("$folder/check-dark.png");
    $chrome->dark(false);
    $chrome->open('/certificates/1');
    $chrome->waitFor('of the chain');
    $chrome->shot("$folder/certificate.png");
} finally {
    $chrome->close();
}
