<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** A client on a telephone: they tick, ask, see another tier, and say yes; the studio makes the quote at its desk. */
final class ClientBrowserTest extends BrowserTestCase
{
    private const PHONE = [390, 844];

    public function test_a_quote_is_made_and_the_client_ticks_asks_wishes_another_tier_and_accepts_on_a_phone(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/orders');
        $chrome->press('Wardens for a gift');
        $chrome->press('Open the quote');
        $chrome->waitFor('Version 3, as it stands');
        $order = (int) basename(dirname($chrome->page->getCurrentURL()));
        // What stands in it is typed; what does not add up is said before anything goes out.
        $chrome->fill('What could happen', 'A pole to be straightened', '[aria-label="What moves the price"]');
        $chrome->fill('It adds, EUR', '900', '[aria-label="What moves the price"]');
        $chrome->press('Name it');
        $chrome->waitFor('more than the ceilings leave');
        self::assertFalse($chrome->text('Send out version 3', 'button', true)->isEnabled());
        $last = '(//*[@aria-label="What moves the price"]//button[contains(., "Take out")])[2]';
        $chrome->click($chrome->page->findElement(WebDriverBy::xpath($last)));
        $this->until(fn () => ! $chrome->seen('more than the ceilings leave'));
        $price = $chrome->css('textarea[aria-label="Price of a Sluice Warden"]');
        $chrome->click($price);
        $price->sendKeys(WebDriverKeys::CONTROL.'a');
        $price->sendKeys('110'.WebDriverKeys::ENTER);
        $chrome->waitFor('€323.30');
        $chrome->press('Send out version 3');
        $chrome->click($chrome->css('.ant-modal .ant-btn-primary'));
        $this->until(fn () => $this->quote($order)['versions'][0]['number'] === 3);
        $chrome->press('Make the address of the client’s page');
        $chrome->waitFor('/for-you/');
        $text = $chrome->page->executeScript('return document.body.innerText');
        self::assertSame(1, preg_match('#/for-you/[0-9a-f]{32}#', (string) $text, $link));
        $chrome->signOut();

        $chrome->resize(...self::PHONE);
        $chrome->open($link[0]);
        $chrome->waitFor('since the last one');
        self::assertLessThanOrEqual(self::PHONE[0], $chrome->page->executeScript('return document.documentElement.scrollWidth'));
        $before = $this->priceSeen();
        $rust = $chrome->text('Rust on the hooks', 'b');
        $chrome->page->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$rust]);
        $chrome->click($rust);
        $this->until(fn () => $this->priceSeen() > $before);
        $chrome->press('Ask', true);
        $chrome->fill('What you would know', 'Do the hooks come off?', '.ant-modal');
        $chrome->fill('Your name', 'Vesna', '.ant-modal');
        $chrome->click($chrome->css('.ant-modal .ant-btn-primary'));
        $chrome->waitFor('not answered yet');
        $chrome->press('Another tier');
        $chrome->press('Rather Banner');
        $chrome->press('Ask for Banner');
        $chrome->waitFor('I would have this at Banner.');
        $chrome->press('Accept, about', true);
        $chrome->waitFor('I am of age, or a parent agrees');
        self::assertFalse($chrome->css('.ant-modal .ant-btn-primary')->isEnabled());
        $chrome->click($chrome->text('I am of age, or a parent agrees', 'span'));
        $chrome->click($chrome->css('.ant-modal .ant-btn-primary'));
        $chrome->waitFor('Accepted by Vesna');
        self::assertSame([], $this->axe());
        $chrome->resize(1280, 800);

        $chrome->signIn('Runa Wick');
        $now = $this->quote($order);
        self::assertSame(['accepted', 'accepted', ['x1']], [
            $now['order']['status'], $now['versions'][0]['state'], $now['versions'][0]['ticks'],
        ]);
        $chrome->open("/orders/$order");
        $chrome->waitFor('Vesna asked');
        $chrome->signOut();
    }

    /** The price of all of it as it is read, in cents. */
    private function priceSeen(): int
    {
        $read = self::$chrome->css('[aria-label="What it costs"] p')->getText();

        return (int) preg_replace('/\D/', '', $read);
    }

    /** @return array<string, mixed> */
    private function quote(int $order): array
    {
        return $this->get("orders/$order/quote");
    }
}
