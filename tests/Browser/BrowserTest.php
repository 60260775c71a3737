<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Pictures\Png;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Symfony\Component\Process\Process;
use Tests\Support\Demo;
use Tests\Support\WalksTheBench;

/** The real interface in a real browser, on a database of its own with the demo in it. */
final class BrowserTest extends BrowserTestCase
{
    use WalksTheBench;

    public function test_facts_of_an_order_are_changed_where_they_stand_and_a_change_of_somebody_else_is_shown(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $order = array_values(array_filter($this->get('orders')['data'], fn ($o) => $o['number'] === '26-041'))[0];
        $chrome->open("/orders/{$order['id']}");
        $this->in('The brief', 'Change')->click();
        $chrome->fill('What it is called', 'The Sluice Watch, again');
        $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $this->until(fn () => $chrome->css('h1')->getText() === 'The Sluice Watch, again');
        // Somebody else gives it another client while this page is open.
        $chrome->page->executeAsyncScript(
            'const [id, done] = arguments; (async () => { const head = {Accept: "application/json", "Content-Type": '.
                '"application/json", "X-XSRF-TOKEN": decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1])};'.
                'const o = await (await fetch(`/api/v1/orders/${id}`, {headers: head})).json();'.
                'await fetch(`/api/v1/orders/${id}`, {method: "PUT", headers: head, body: JSON.stringify('.
                '{revision: o.revision, client: "Hanne Brill and sister"})}); done(1); })()',
            [$order['id']],
        );
        $chrome->fill('Client', 'H. Brill');
        $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $chrome->waitFor('Somebody else has changed this order in the meantime.');
        $chrome->waitFor('There stands now: “Hanne Brill and sister”');
        self::assertSame('H. Brill', $chrome->labelled('Client')->getAttribute('value'), 'nothing typed is lost');
        $chrome->press('Leave it like that');
        $this->until(
            fn () => $chrome->labelled('Client')->getAttribute('value') === 'Hanne Brill and sister',
        );
        foreach ([['title', $order['title'], 'What it is called'], ['client', $order['client'], 'Client']] as [$fact, $was, $label]) {
            $chrome->fill($label, $was);
            $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
            $this->until(fn () => $this->get("orders/{$order['id']}")[$fact] === $was);
            // The page has its answer too: what is changed next is changed from there.
            $this->until(fn () => $fact !== 'title' || $chrome->css('h1')->getText() === $was);
        }
    }

    public function test_drawings_are_asked_for_and_a_photograph_is_laid_under_its_outlines_by_keys(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $order = current(array_filter($this->get('orders')['data'], fn (array $o) => $o['number'] === '26-041'));
        $chrome->open("/units/{$order['units'][0]['id']}/plan");
        $chrome->press('drawn');
        $chrome->waitFor('being drawn');
        $chrome->waitFor('Finished.');
        $file = sys_get_temp_dir().'/ordotype-photograph-'.bin2hex(random_bytes(4)).'.png';
        file_put_contents($file, Png::of((new Booth())->draw(new BoothRequest(Demo::sculpt(), [], width: 240))));
        $chrome->open('/check');
        $chrome->press('Go on with model', true);
        $chrome->waitFor('So far');
        $upload = WebDriverBy::cssSelector('section[aria-label="Photographs"] input[type=file]');
        $chrome->page->findElement($upload)->sendKeys($file);
        $chrome->press('Lay the outlines over it');
        $point = $chrome->css('[aria-label="The highest point"]');
        $before = $point->getAttribute('style');
        $point->sendKeys(WebDriverKeys::ARROW_DOWN);
        self::assertNotSame($before, $point->getAttribute('style'), 'the arrow keys nudge');
        $chrome->press('Measure');
        $chrome->waitFor('being measured');
        $chrome->waitFor('drawn, not photographed');
        $chrome->css('body')->sendKeys('w');
        self::assertSame('true', $chrome->css('button.chip[aria-pressed="true"]')->getAttribute('aria-pressed'));
        self::assertSame([], $this->axe());
        $chrome->press('Compare the models');
        $chrome->waitFor('Two models and more have to be photographed');
        $chrome->css('.ant-drawer button:not(.ant-drawer-close)')->click();
        $chrome->waitFor('The others are compared with it.');
        self::assertSame([], $this->axe());
        unlink($file);
    }

    public function test_a_paint_is_put_on_the_shelf_and_a_token_is_made_and_revoked(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/paints');
        $chrome->waitFor('Brick Clay');
        $chrome->press('Add a paint');
        $chrome->fill('What the pot says', 'Brick Clay');
        $chrome->press('Put it on the shelf');
        $chrome->waitFor('There is a paint of this name on the shelf already.');
        $chrome->fill('What the pot says', 'Fen Ochre');
        $chrome->press('Put it on the shelf');
        $chrome->waitFor('Fen Ochre is on the shelf.');
        $shelf = $this->get('paints?find=fen%20ochre');
        self::assertSame([['Fen Ochre', 'opaque']], array_map(fn (array $p) => [$p['name'], $p['kind']], $shelf['data']));

        $chrome->open('/settings/you');
        $chrome->waitFor('Tokens for scripts');
        $chrome->fill('What it is for', 'Nightly export');
        $chrome->choose('It may', 'read the standard');
        $chrome->css('h1')->click();
        $chrome->press('Make a token');
        $chrome->waitFor('shown this once');
        $tokens = $this->get('tokens')['data'];
        self::assertSame([['Nightly export', ['standard.read'], false]], array_map(
            fn (array $t) => [$t['name'], $t['abilities'], $t['expired']],
            $tokens,
        ));
        $chrome->press('Revoke');
        $chrome->press('Revoke it');
        $this->until(fn () => $this->get('tokens')['data'] === []);
        $chrome->signOut();
    }

    public function test_every_screen_light_and_dark_has_no_serious_finding_of_axe_and_shows_no_keys(): void
    {
        $chrome = self::$chrome;
        $found = $keys = [];
        $chrome->open('/');
        $chrome->signOut();
        $chrome->open('/');
        $chrome->waitFor('who are you today');
        $found['sign-in'] = $this->axe();
        $chrome->signIn('Runa Wick');
        $units = [];
        foreach (
            $chrome->page->executeAsyncScript(
                'const done = arguments[0]; fetch("/api/v1/orders", {headers: {Accept: '.
                    '"application/json"}}).then(r => r.json()).then(done)',
            )['data'] as $order
        ) {
            $units[$order['number']] = ['order' => $order['id'], 'unit' => $order['units'][0]['id']];
        }
        $pages = [
            '/standard' => 'Does the ladder hold?',
            '/standard/techniques' => 'Mould line removal',
            '/standard/prices' => 'for each model',
            '/standard/differences' => 'For the client',
            '/standard/comparison' => 'Links for clients',
            '/standard/versions' => 'What changes from',
            '/standard/packs' => 'Two stages',
            '/settings/people' => 'Invite somebody',
            '/settings/studio' => 'Time zone',
            '/settings/you' => 'Tokens for scripts',
            '/orders' => 'The Sluice Watch',
            "/orders/{$units['26-041']['order']}" => 'Add a unit',
            "/units/{$units['26-041']['unit']}/plan" => 'Meets the tier',
            "/units/{$units['26-041']['unit']}/plan?tab=order" => 'Drag a step',
            "/units/{$units['26-041']['unit']}/plan?tab=time" => 'A good place to stop',
            "/units/{$units['26-041']['unit']}/plan?tab=models" => 'Variants',
            "/units/{$units['26-041']['unit']}/card" => 'Bench card',
            '/schemes' => 'test model',
            "/schemes/tidemark?order={$units['26-041']['order']}" => 'Versions',
            '/figures' => 'Ferry Gun',
            '/paints' => 'Brick Clay',
            '/figures/sluice-warden' => 'The map, checked',
            '/bench' => 'Work on this batch',
            "/bench/{$units['26-038']['unit']}" => 'All done',
            '/check' => 'Signed off',
            '/check/3' => 'So far',
            '/certificates/1' => 'of the chain',
            '/nowhere' => 'Nothing here',
        ];
        foreach ([false, true] as $dark) {
            $chrome->dark($dark);
            foreach ($pages as $path => $sign) {
                $chrome->open($path === '/check/3' ? '/check' : $path);
                if ($path === '/check/3') {
                    $chrome->press('Go on with model', true);
                }
                $chrome->waitFor($sign);
                $found[$path.($dark ? ' dark' : '')] = $this->axe();
                $keys[$path] = $this->keysShown();
            }
        }
        $chrome->dark(false);
        $chrome->signOut();
        self::assertSame([], array_filter($found));
        self::assertSame([], array_filter($keys));
    }

    public function test_a_lead_changes_a_cell_by_keyboard_alone(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->waitFor('Does the ladder hold?');
        $chrome->press('Open a draft');
        $chrome->waitFor('v2, draft');
        $type = fn (string ...$keys) => $chrome->page->getKeyboard()->sendKeys($keys);
        $chrome->css('.lcell[tabindex="0"]')->click();
        // Down to the row of the lines between parts, right to the third rung.
        $focused = fn (): mixed => $chrome->page->executeScript('return document.activeElement.id');
        $go = function (string $key) use ($type, $focused): void {
            $before = $focused();
            $type($key);
            $this->until(fn () => $focused() !== $before);
        };
        for ($i = 0; $i < 60 && ! str_contains($this->focusedRow(), 'Dark lines between parts'); $i++) {
            $go(WebDriverKeys::ARROW_DOWN);
        }
        $go(WebDriverKeys::ARROW_RIGHT);
        $go(WebDriverKeys::ARROW_RIGHT);
        $chrome->waitFor('Banner · Dark lines between parts');
        $type(WebDriverKeys::ENTER);
        $type('tinted');
        $chrome->waitFor('This edit, on');
        $chrome->waitFor('→');
        $type(WebDriverKeys::CONTROL.WebDriverKeys::ENTER.WebDriverKeys::NULL);
        $this->until(fn () => $this->kept('banner.lines') === 'separate_tinted');
        $this->until(fn () => $this->cell('Dark lines between parts', 4)->getText() === 'as before');

        // Undo puts it back.
        $chrome->css('.lcell[tabindex="0"]')->sendKeys('u');
        $this->until(fn () => $this->kept('banner.lines') === 'separate');
        $this->until(fn () => $chrome->css('.lcell[tabindex="0"]')->getText() === 'neutral');

        // Redo, and undo once more, by keyboard too.
        $chrome->css('.lcell[tabindex="0"]')->sendKeys('r');
        $this->until(fn () => $this->kept('banner.lines') === 'separate_tinted');
        $this->until(fn () => $chrome->text('Undo u', 'button')->isEnabled());
        $chrome->css('.lcell[tabindex="0"]')->sendKeys('u');
        $this->until(fn () => $this->kept('banner.lines') === 'separate');
        $chrome->signOut();
    }

    public function test_two_people_on_one_cell_and_nothing_typed_is_lost(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->waitFor('Does the ladder hold?');
        if (! $chrome->seen('v2, draft')) {
            $chrome->press('Open a draft');
            $chrome->waitFor('v2, draft');
        }
        $this->cell('Edge highlights', 3)->click();
        $chrome->waitFor('Banner · Edge highlights');
        $chrome->choose('extent', 'in a spot');
        $chrome->waitFor('This edit, on');
        // What is being typed survives a reload.
        $chrome->page->navigate()->refresh();
        $chrome->waitFor('This edit, on');
        // Somebody else is quicker.
        self::assertSame(200, $this->elsewhere('banner.edges', ['passes' => 3]));
        $chrome->press('Keep');
        $chrome->waitFor('Somebody else changed this first.');
        self::assertSame('in a spot', $chrome->chosen('extent'));
        $chrome->press('Put mine in its place');
        $this->until(fn () => ($this->clause('banner.edges')['extent'] ?? null) === 'spot');
        self::assertSame(1, $this->clause('banner.edges')['passes']);

        // The ladder says that a higher rung asks for less now; one press puts it right, one takes it back.
        $chrome->waitFor('Banner asks for less than Company');
        $chrome->press('Do that');
        $this->until(
            fn () => ($this->clause('banner.edges')['extent'] ?? null) !== 'spot' ||
                $this->clause('banner.edges_kept') !== null,
        );
        $chrome->waitFor('no rung asks for less');
        $this->until(fn () => $chrome->text('Undo u', 'button')->isEnabled());
        $chrome->press('Undo u');
        $this->until(
            fn () => ($this->clause('banner.edges')['extent'] ?? null) === 'spot' &&
                $this->clause('banner.edges_kept') === null,
        );
        $chrome->waitFor('Banner asks for less than Company');

        // The draft is thrown away, so the other tests find the ladder as it was.
        $chrome->open('/standard/versions');
        $chrome->press('Throw away');
        $chrome->press('Throw it away');
        $this->until(fn () => ! $chrome->seen('Version 2'));
        $chrome->signOut();
    }

    public function test_a_row_is_added_and_left_out_a_file_is_looked_at_first_and_a_bad_one_is_named(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->waitFor('Does the ladder hold?');
        $chrome->press('Open a draft');
        $chrome->waitFor('v2, draft');
        $this->cell('Edge highlights', 4)->click();
        $chrome->waitFor('Cabinet · Edge highlights');
        $chrome->press('Add a row');
        $chrome->press('A figure that can be measured');
        $chrome->waitFor('a new row');
        $chrome->press('Ask this here');
        $this->until(fn () => $this->clause('cabinet.finish') !== null);
        // A clause that comes from the rung below is deliberately not asked, and asked again.
        $this->cell('Recesses', 4)->click();
        $chrome->waitFor('Cabinet · Recesses');
        $chrome->press('Not asked here');
        $this->until(fn () => $this->cell('Recesses', 4)->getText() === '— not asked here');
        $this->cell('Recesses', 4)->click();
        $chrome->press('Ask as the rung below');
        $this->until(fn () => $this->cell('Recesses', 4)->getText() === 'as before');

        $chrome->open('/standard/packs');
        $chrome->waitFor('A file of yours');
        $file = sys_get_temp_dir().'/ordotype-bad-'.getmypid().'.json';
        file_put_contents(
            $file,
            str_replace(
                '"technique": "handle_mount"',
                '"technique": "sorcery"',
                (string) file_get_contents(dirname(__DIR__, 2).'/database/demo/standards/two-stages.json'),
                $count,
            ),
        );
        self::assertGreaterThan(0, $count);
        $chrome->page->findElement(WebDriverBy::cssSelector('input[type="file"]'))->sendKeys($file);
        $chrome->waitFor('It is not taken in, and nothing was changed.');
        $chrome->waitFor('is not a technique of this');
        $chrome->waitFor('/tiers/0/clauses/');
        unlink($file);
        $chrome->page->executeScript("document.querySelectorAll('section.card .ant-btn')[2].click()");
        $chrome->waitFor('things change');
        self::assertTrue($chrome->text('Take it in', 'button')->isEnabled());

        $chrome->open('/standard/versions');
        $chrome->press('Throw away');
        $chrome->press('Throw it away');
        $this->until(fn () => ! $chrome->seen('Version 2'));
        $chrome->signOut();
    }

    public function test_the_desk_puts_a_model_on_hold_with_the_reason_and_takes_it_up_again(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Wil Ferris');
        $chrome->press('Wardens for a gift');
        $chrome->waitFor('Add a unit');
        $chrome->css('button[aria-label="model 2: planned"]')->click();
        $chrome->press('Put on hold');
        $chrome->waitFor('Say why.');
        // Under the content policy a dialog has its styles, and the page behind it does not scroll.
        $looks = fn (string $what): mixed => $chrome->page->executeScript("return $what");
        self::assertSame('8px', $looks('getComputedStyle(document.querySelector(".ant-modal .ant-btn")).borderRadius'));
        self::assertTrue($looks('document.body.classList.contains("locked")'));
        $chrome->css('.ant-modal input')->sendKeys('The client is not sure of three.');
        $chrome->press('Put on hold');
        $chrome->css('button[aria-label="model 2: on hold"]')->click();
        $chrome->press('Take up again');
        self::assertTrue($chrome->css('button[aria-label="model 2: planned"]')->isDisplayed());
        $this->until(fn () => ! $looks('document.body.classList.contains("locked")'));
        $chrome->signOut();
    }

    public function test_units_are_added_one_after_the_other_in_one_dialog(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/orders');
        $chrome->press('New order');
        $chrome->fill('Client', 'Ada Fen', '.ant-modal');
        $chrome->fill('What it is called', 'Three on watch', '.ant-modal');
        // A day is typed, Enter keeps it and sends nothing yet, and the brief is still to be written.
        $chrome->labelled('Due on', '.ant-modal')->sendKeys('2026-12-24'.WebDriverKeys::ENTER);
        $chrome->fill('Brief: what it is for, what the client expects', 'For a shelf by the door.', '.ant-modal');
        $chrome->press('Open the order');
        foreach (['Muster', 'Company'] as $tier) {
            $chrome->choose('Tier', $tier, '.ant-modal');
            $chrome->press('Add it, and another');
            $chrome->waitFor("$tier v");
        }
        $chrome->choose('Tier', 'Banner', '.ant-modal');
        $chrome->press('Add the unit');
        $chrome->waitFor('Banner v');
        $order = (int) substr((string) strrchr((string) $chrome->page->getCurrentURL(), '/'), 1);
        $kept = $this->get("orders/$order");
        self::assertSame(['2026-12-24', 'For a shelf by the door.'], [$kept['due_on'], $kept['brief']]);
        self::assertSame(
            ['muster', 'company', 'banner'],
            array_column($this->get("orders/$order")['units'], 'tier'),
        );
        $chrome->signOut();
    }

    public function test_the_whole_way_from_an_edited_clause_to_a_signed_certificate(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->waitFor('Does the ladder hold?');
        if (! $chrome->seen('v2, draft')) {
            $chrome->press('Open a draft');
            $chrome->waitFor('v2, draft');
        }

        // A clause is edited, what it does is shown, and the version is published.
        $this->cell('Dark lines between parts', 3)->click();
        $chrome->waitFor('Banner · Dark lines between parts');
        $chrome->choose('effect', 'tinted lines between parts');
        $chrome->waitFor('This edit, on');
        $chrome->press('Keep');
        $this->until(fn () => $this->kept('banner.lines') === 'separate_tinted');
        $chrome->press('Publish v2');
        $chrome->waitFor('1 thing changes');
        $chrome->css('.ant-modal textarea')->sendKeys('Lines tinted from Banner on.');
        $chrome->press('Publish v2 for good');
        $chrome->waitFor('v2, published');

        // An order, a unit, its plan with the reason, released.
        $chrome->press('Orders');
        $chrome->press('New order');
        $chrome->fill('Client', 'Ada Fen', '.ant-modal');
        $chrome->fill('What it is called', 'One on watch', '.ant-modal');
        $chrome->press('Open the order');
        $chrome->waitFor('No units yet');
        $chrome->choose('Figure', 'Mudlark', '.ant-modal');
        $chrome->choose('Tier', 'Banner', '.ant-modal');
        $chrome->fill('How many models', '1', '.ant-modal');
        $chrome->press('Add the unit');
        $chrome->press('Plan and release');
        $chrome->waitFor('Meets the tier');
        self::assertTrue($chrome->seen('Banner v2'));
        $chrome->css('.strips button.step[data-area="pot"]')->click();
        $chrome->waitFor('Why is this here?');
        $chrome->waitFor('Asked by');
        $chrome->press('Release to bench');
        $chrome->waitFor('The order is an enquiry: nobody has agreed to it.');
        $chrome->css('.ant-modal input')->sendKeys('Agreed by word of mouth.');
        $chrome->press('Release all the same');
        $chrome->press('To the bench');
        $chrome->waitFor('Take back from the bench');
        $batch = (string) $chrome->page->getCurrentURL();
        $chrome->signOut();

        // A painter goes through the passes and offers the model.
        $chrome->signIn('Ines Tallow');
        $chrome->page->get($batch);
        $this->paint();
        // The last pass is taken back by its key, and done again.
        $chrome->waitFor('Take back: ');
        $offer = WebDriverBy::xpath("//button[starts-with(normalize-space(.), 'Offer 1 finished')]");
        $this->until(fn () => count($chrome->page->findElements($offer)) === 1);
        $this->key('u');
        $this->until(fn () => $chrome->page->findElements($offer) === []);
        self::assertFalse($chrome->seen('Take back: '), 'once');
        $chrome->page->getKeyboard()->sendKeys('a');
        $this->until(function () use ($chrome, $offer) {
            $this->doneAllTheSame();

            return count($chrome->page->findElements($offer)) === 1;
        });
        $chrome->press('Offer 1 finished to the check');
        $chrome->waitFor('Offered to the check');
        $chrome->signOut();

        // The lead finds a fault and sends it back; the repair comes from the fault table.
        $chrome->signIn('Runa Wick');
        $this->openCheck('One on watch', 'Check the next: model 1');
        $chrome->page->getKeyboard()->sendKeys('f');
        // Pressed on the model, a fault is pinned there; what it counts is said before it is noted.
        $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::ESCAPE);
        $chrome->css('svg[aria-label^="The front"]')->click();
        $chrome->waitFor('Repair,');
        $chrome->press('Note the fault');
        $chrome->waitFor('Take this fault away');
        self::assertLessThanOrEqual(16, $this->answerAll(), 'one key a look');
        self::assertFalse($chrome->text('Pass', 'button')->isEnabled(), 'a model with a major fault cannot pass');
        $chrome->press('Send back');
        $chrome->waitFor('goes back to the bench');
        $chrome->signOut();

        $chrome->signIn('Ines Tallow');
        $chrome->page->get($batch);
        $chrome->waitFor('Model 1: sent back');
        $this->until(function () use ($chrome): bool {
            $repairs = WebDriverBy::cssSelector('main .ant-btn-primary.ant-btn-lg');
            foreach ($chrome->page->findElements($repairs) as $button) {
                if (str_contains($button->getText(), 'min')) {
                    $button->click();
                    usleep(300_000);

                    return false;
                }
            }

            return ! $chrome->seen('Nothing finished to offer yet');
        });
        $chrome->press('Offer 1 finished to the check');
        $chrome->waitFor('Offered to the check');
        $chrome->signOut();

        // Checked again by keyboard, passed, and signed off: the certificate names the version.
        $chrome->signIn('Runa Wick');
        $this->openCheck('One on watch', 'Check the next: model 1, again');
        $chrome->waitFor('round 2');
        // One key a look, and Enter: nothing else is needed.
        self::assertLessThanOrEqual(16, $this->answerAll());
        $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $chrome->waitFor('has passed');
        // Signing too: the button is under the Enter key, and all it will say comes before the one that signs.
        $this->until(fn () => $this->focused() === 'Sign off 1 passed');
        $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $chrome->waitFor('This is what the record will say.');
        $this->until(function () use ($chrome): bool {
            $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::TAB);

            return $this->focused() === 'Sign off';
        });
        $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $chrome->waitFor('Certificate 5');
        self::assertTrue($chrome->seen('standard version 2'));
        self::assertTrue($chrome->seen('Ines Tallow'));
        $hash = $chrome->labelled('Checksum of the record')->getText();
        self::assertMatchesRegularExpression('/^[0-9a-f]{64}$/', $hash);
        $verify = new Process([PHP_BINARY, 'artisan', 'ordotype:verify', "--head=$hash"], dirname(__DIR__, 2), [
            'DB_DATABASE' => self::DATABASE,
            'ORDOTYPE_STUDIO' => '',
        ]);
        self::assertSame(0, $verify->run(), $verify->getErrorOutput().$verify->getOutput());
        $chrome->signOut();
    }

    public function test_a_batch_is_looked_at_side_by_side_with_one_key_a_look(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/check');
        $this->in('Mudlarks for the long bank', 'All 20 side by side')->click();
        $chrome->waitFor('Fine on all 20');
        self::assertSame([], $this->axe());
        $keys = $this->answerAll();
        $chrome->waitFor('Pass 20 of 20');
        $chrome->page->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $chrome->waitFor('20 models have passed');
        self::assertLessThan(60, $keys + 1, 'the whole batch, without a fault');
        $chrome->signOut();
    }

    private function cell(string $row, int $column): \Facebook\WebDriver\WebDriverElement
    {
        return self::$chrome->page->findElement(
            WebDriverBy::xpath("(//tr[th[contains(., '$row')]]/td)[".($column + 1).']/button'),
        );
    }

    private function focused(): string
    {
        return (string) self::$chrome->page->executeScript('return document.activeElement?.textContent?.trim() ?? ""');
    }

    private function focusedRow(): string
    {
        return (string) self::$chrome->page->executeScript(
            'return document.activeElement?.closest("tr")?.querySelector("th")?.textContent ?? ""',
        );
    }

    /** @return array<string, mixed>|null a clause of the open standard as it is now */
    private function clause(string $clause): ?array
    {
        return self::$chrome->page->executeAsyncScript(
            'const [id, done] = arguments; fetch("/api/v1/standard", {headers: {Accept: '.
                '"application/json"}}).then(r => r.json()).then(l => done(l.rows.flatMap(r => '.
                'r.cells).find(c => c.own && c.clause?.id === id)?.clause ?? null))',
            [$clause],
        );
    }

    /** The effect a clause of the open standard asks for now. */
    private function kept(string $clause): ?string
    {
        return self::$chrome->page->executeAsyncScript(
            'const [id, done] = arguments; fetch("/api/v1/standard", {headers: {Accept: '.
                '"application/json"}}).then(r => r.json()).then(l => done(l.rows.flatMap(r => '.
                'r.cells).find(c => c.own && c.clause?.id === id)?.clause.effect ?? null))',
            [$clause],
        );
    }
}
