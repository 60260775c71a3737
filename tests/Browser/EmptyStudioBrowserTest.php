<?php

declare(strict_types=1);

namespace Tests\Browser;

/** An installation without demo data: one lead, and nothing else yet. */
final class EmptyStudioBrowserTest extends BrowserTestCase
{
    protected const FILL = [PHP_BINARY, 'tests/Support/lead.php'];

    public function test_every_page_says_what_is_missing_and_a_pack_begins_the_standard(): void
    {
        $chrome = self::$chrome;
        $chrome->open('/');
        $chrome->fill('E-mail', 'lead@studio.example');
        $chrome->fill('Password', 'a long password');
        $chrome->press('Sign in');
        $chrome->waitFor('No standard yet');
        foreach (['prices', 'techniques', 'differences', 'comparison'] as $page) {
            $chrome->open("/standard/$page");
            $chrome->waitFor('No standard yet');
        }
        $empty = [
            'orders' => 'No orders yet',
            'bench' => 'Nothing is on the bench',
            'check' => 'Nothing waits for a check',
            'schemes' => 'No scheme yet',
            'figures' => 'No figure yet',
        ];
        foreach ($empty as $page => $says) {
            $chrome->open("/$page");
            $chrome->waitFor($says);
        }
        $chrome->open('/standard/prices');
        $chrome->press('Choose a pack');
        $chrome->waitFor('Five rungs');
        $chrome->press('See what it would', true);
        $chrome->press('Take it in', true);
        $this->until(fn () => ($this->get('standard')['version']['status'] ?? null) === 'draft');
        $chrome->open('/standard/prices');
        $chrome->waitFor('for each model, low to high');
        $chrome->open('/standard/comparison');
        $chrome->waitFor('No figure yet');

        // An order rests on what is published, and says so.
        $chrome->open('/orders');
        $chrome->press('Open the first one');
        $chrome->waitFor('What it is called');
        foreach (['Client' => 'The Fen Guard', 'What it is called' => 'A guard of twelve'] as $label => $text) {
            $chrome->fill($label, $text, '.ant-modal');
        }
        $chrome->press('Open the order');

        $chrome->waitFor('No version of the standard is published yet');
    }
}
