<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** A batch from its form to the painter's next run, in a browser. */
final class DayBrowserTest extends BrowserTestCase
{
    public function test_a_lead_lays_a_batch_out_and_its_painter_is_told_what_is_next_and_then_what_comes_after(): void
    {
        $chrome = self::$chrome;
        $chrome->signIn('Runa Wick');
        $chrome->open('/bench/day');
        $chrome->waitFor('Flats and dyke');
        $chrome->press('End it');
        $chrome->click($chrome->css('.ant-popconfirm .ant-btn-primary'));
        $chrome->waitFor('No batch is laid out');

        $chrome->press('Lay out a batch');
        $chrome->choose('Which units are painted together', '10 × Mudlark, Mudlarks for the flats', '.ant-drawer');
        $chrome->css('.ant-drawer-title')->click();
        self::assertSame('Mudlarks for the flats', $chrome->labelled('What it is called', '.ant-drawer')->getAttribute('value'));
        $chrome->fill('What it is called', 'The flats alone', '.ant-drawer');
        $chrome->choose('Who paints', 'Ines Tallow', '.ant-drawer');
        $chrome->waitFor('Without Ines Tallow');
        $this->allWeek();
        $chrome->press('Lay it out from now on');
        $chrome->waitFor('The flats alone');
        $board = $chrome->css('section[aria-label="Ines Tallow"]');
        self::assertNotSame([], $board->findElements(WebDriverBy::cssSelector('a')), 'there is work on the board');
        [$batch] = $this->get('batches')['data'];
        $unit = $batch['units'][0]['id'];

        $chrome->signIn('Ines Tallow');
        $chrome->open("/bench/$unit");
        $chrome->waitFor('Do now');
        $does = $this->next($batch['id'])['does'];
        $chrome->press('Show this pass');
        $chrome->text($does['technique'], 'h1');
        $first = min($does['models']);
        $chrome->click($chrome->css("button[title^='Model $first, ']"));
        $this->until(function () use ($batch, $does, $first): bool {
            $then = $this->next($batch['id'])['does'];

            return $then === null || $then['pass'] !== $does['pass'] || ! in_array($first, $then['models'], true);
        });
    }

    /** Whatever day and hour it is tried on, she is at work. */
    private function allWeek(): void
    {
        foreach (['Sat', 'Sun'] as $day) {
            self::$chrome->click(self::$chrome->text($day, 'label'));
        }
        foreach (['From' => '00:00', 'To' => '23:45'] as $label => $time) {
            self::$chrome->fill($label, $time.WebDriverKeys::ENTER, '.ant-drawer fieldset');
        }
    }

    /** @return array<string, mixed> */
    private function next(int $batch): array
    {
        return $this->get("batches/$batch")['painters'][0]['next'];
    }
}
