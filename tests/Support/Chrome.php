<?php

declare(strict_types=1);

namespace Tests\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A headless Chromium with its driver on a loopback port of its own. */
final class Chrome
{
    private Process $driver;

    /** Buttons pressed and entries chosen from lists so far. */
    private int $presses = 0;

    private string $profile;

    public readonly RemoteWebDriver $page;

    public function __construct(
        private readonly string $address,
        int $width = 1280,
        int $height = 800,
        bool $dark = false,
    ) {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('no free port');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $this->profile = sys_get_temp_dir().'/ordotype-chrome-'.bin2hex(random_bytes(6));
        $this->driver = new Process(['chromedriver', "--port=$port"], null, null, null, null);
        // Nobody reads what it prints, and a full pipe would stop it.
        $this->driver->disableOutput()->start();
        $options = (new ChromeOptions())->addArguments([
            '--headless=new',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--hide-scrollbars',
            '--force-prefers-reduced-motion',
            "--user-data-dir=$this->profile",
            "--window-size=$width,$height",
            ...$dark ? ['--force-dark-mode', '--blink-settings=preferredColorScheme=0'] : [],
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $this->page = $this->connect($port, $capabilities);
        $this->resize($width, $height);
    }

    private function connect(int $port, DesiredCapabilities $capabilities): RemoteWebDriver
    {
        for ($try = 0; ; $try++) {
            try {
                return RemoteWebDriver::create("http://127.0.0.1:$port", $capabilities, 60_000, 60_000);
            } catch (\Exception $e) {
                if ($try > 40) {
                    throw $e;
                }
                usleep(250_000);
            }
        }
    }

    /** What still moves, a dialog that opens say, is pressed once it stands. */
    public function click(WebDriverElement $element): void
    {
        for ($i = 0; ; $i++) {
            try {
                $element->click();
                $this->presses++;

                return;
            } catch (ElementClickInterceptedException $e) {
                if ($i > 50) {
                    throw $e;
                }
                usleep(100_000);
            }
        }
    }

    public function presses(): int
    {
        return $this->presses;
    }

    public function resize(int $width, int $height): void
    {
        // The window's frame counts in its size: what is wanted is the size of the page.
        $this->page->manage()->window()->setSize(new WebDriverDimension($width, $height));
        $inner = $this->page->executeScript('return [window.innerWidth, window.innerHeight]');
        $this->page
            ->manage()
            ->window()
            ->setSize(new WebDriverDimension(2 * $width - (int) $inner[0], 2 * $height - (int) $inner[1]));
    }

    public function open(string $path): void
    {
        $this->page->get($this->address.$path);
    }

    /** The first element that shows this text exactly, or holds it where $part is true; waits for it. */
    public function text(string $text, string $tag = '*', bool $part = false): WebDriverElement
    {
        $quoted = str_contains($text, "'") ? "\"$text\"" : "'$text'";
        $test = $part ? "contains(normalize-space(.), $quoted)" : "normalize-space(.) = $quoted";

        return $this->wait(fn () => $this->visible(WebDriverBy::xpath("//{$tag}[$test]")), "“{$text}”");
    }

    public function css(string $selector): WebDriverElement
    {
        return $this->wait(fn () => $this->visible(WebDriverBy::cssSelector($selector)), $selector);
    }

    public function press(string $button, bool $part = false): void
    {
        $this->wait(function () use ($button, $part) {
            $found = $this->text($button, '*[self::button or self::a]', $part);
            if (! $found->isEnabled()) {
                return null;
            }
            $this->click($found);

            return $found;
        }, "the button “{$button}”");
    }

    /** What is labelled so, or is named so to those who hear the page; inside an element where one is given. */
    public function labelled(string $label, string $within = 'body'): WebDriverElement
    {
        $quoted = str_contains($label, "'") ? "\"$label\"" : "'$label'";

        return $this->wait(function () use ($within, $quoted): ?WebDriverElement {
            $part = $this->css($within);
            foreach (["normalize-space(.) = $quoted", "starts-with(normalize-space(.), $quoted)"] as $test) {
                foreach ($part->findElements(WebDriverBy::xpath(".//label[@for][$test]")) as $found) {
                    return $part->findElement(WebDriverBy::xpath(".//*[@id = '{$found->getAttribute('for')}']"));
                }
            }

            return $part->findElements(WebDriverBy::xpath(".//*[@aria-label = $quoted]"))[0] ?? null;
        }, "“{$label}”");
    }

    /** Writes over what stands in a field. */
    public function fill(string $label, string $text, string $within = 'body'): void
    {
        $field = $this->labelled($label, $within);
        $field->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL]);
        $field->sendKeys($text);
    }

    /** Opens a list and takes what is called so. */
    public function choose(string|WebDriverElement $list, string $option, string $within = 'body'): void
    {
        $field = is_string($list) ? $this->labelled($list, $within) : $list;
        $this->list($field)->click();
        $this->presses += 2;
        if ($field->getAttribute('readonly') === null) {
            $field->sendKeys($option);
        }
        $quoted = str_contains($option, "'") ? "\"$option\"" : "'$option'";
        $open = 'contains(@class, "ant-select-dropdown") and not(contains(@class, "ant-select-dropdown-hidden"))';
        // What is said beside a name in the list, its minutes, need not be known.
        $title = "@title = $quoted or starts-with(@title, concat($quoted, ', '))";
        $path = "//div[$open]//div[contains(@class, 'ant-select-item-option') and ($title)]";
        $this->wait(
            fn () => $this->visible(WebDriverBy::xpath($path))?->click(),
            "“{$option}” in the list",
        );
    }

    /** What a list shows as taken. */
    public function chosen(string $label): string
    {
        return trim($this->list($this->labelled($label))->getText());
    }

    private function list(WebDriverElement $field): WebDriverElement
    {
        return $field->findElement(
            WebDriverBy::xpath('ancestor-or-self::div[contains(concat(" ", @class, " "), " ant-select ")][1]'),
        );
    }

    /**
     * Drags one element over another with the mouse and holds it there: the caller lets go.
     *
     * @return callable(): void lets go
     */
    public function drag(string $from, string $to): callable
    {
        $actions = fn () => new WebDriverActions($this->page);
        $start = $this->css($from);
        $actions()->moveToElement($start)->clickAndHold()->perform();
        $actions()->moveByOffset(0, -8)->perform();
        // The first move only lifts it; what is under it counts from the next one on.
        $actions()->moveToElement($this->css($to))->perform();
        $actions()->moveByOffset(0, -2)->perform();

        return fn () => $actions()->release()->perform();
    }

    public function seen(string $text): bool
    {
        // Capitals that only the style sheet makes are not looked at.
        return str_contains(
            mb_strtolower((string) $this->page->executeScript('return document.body.innerText')),
            mb_strtolower($text),
        );
    }

    public function waitFor(string $text): void
    {
        $this->wait(
            fn () => $this->seen($text) ? $this->page->findElement(WebDriverBy::tagName('body')) : null,
            "“{$text}”",
        );
    }

    public function signIn(string $name): void
    {
        $this->open('/');
        $this->signOut();
        $this->open('/');
        $this->press($name, true);
        $this->css('nav.rail');
    }

    public function signOut(): void
    {
        $this->page->executeScript(
            "return fetch('/api/v1/session', {method: 'DELETE', credentials: 'same-origin', ".
                "headers: {'X-XSRF-TOKEN': ".
                "decodeURIComponent((/XSRF-TOKEN=([^;]+)/.exec(document.cookie) || [,''])[1])}}).then(r => r.status)",
        );
    }

    public function dark(bool $on): void
    {
        $this->page->executeScript("localStorage.setItem('ordotype.lamp', arguments[0])", [$on ? 'dark' : 'light']);
    }

    public function shot(string $file): void
    {
        usleep(500_000);
        $this->page->takeScreenshot($file);
    }

    public function close(): void
    {
        try {
            $this->page->quit();
        } finally {
            $this->driver->stop(3);
            (new Process(['rm', '-rf', $this->profile]))->run();
        }
    }

    private function visible(WebDriverBy $by): ?WebDriverElement
    {
        foreach (array_reverse($this->page->findElements($by)) as $element) {
            if ($element->isDisplayed()) {
                return $element;
            }
        }

        return null;
    }

    /** @param  callable(): ?WebDriverElement  $look */
    private function wait(callable $look, string $what): WebDriverElement
    {
        $last = null;
        // A minute, not seconds: that a busy machine answers late is no fault of what is tried here.
        for ($i = 0; $i < (int) (getenv('TRY') ?: 600); $i++) {
            try {
                $found = $look();
                if ($found !== null) {
                    return $found;
                }
            } catch (\Facebook\WebDriver\Exception\WebDriverException $e) {
                $last = $e;
            }
            usleep(100_000);
        }
        throw new RuntimeException(
            "$what did not appear. The page shows: ".
                mb_substr((string) $this->page->executeScript('return document.body.innerText'), 0, 1200),
            0,
            $last,
        );
    }
}
