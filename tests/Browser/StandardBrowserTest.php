<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

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

    public function test_what_is_merely_allowed_is_one_line_a_family_until_each_is_wanted(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/standard');
        $names = fn () => $chrome->page->executeScript(
            'return [...document.querySelectorAll("tbody th")].map(t => t.lastChild.textContent === "each" || '.
                't.lastChild.textContent === "one line" ? t.childNodes[t.childNodes.length - 2].textContent : '.
                't.lastChild.textContent)',
        );
        $chrome->waitFor('all but stain coat');
        $folded = $names();
        self::assertNotContains('No stains on eyes and glass', $folded);
        $chrome->css('[aria-label="Each technique of All base colours"]')->click();
        $this->until(fn () => in_array('No stains on eyes and glass', $names(), true));
        self::assertSame(array_unique($names()), $names(), 'no two rows read the same');
        $chrome->css('[aria-label="One line for All base colours"]')->click();
        $this->until(fn () => $names() === $folded);
        // What is looked for is found in its family.
        $chrome->fill('Find a clause', 'stains on eyes');
        $this->until(fn () => in_array('No stains on eyes and glass', $names(), true));
    }

    public function test_a_new_rung_stands_where_it_was_put_and_those_above_make_room(): void
    {
        $before = array_column($this->get('standard')['tiers'], 'name');
        self::$chrome->press('Add a rung');
        self::$chrome->waitFor('A new rung');
        self::$chrome->fill('Name', 'Between', '.ant-drawer');
        self::$chrome->choose('Place', 'above Company', '.ant-drawer');
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
        self::$chrome->choose('Stands as', 'retired: stays readable', '.ant-drawer');
        $open = $this->get('standard/tiers/company/open-units');
        self::$chrome->waitFor("{$open['units']} open units are at this tier, in ".implode(', ', $open['orders']));
    }

    public function test_figures_of_a_draft_that_somebody_else_changed_are_not_left_on_the_screen(): void
    {
        $chrome = self::$chrome;
        $cell = WebDriverBy::xpath("(//tr[th[contains(., 'Edge highlights')]]/td)[4]/button");
        $chrome->page->findElement($cell)->click();
        $chrome->waitFor('Banner · Edge highlights');
        $chrome->choose('extent', 'in a spot');
        $chrome->waitFor('This edit, on');
        self::assertSame(200, $this->elsewhere('banner.edges', ['passes' => 3]));
        // The next change asks again, and is told that the draft is another one.
        $chrome->choose('extent', 'where it stands out');
        $chrome->waitFor('Somebody else changed this first.');
        self::assertFalse($chrome->text('Keep', 'button')->isEnabled());
        $chrome->waitFor('Does the ladder hold?');
        // What was asked of the draft as it was is refused, and asked anew of the one that is there.
        $this->until(fn () => ! $chrome->seen('is not known:'));
        $chrome->press('Take theirs');
        $this->until(fn () => ! $chrome->seen('Somebody else changed this first.'));
        self::assertSame(3, $this->own('banner.edges')['passes']);
    }

    public function test_forty_keys_as_fast_as_they_come_lead_where_they_should(): void
    {
        $chrome = self::$chrome;
        $ladder = $this->get('standard');
        $labels = $chrome->page->executeScript(
            'return [...document.querySelectorAll("tbody th[scope=row]")].map(e => e.lastChild.textContent)',
        );
        $rows = count($labels);
        // A retired rung is folded and stepped over.
        $open = array_keys(array_filter($ladder['tiers'], fn (array $t) => $t['status'] !== 'retired'));
        $chrome->page->findElement(WebDriverBy::id('cell-2-3'))->click();
        [$row, $column] = [2, 3];
        $steps = [
            WebDriverKeys::ARROW_DOWN => [1, 0],
            WebDriverKeys::ARROW_UP => [-1, 0],
            WebDriverKeys::ARROW_RIGHT => [0, 1],
            WebDriverKeys::ARROW_LEFT => [0, -1],
            // Nothing is there to be taken back or done again.
            'u' => [0, 0],
            'r' => [0, 0],
        ];
        $keys = [];
        mt_srand(7);
        for ($i = 0; $i < 40; $i++) {
            // Mostly down, so that it goes far.
            $keys[] = $key = mt_rand(0, 1) === 0 ? WebDriverKeys::ARROW_DOWN : array_keys($steps)[mt_rand(0, 5)];
            $row = max(0, min($rows - 1, $row + $steps[$key][0]));
            $column = max(min($open), min(max($open), $column + $steps[$key][1]));
        }
        // What the cell does to the ladder is being asked for while the keys come.
        $chrome->page->getKeyboard()->sendKeys($keys);
        $this->until(
            fn () => $chrome->page->executeScript(
                'return document.activeElement.id + " " + '.
                    'document.querySelector("td[aria-selected=true] button").id',
            ) === "cell-$row-$column cell-$row-$column",
        );
        $chrome->waitFor("{$ladder['tiers'][$column]['name']} · {$labels[$row]}");
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
