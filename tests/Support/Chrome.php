<?php

declare(strict_types=1);

namespace Tests\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverElement;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A headless Chromium with its driver on a loopback port of its own. */
final class Chrome
{
    private Process $driver;

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
            $found->click();

            return $found;
        }, "the button “{$button}”");
    }

    /**
     * Drags one element over another with the browser's own drag and drop, and holds it there: the caller lets go.
     *
     * @return callable(): void lets go
     */
    public function drag(string $from, string $to): callable
    {
        $at = fn (string $selector): array => (array) $this->page->executeScript(
            'const r = document.querySelector(arguments[0]).getBoundingClientRect(); return '.
                '[r.x + r.width / 2, r.y + r.height / 2]',
            [$selector],
        );
        $tell = fn (string $command, array $what) => $this->page->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute',
            'POST',
            ['cmd' => "Input.$command", 'params' => (object) $what],
        );
        [[$x, $y], [$toX, $toY]] = [$at($from), $at($to)];
        $tell('setInterceptDrags', ['enabled' => true]);
        $tell('dispatchMouseEvent', ['type' => 'mouseMoved', 'x' => $x, 'y' => $y]);
        $tell('dispatchMouseEvent', [
            'type' => 'mousePressed',
            'x' => $x,
            'y' => $y,
            'button' => 'left',
            'buttons' => 1,
            'clickCount' => 1,
        ]);
        for ($k = 1; $k <= 4; $k++) {
            $tell('dispatchMouseEvent', [
                'type' => 'mouseMoved',
                'x' => $x,
                'y' => $y - 4 * $k,
                'button' => 'left',
                'buttons' => 1,
            ]);
        }
        $over = [
            'x' => $toX,
            'y' => $toY,
            'data' => ['items' => [['mimeType' => 'text/plain', 'data' => 'step']], 'dragOperationsMask' => 16],
        ];
        foreach (['dragEnter', 'dragOver', 'dragOver'] as $type) {
            $tell('dispatchDragEvent', ['type' => $type] + $over);
        }

        return function () use ($tell, $over): void {
            foreach (['dragOver', 'drop'] as $type) {
                $tell('dispatchDragEvent', ['type' => $type] + $over);
            }
            $tell('dispatchMouseEvent', [
                'type' => 'mouseReleased',
                'x' => $over['x'],
                'y' => $over['y'],
                'button' => 'left',
                'clickCount' => 1,
            ]);
            $tell('setInterceptDrags', ['enabled' => false]);
        };
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
        for ($i = 0; $i < 100; $i++) {
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
