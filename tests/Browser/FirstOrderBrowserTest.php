<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** From an empty installation to an order that was delivered, claimed and delivered again, by three people. */
final class FirstOrderBrowserTest extends EmptyStudioTestCase
{
    /** Buttons and entries of lists that are pressed on the way, by all three; keys at the bench and in checks apart. */
    private const CLICKS = 90;

    /** A pot by a line, as a spreadsheet of the continent writes it. */
    private const PAINTS = "Farbe;Art;Hex;Inhalt\nBog green;opaque;#43603f;17,5\nPeat brown;opaque;#4b3524;17,5\n".
        "Fen skin;opaque;#b9805c;17,5\nHook steel;metal;#8a8f96;17,5\nReed yellow;opaque;#c2a04a;17,5\n";

    public function test_three_people_bring_an_order_from_nothing_to_the_client_and_take_a_claim(): void
    {
        $chrome = self::$chrome;
        $this->comeIn('lead');
        $links = $this->invited(['Ada' => 'painter', 'Bo' => 'front desk']);
        $this->standardByHand();
        $this->paintsFigureAndScheme();
        foreach ($links as $name => $link) {
            $chrome->signOut();
            $chrome->open($link);
            $chrome->fill('Password', self::PASSWORD);
            $chrome->press('Come in');
            $chrome->css('nav.rail');
        }

        $this->comeIn('bo');
        $order = $this->order();
        $this->comeIn('lead');
        $this->answerWithAnAmendment($order);
        $units = array_column($this->seen($order)['units'], 'id');
        foreach ($units as $unit) {
            $chrome->open("/units/$unit/plan");
            $chrome->press('Release to bench');
            $this->until(fn () => $this->get("units/$unit/plan")['unit']['released']);
        }
        self::assertSame('in_work', $this->seen($order)['status'], 'no excuse was asked for');
        $chrome->waitFor('To the bench');

        $this->comeIn('ada');
        foreach ($units as $unit) {
            $chrome->open("/bench/$unit");
            $this->paint();
            $chrome->press('Offer ', true);
            $chrome->waitFor('Offered to the check');
        }
        $this->comeIn('lead');
        $this->checkAndSign();
        self::assertSame('done', $this->seen($order)['status']);

        $this->comeIn('bo');
        $this->sendInTwo($order);
        self::assertSame('delivered', $this->seen($order)['status']);
        $this->claim($order);
        self::assertSame('in_work', $this->seen($order)['status']);
        // Counted, so that what makes the way longer is seen.
        self::assertLessThanOrEqual(self::CLICKS, $chrome->presses());
        self::assertGreaterThan(self::CLICKS - 10, $chrome->presses(), 'say the shorter way here');
        self::assertSame([], $this->axe());
    }

    /**
     * @param  array<string, string>  $people
     * @return array<string, string> the path of each link
     */
    private function invited(array $people): array
    {
        $links = [];
        foreach ($people as $name => $role) {
            $links[$name] = $this->invite($name, $role);
        }

        return $links;
    }

    /** One rung, one thing asked, one price. */
    private function standardByHand(): void
    {
        $chrome = self::$chrome;
        $chrome->open('/standard/packs');
        $chrome->click($this->in('Empty ladder', 'See what it would change'));
        $chrome->press('Take it in', true);
        $this->until(fn () => ($this->get('standard')['version']['status'] ?? null) === 'draft');
        $chrome->open('/standard');
        $chrome->press('Add a row');
        $chrome->press('A result on some areas, by whatever technique');
        $chrome->press('Ask this here');
        $this->until(fn () => count($this->get('standard')['rows']) === 1);
        $chrome->open('/standard/prices');
        $chrome->labelled('infantry regular at First rung, low')->sendKeys('9.50'.WebDriverKeys::TAB);
        $chrome->page->getKeyboard()->sendKeys('12.50'.WebDriverKeys::TAB);
        $this->until(fn () => $chrome->text('Undo', 'button', true)->isEnabled());
        $chrome->open('/standard');
        $chrome->press('Publish v1');
        $chrome->css('.ant-modal textarea')->sendKeys('Our first rung.');
        $chrome->press('Publish v1 for good');
        $chrome->waitFor('v1, published');
    }

    private function paintsFigureAndScheme(): void
    {
        $chrome = self::$chrome;
        $chrome->open('/paints');
        $chrome->press('Read a table');
        $chrome->fill('Or paste it here', self::PAINTS.WebDriverKeys::TAB, '.ant-modal');
        $chrome->press('Put 5 paints on the shelf');
        $chrome->waitFor('Hook steel');
        $chrome->open('/figures');
        $chrome->press('Make the first one');
        $chrome->fill('What it is called', 'Fen Guard', '.ant-modal');
        $chrome->press('Make the figure');
        $chrome->css('.map-page');
        $chrome->open('/schemes');
        $chrome->press('Make the first one');
        $chrome->fill('What it is called', 'Bog', '.ant-modal');
        $chrome->choose('Starts from', 'what the shelf has for each slot', '.ant-modal');
        $chrome->press('Make it');
        $this->until(fn () => str_ends_with($chrome->page->getCurrentURL(), '/schemes/bog'));
        $steel = array_values(array_filter($this->get('schemes/bog')['slots'], fn (array $s) => $s['slot'] === 'steel'));
        self::assertSame('Hook steel', $steel[0]['colours']['base']['paint'], 'steel is not given the first paint');
    }

    private function order(): int
    {
        $chrome = self::$chrome;
        $chrome->open('/orders');
        $chrome->press('Open the first one');
        $chrome->fill('Client', 'The Fen', '.ant-modal');
        $chrome->fill('What it is called', 'A guard of three', '.ant-modal');
        $chrome->press('Open the order');
        $chrome->waitFor('No units yet');
        $order = (int) basename($chrome->page->getCurrentURL());
        $chrome->open("/orders/$order");
        $chrome->waitFor('Add the unit');
        $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::ESCAPE);
        $this->more('Paste units as lines');
        $lines = "1 Fen Guard, First rung, The gate\n1 Fen Guard, First rung, The wall\n1 Fen Guard, First rung, The road";
        $chrome->css('.ant-modal textarea')->sendKeys($lines);
        $chrome->press('Read the lines');
        $chrome->press('Make 3 units');
        $this->until(fn () => count($this->seen($order)['units']) === 3);
        $chrome->choose('Scheme', 'Bog');
        $this->until(fn () => $this->seen($order)['scheme'] === 'Bog');
        $chrome->press('Make the quote');
        $chrome->press('Send out version 1');
        $this->inDialog('Send out version 1');
        $this->until(fn () => $this->seen($order)['status'] === 'quoted');
        $chrome->open("/orders/$order");
        $chrome->press('Note the yes');
        $chrome->fill('Who said yes', 'Ada Fen', '.ant-modal');
        $this->inDialog('Note the yes');
        $this->until(fn () => $this->seen($order)['status'] === 'accepted');

        // One of them came without its arm, and the client is asked about it before anybody paints.
        $this->more('Note a parcel');
        $chrome->fill('How: by post, by hand', 'parcel post', '.ant-modal');
        $this->inDialog('Note it');
        $chrome->press('Receive models');
        $chrome->fill('What is missing, a line each: number of the model, the part', '1: the arm with the lantern', '.ant-modal');
        $this->inDialog('They are here');
        $chrome->waitFor('the arm with the lantern is missing');
        $this->more('Ask the client something');
        $chrome->fill('The question', 'The arm is missing: shall the lantern stay bare?', '.ant-modal');
        $chrome->choose('What it is about', '1 × Fen Guard, The gate', '.ant-modal');
        $chrome->click($chrome->text('It stays off the bench until this is answered', 'label'));
        $this->inDialog('Note the question');
        $chrome->waitFor('1 open questions');

        return $order;
    }

    private function answerWithAnAmendment(int $order): void
    {
        $chrome = self::$chrome;
        $chrome->open("/orders/$order");
        $chrome->click($this->in('shall the lantern stay bare', 'Note the answer'));
        $chrome->fill('What they answered', 'Yes, leave the boots bare, too.', '.ant-modal');
        $chrome->click($chrome->text('It changes what is painted', 'label'));
        $chrome->choose('Clause', 'Base colour: left unpainted', '.ant-modal');
        $chrome->click($chrome->text('Boots', '*[self::button or self::label]'));
        $this->inDialog('Note the answer and amend');
        $chrome->waitFor('It is an amendment now');
        $unit = $this->seen($order)['units'][0]['id'];
        self::assertCount(1, $this->get("units/$unit/plan")['amendments']);
    }

    private function checkAndSign(): void
    {
        $chrome = self::$chrome;
        for ($model = 1; $model <= 3; $model++) {
            $this->openCheck('A guard of three', 'Check the next: model 1');
            $this->answerAll();
            $chrome->press('Pass');
            $chrome->waitFor('has passed');
            $chrome->click($this->in('A guard of three', 'Sign off 1 passed'));
            $chrome->press('Sign off');
            $chrome->waitFor("Certificate $model");
        }
    }

    private function sendInTwo(int $order): void
    {
        $chrome = self::$chrome;
        $chrome->open("/orders/$order");
        $chrome->press('Send the models');
        $chrome->fill('How: by post, by hand', 'parcel post', '.ant-modal');
        // One of the three goes later.
        $chrome->click($chrome->css('.ant-modal .ant-checkbox-wrapper'));
        $this->inDialog('Send it');
        $this->until(fn () => count($this->seen($order)['life']['parcels']) === 2);
        self::assertSame('done', $this->seen($order)['status']);
        $chrome->press('Send the models');
        $chrome->fill('How: by post, by hand', 'parcel post', '.ant-modal');
        $this->inDialog('Send it');
        $this->until(fn () => $this->seen($order)['status'] === 'delivered');
    }

    private function claim(int $order): void
    {
        $chrome = self::$chrome;
        $this->more('Take up a claim');
        $chrome->click($chrome->css('.ant-modal .ant-checkbox-wrapper'));
        $chrome->fill('What is wrong, and whose: ours, the post’s, or a new wish', 'The post’s: a hook is bent.', '.ant-modal');
        $this->inDialog('Take up a claim');
        $this->until(fn () => $this->seen($order)['status'] === 'in_work');
    }

    private function inDialog(string $button): void
    {
        $where = WebDriverBy::xpath("//*[contains(@class, 'ant-modal')]//button[normalize-space(.) = '$button']");
        $this->until(fn () => self::$chrome->page->findElements($where) !== []);
        self::$chrome->click(self::$chrome->page->findElement($where));
    }

    private function more(string $act): void
    {
        $chrome = self::$chrome;
        $open = fn (): int => (int) $chrome->page->executeScript(
            'return [...document.querySelectorAll(".ant-modal")].filter(d => d.getClientRects().length > 0).length',
        );
        // The dialog before this one fades first; a list that the page draws anew under the mouse is opened again.
        $this->until(fn () => $open() === 0);
        $this->until(function () use ($chrome, $act, $open) {
            $chrome->press('More');
            $chrome->click($chrome->text($act, '*[contains(@class, "ant-dropdown-menu-title-content")]'));
            for ($i = 0; $i < 50 && $open() === 0; $i++) {
                usleep(100_000);
            }

            return $open() > 0;
        });
    }

    /** @return array<string, mixed> */
    private function seen(int $order): array
    {
        return $this->get("orders/$order");
    }

    private function comeIn(string $who): void
    {
        $this->enter($who);
        self::$chrome->css('nav.rail');
    }
}
