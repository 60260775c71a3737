<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverSelect;

/** The ladder where its draft moves under the person, and its rungs. */
final class StandardBrowserTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        self::$chrome->signIn('Runa Wick');
        self::$chrome->waitFor('Does the ladder hold?');
        self::$chrome->press('Open a draft');
        self::$chrome->waitFor('v2, draft');
    }

    protected function tearDown(): void
    {
        self::$chrome->open('/standard/versions');
        self::$chrome->press('Throw away');
        self::$chrome->press('Throw it away');
        $this->until(fn () => ! self::$chrome->seen('Version 2'));
        self::$chrome->signOut();
    }

    public function test_a_new_rung_stands_where_it_was_put_and_those_above_make_room(): void
    {
        $before = array_column($this->get('standard')['tiers'], 'name');
        self::$chrome->press('Add a rung');
        self::$chrome->waitFor('A new rung');
        self::$chrome->css('form input[required]')->sendKeys('Between');
        (new WebDriverSelect($this->labelled('Place')))->selectByVisibleText('above Company');
        self::$chrome->press('Add the rung');
        $this->until(fn () => count($this->get('standard')['tiers']) === count($before) + 1);
        $after = array_column($this->get('standard')['tiers'], 'name');
        $place = (int) array_search('Company', $before, true) + 1;
        self::assertSame([...array_slice($before, 0, $place), 'Between', ...array_slice($before, $place)], $after);
    }

    public function test_a_rung_that_open_units_are_at_is_retired_knowingly(): void
    {
        self::$chrome->text('Company', 'th', true)->findElement(WebDriverBy::tagName('button'))->click();
        self::$chrome->waitFor('The rung Company');
        (new WebDriverSelect($this->labelled('Stands as')))->selectByValue('retired');
        $open = array_values(
            array_filter($this->get('standard')['open_units'], fn (array $u) => $u['tier'] === 'company'),
        )[0];
        self::$chrome->waitFor("{$open['units']} open units are at this tier, in ".implode(', ', $open['orders']));
    }

    public function test_figures_of_a_draft_that_somebody_else_changed_are_not_left_on_the_screen(): void
    {
        $chrome = self::$chrome;
        $cell = WebDriverBy::xpath("(//tr[th[contains(., 'Edge highlights')]]/td)[4]/button");
        $chrome->page->findElement($cell)->click();
        $chrome->waitFor('Banner · Edge highlights');
        $select = fn () => new WebDriverSelect($chrome->css('select[aria-label="extent"]'));
        $select()->selectByValue('spot');
        $chrome->waitFor('This edit, on');
        self::assertSame(200, $this->elsewhere('banner.edges', ['passes' => 3]));
        // The next change asks again, and is told that the draft is another one.
        $select()->selectByValue('prominent');
        $chrome->waitFor('Somebody else changed this first.');
        self::assertFalse($chrome->text('Keep', 'button')->isEnabled());
        $chrome->waitFor('Does the ladder hold?');
        self::assertFalse($chrome->seen('is not known:'));
        $chrome->press('Take theirs');
        $this->until(fn () => ! $chrome->seen('Somebody else changed this first.'));
        self::assertSame(3, $this->own('banner.edges')['passes']);
    }

    private function labelled(string $label): \Facebook\WebDriver\WebDriverElement
    {
        return self::$chrome->page->findElement(
            WebDriverBy::xpath("//label[span[normalize-space(.) = '$label']]//select"),
        );
    }

    /** @return array<string, mixed> the clause as the draft has it now */
    private function own(string $clause): array
    {
        foreach ($this->get('standard')['rows'] as $row) {
            foreach ($row['cells'] as $cell) {
                if ($cell['own'] && ($cell['clause']['id'] ?? null) === $clause) {
                    return $cell['clause'];
                }
            }
        }
        self::fail("There is no clause $clause.");
    }
}
