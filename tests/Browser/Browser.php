<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeDriver;
use Facebook\WebDriver\Chrome\ChromeDriverService;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverExpectedCondition;
use Facebook\WebDriver\WebDriverKeys;

/** Headless Chromium with a fresh profile, and the few gestures the browser tests and bin/screenshots need. */
final class Browser
{
    /** Seconds to wait for something to appear; a slow machine needs a few. */
    private const PATIENCE = 25;

    private string $profile;

    /** @var array<string, string> what the device asks for */
    private array $media = [];

    private function __construct(public readonly ChromeDriver $driver, private readonly string $base, string $profile)
    {
        $this->profile = $profile;
    }

    public static function open(string $base, int $width = 1280, int $height = 800): self
    {
        $profile = sys_get_temp_dir().'/cathedra-chromium-'.bin2hex(random_bytes(6));
        $options = (new ChromeOptions())
            ->setBinary(trim((string) shell_exec('command -v chromium')))
            ->addArguments([
                '--headless=new',
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                '--disable-dev-shm-usage',
                '--hide-scrollbars',
                '--force-prefers-reduced-motion',
                "--user-data-dir=$profile",
                "--window-size=$width,$height",
            ]);
        $options->setExperimentalOption('prefs', ['credentials_enable_service' => false]);
        $capabilities = DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options);
        $service = new ChromeDriverService(
            trim((string) shell_exec('command -v chromedriver')),
            ($port = self::freePort()),
            ["--port=$port", '--silent'],
        );
        $browser = new self(ChromeDriver::start($capabilities, $service), rtrim($base, '/'), $profile);
        $browser->resize($width, $height);

        return $browser;
    }

    /** Sets the size of the page, without the window's frame. */
    public function resize(int $width, int $height): void
    {
        $this->driver->manage()->window()->setSize(new WebDriverDimension($width, $height));
        $inner = $this->driver->executeScript('return [window.innerWidth, window.innerHeight]');
        $this->driver
            ->manage()
            ->window()
            ->setSize(new WebDriverDimension(2 * $width - $inner[0], 2 * $height - $inner[1]));
    }

    public function visit(string $path): self
    {
        $this->driver->get($this->base.$path);

        return $this;
    }

    public function path(): string
    {
        return (string) parse_url($this->driver->getCurrentURL(), PHP_URL_PATH);
    }

    /** The first element this CSS finds, once it is there and shown. */
    public function find(string $css): RemoteWebElement
    {
        return $this->until(
            WebDriverExpectedCondition::visibilityOfElementLocated(WebDriverBy::cssSelector($css)),
            "nothing shown matches $css",
        );
    }

    /** The element of this kind whose text holds these words. */
    public function saying(string $words, string $kind = '*'): RemoteWebElement
    {
        $literal = '"'.strtr($words, ['"' => '']).'"';

        return $this->until(
            WebDriverExpectedCondition::visibilityOfElementLocated(
                WebDriverBy::xpath(
                    "//{$kind}[contains(normalize-space(.), $literal) and not(.//{$kind}[contains(normalize-space(.), "
                        .''.
                        "$literal)])]",
                ),
            ),
            "nothing says \"$words\"",
        );
    }

    public function click(string $words, string $kind = '*'): self
    {
        $this->until(function () use ($words, $kind): bool {
            try {
                $this->saying($words, $kind)->click();
            } catch (StaleElementReferenceException) {
                // drawn anew between finding and pressing it
                return false;
            }

            return true;
        }, "\"$words\" cannot be pressed");

        return $this;
    }

    /** Empties a field found by its label and types into it. */
    public function fill(string $label, string $text): self
    {
        $field = $this->until(
            WebDriverExpectedCondition::presenceOfElementLocated(
                WebDriverBy::xpath(
                    "//*[self::input or self::textarea][@id=//label[contains(normalize-space(.), \"$label\")]/@for]",
                ),
            ),
            "no field is labelled \"$label\"",
        );
        $this->driver->executeScript(
            'const f = arguments[0]; const set = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(f), '.
                '"value").set; set.call(f, arguments[1]); f.dispatchEvent(new Event("input", {bubbles: true})); '.
                'f.dispatchEvent(new Event("change", {bubbles: true}));',
            [$field, $text],
        );

        return $this;
    }

    /** Types over what stands in a field, as a person does: all of it marked, then keys. */
    public function retype(string $css, string $text): self
    {
        $this->find($css)->click();
        $this->driver->getKeyboard()->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $this->driver->getKeyboard()->sendKeys([WebDriverKeys::NULL, $text]);

        return $this;
    }

    /** Presses keys wherever the focus is. */
    public function press(string ...$keys): self
    {
        foreach ($keys as $key) {
            $this->driver->getKeyboard()->sendKeys($key);
        }

        return $this;
    }

    public function waitForPath(string $pattern): self
    {
        $this->until(
            fn (): bool => preg_match($pattern, $this->path()) === 1,
            "the address did not become $pattern; it is {$this->path()}",
        );

        return $this;
    }

    /** @param  callable|WebDriverExpectedCondition  $condition */
    public function until(mixed $condition, string $message): mixed
    {
        return $this->driver->wait(self::PATIENCE, 100)->until($condition, $message.' at '.$this->path());
    }

    /** The line between page and server: cut, slow (ms), or as it is. */
    public function network(bool $offline, int $latency): void
    {
        $of = [
            'offline' => $offline,
            'latency' => $latency,
            'download_throughput' => 1_000_000,
            'upload_throughput' => 1_000_000,
        ];
        $this->driver->executeCustomCommand('/session/:sessionId/chromium/network_conditions', 'POST', [
            'network_conditions' => $of,
        ]);
    }

    /** What the device asks for: "prefers-reduced-motion" => "reduce", "prefers-color-scheme" => "dark", ... */
    public function media(string $feature, string $value): void
    {
        $this->media[$feature] = $value;
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setEmulatedMedia', ['features' => array_map(
            static fn (string $name, string $is): array => ['name' => $name, 'value' => $is],
            array_keys($this->media),
            array_values($this->media),
        )]);
    }

    public function shot(string $file): void
    {
        $this->driver->takeScreenshot($file);
    }

    public function close(): void
    {
        $this->driver->quit();
        if (is_dir($this->profile)) {
            exec('rm -rf '.escapeshellarg($this->profile));
        }
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No free port.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }
}
