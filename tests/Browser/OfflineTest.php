<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Cookie;
use Facebook\WebDriver\WebDriverKeys;

/** A lesson goes on without a network, also after a reload, and what was said in the meantime arrives. */
final class OfflineTest extends BrowserTestCase
{
    private Line $line;

    protected function through(string $base): string
    {
        $this->line = Line::to($base);

        return $this->line->url();
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        $this->line->cut();
    }

    public function testAStageOpenedOnceGoesOnWithoutALine(): void
    {
        $b = $this->browser;
        $b->visit('/sign-in');
        $b->driver->manage()->addCookie(new Cookie('worker', 'on'));
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo'], 'drinking-cup');
        // as a lead comes to it: by links, so that the page of the stage itself was never asked for
        $b->visit("/lessons/$lesson/plan")->saying('Run sheet', 'h2');
        $b->click('Teach', 'a')->waitForPath('#/teach$#');
        $b->click('Begin the lesson', 'button')->saying('1 ', 'h1');
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('2 ', 'h1');
        $this->settled();
        $b->until(
            fn (): bool => $b->driver->executeScript('return localStorage.getItem("kept-lesson")') !== null,
            'the lesson is kept',
        );

        $this->line->cut();
        $this->seat(1)->click();
        $b->until(fn (): bool => str_contains($this->seat(1)->getText(), 'not yet'), 'what is tapped is shown');
        $b->saying('Offline: one tap saved on this device.', 'p');

        $b->visit("/lessons/$lesson/teach")->saying('2 ', 'h1');
        $b->until(fn (): bool => str_contains($this->seat(1)->getText(), 'not yet'), 'it is still shown');
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('3 ', 'h1');
        foreach ([4, 5] as $step) { // steps that were never shown with a line
            $b->press(WebDriverKeys::ARROW_RIGHT)->saying("$step ", 'h1');
            $b->find('.large svg');
            $b->press('p');
            $b->until(fn (): bool => $this->all('.large canvas, .large .stills') !== [], "step $step moves");
        }
        $this->seat(2)->click();
        $b->saying('Offline: 2 taps saved on this device.', 'p');
        self::assertStringNotContainsString('Offline: 5', $b->driver->getPageSource(), 'a step is no tap');

        $this->line->mend();
        $this->settled();
        $b->until(fn (): bool => ! str_contains($b->driver->getPageSource(), 'Offline:'), 'nothing waits');
        $events = $this->api("/api/lessons/$lesson/events")['events'];
        $said = array_map(static fn (array $e): string => trim("{$e['kind']} {$e['step']}"), $events);
        self::assertSame(
            ['started', 'moved 1', 'moved 2', 'not-yet 2', 'moved 3', 'moved 4', 'moved 5', 'not-yet 5'],
            $said,
            'each once, in its order',
        );
    }

    /** What was opened by somebody is nothing for who signs in next, with a line or without. */
    public function testNothingOfAClassStaysAfterSigningOut(): void
    {
        $b = $this->browser;
        $b->visit('/sign-in');
        $b->driver->manage()->addCookie(new Cookie('worker', 'on'));
        $lesson = $this->lesson(['Zuleika'], 'drinking-cup');
        $b->visit("/lessons/$lesson/teach")->saying('Before the first step', 'h1');
        $b->until(
            fn (): bool => $b->driver->executeScript('return localStorage.getItem("kept-lesson")') !== null,
            'the lesson is kept',
        );
        $b->visit('/')->find('h1');
        $this->signOut();
        $b->waitForPath('#^/sign-in$#');
        $left = $b->driver->executeAsyncScript(
            'const done = arguments[0]; caches.keys().then(names => Promise.all(names.map(async n => '
                .'(await (await caches.open(n)).keys()).map(r => new URL(r.url).pathname))))'
                .'.then(all => done([all.flat(), Object.keys(localStorage)]))',
        );
        self::assertSame([], array_filter($left[0], static fn (string $p): bool => str_starts_with($p, '/api/')));
        self::assertSame([], array_intersect($left[1], ['kept-lesson', "log-$lesson"]));
    }
}
