<?php

declare(strict_types=1);

namespace Tests\Support;

use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;

/** What a painter and a checker do in the browser, from the first pass to the last answer. */
trait WalksTheBench
{
    protected function paint(): void
    {
        $chrome = self::$chrome;
        $chrome->waitFor('All done');
        preg_match(
            '/Pass \d+ of (\d+)/i',
            $chrome->page->findElement(WebDriverBy::tagName('body'))->getText(),
            $found,
        );
        for ($pass = 1; $pass <= (int) ($found[1] ?? 0); $pass++) {
            $chrome->waitFor("Pass $pass of");
            $this->key('a');
            $done = WebDriverBy::cssSelector('.tap[aria-pressed="true"]');
            $this->until(function () use ($chrome, $done) {
                $this->doneAllTheSame();

                return count($chrome->page->findElements($done)) === 1;
            });
            $this->key('n');
        }
    }

    /** What had the keyboard may be drawn anew at that moment: then it is pressed once more. */
    private function key(string $key): void
    {
        $this->until(function () use ($key): bool {
            try {
                self::$chrome->page->getKeyboard()->sendKeys($key);

                return true;
            } catch (WebDriverException) {
                return false;
            }
        });
    }

    /** What is painted faster here than paint dries is asked after. */
    private function doneAllTheSame(): void
    {
        $yes = WebDriverBy::xpath("//div[@role = 'dialog']//button[normalize-space(.) = 'It is done']");
        foreach (self::$chrome->page->findElements($yes) as $button) {
            try {
                $button->click();
            } catch (WebDriverException) {
                // It still moves, or is gone already: asked again by who waits.
            }
        }
    }

    /** One key a look; how many it took. */
    protected function answerAll(): int
    {
        for ($keys = 0; $keys < 30; $keys++) {
            $open = $this->openLooks();
            if ($open === 0) {
                return $keys;
            }
            $this->key('y');
            $this->until(fn () => $this->openLooks() < $open);
            usleep(60_000);
        }

        return $keys;
    }

    protected function openLooks(): int
    {
        $open = WebDriverBy::cssSelector('nav[aria-label="Looks"] button[aria-label$="open"]');

        return count(self::$chrome->page->findElements($open));
    }

    protected function openCheck(string $order, string $button): void
    {
        self::$chrome->open('/check');
        self::$chrome->waitFor($order);
        $this->in($order, $button)->click();
        self::$chrome->waitFor('So far');
    }

    protected function in(string $section, string $button): WebDriverElement
    {
        $where = WebDriverBy::xpath(
            "//section[contains(., '$section')]//*[self::button or self::a][normalize-space(.) = '$button']",
        );
        $this->until(fn () => self::$chrome->page->findElements($where) !== []);

        return self::$chrome->page->findElement($where);
    }
}
