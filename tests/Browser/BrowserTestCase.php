<?php

declare(strict_types=1);

namespace Tests\Browser;

use Database\Seeders\DatabaseSeeder;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;

/** A browser on the application that bin/test started, and the gestures several walks share. */
abstract class BrowserTestCase extends TestCase
{
    protected Browser $browser;

    protected function setUp(): void
    {
        $base = getenv('CATHEDRA_TEST_URL');
        $base !== false || self::fail('Run the browser tests with bin/test browser, which starts the application.');
        $this->browser = Browser::open($base);
    }

    protected function tearDown(): void
    {
        $this->browser->close();
    }

    protected function signIn(string $email = DatabaseSeeder::EMAIL, string $password = DatabaseSeeder::PASSWORD): void
    {
        $this->browser->visit('/sign-in')->find('form');
        $this->browser
            ->fill('E-mail', $email)
            ->fill('Password', $password)
            ->click('Sign in', 'button')
            ->waitForPath('#^/$#');
        $this->browser->find('h1');
    }

    protected function tabTo(string $css, bool $backwards = false): void
    {
        for ($i = 0; $i < 120; $i++) {
            if (
                $this->browser->driver->executeScript(
                    'return document.activeElement !== null && document.activeElement.matches(arguments[0])',
                    [$css],
                ) === true
            ) {
                return;
            }
            $this->browser->press(
                $backwards ? WebDriverKeys::SHIFT.WebDriverKeys::TAB.WebDriverKeys::SHIFT : WebDriverKeys::TAB,
            );
        }
        self::fail("$css cannot be reached with the Tab key at {$this->browser->path()}");
    }

    /** @return list<\Facebook\WebDriver\Remote\RemoteWebElement> */
    protected function all(string $css): array
    {
        return array_values($this->browser->driver->findElements(WebDriverBy::cssSelector($css)));
    }
}
