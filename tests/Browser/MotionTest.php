<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Steps in motion: on the stage by keys, on the model's page, on a fold's page. */
final class MotionTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->browser->media('prefers-reduced-motion', 'no-preference');
    }

    /** Where the device asks for less motion, nothing moves: four moments stand side by side. */
    public function testWithLessMotionFourMomentsStandSideBySide(): void
    {
        $b = $this->browser;
        $b->media('prefers-reduced-motion', 'reduce');
        $lesson = $this->lesson(['Ada'], 'crane');
        $this->post("/api/lessons/$lesson/events", 'moved', ['step' => 10]);
        $b->visit("/lessons/$lesson/teach")->saying('10 Petal fold', 'h1');
        $b->click('Show four moments', 'button');
        $b->until(fn (): bool => count($this->all('.stills img')) === 4, 'four moments');
        $stills = fn (): array => (array) $b->driver->executeScript(
            'return [...document.querySelectorAll(".stills img")].map((i) => i.naturalWidth > 50 ? i.src : "")',
        );
        $four = $stills();
        self::assertCount(4, array_unique($four), 'each another moment');
        self::assertNotContains('', $four);
        self::assertSame(0, $this->changes(), 'and nothing moves');
        $b->press('v')->saying('Front view', 'button');
        $b->until(fn (): bool => $stills() !== $four && count($stills()) === 4, 'all four from behind');
        $b->press('p');
        $b->until(fn (): bool => $this->all('.stills') === [], 'P takes them away again');
        $b->press('p');
        $b->until(fn (): bool => count($this->all('.stills img')) === 4, 'and brings them back');
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('11 Repeat', 'h1');
        self::assertSame([], $this->all('.stills'), 'the next step begins with its picture');
    }

    public function testAStepIsPlayedStoppedTurnedAndLeft(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram'], 'crane');
        $this->post("/api/lessons/$lesson/events", 'moved', ['step' => 10]);
        $b->visit("/lessons/$lesson/teach")->saying('10 Petal fold', 'h1');
        self::assertCount(1, $this->all('.large svg'), 'a still picture until it is played');
        $b->press('p')->saying('Stop', 'button');
        $b->until(fn (): bool => $this->all('.large canvas') !== [], 'nothing moves');
        $b->until(fn (): bool => $this->percent() > 0, 'it does not go on');
        $b->until(fn (): bool => $this->percent() === 100, 'it does not come to its end');
        $b->saying('Play', 'button');
        $b->press('v')->saying('Front view', 'button');
        $b->press('v')->saying('Back view', 'button');
        $b->press('r');
        $b->until(fn (): bool => $this->percent() < 100, 'R does not show it again');
        // the slider stops it where it is put
        $b->driver->executeScript('const i = document.querySelector(".motion input"); i.value = 0.4;'
            .'i.dispatchEvent(new Event("input"))');
        $b->until(fn (): bool => $this->percent() === 40, 'the slider does not set it');
        self::assertSame(0, $this->changes(), 'it stands where it was put');
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('11 Repeat', 'h1');
        $b->until(fn (): bool => $this->all('.large canvas') === [], 'the next step begins as a still');
        $b->visit("/lessons/$lesson/teach")->saying('11 Repeat', 'h1'); // after a reload
        $b->press('p')->saying('Stop', 'button');
    }

    public function testOnASlowLineThePictureStandsUntilItMoves(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada'], 'house');
        $this->post("/api/lessons/$lesson/events", 'moved', ['step' => 4]);
        // slow from the beginning: what the stage asks ahead has not come yet when Play is pressed
        $b->network(false, 900);
        $b->visit("/lessons/$lesson/teach")->saying('4 Squash', 'h1');
        $b->press('p');
        self::assertCount(1, $this->all('.large svg'), 'the still stands while the motion comes');
        $b->until(fn (): bool => $this->all('.large canvas') !== [] && $this->percent() > 0, 'it never comes');
        $b->network(false, 0);
    }

    public function testWithoutALineThePictureStandsUntilTheLineIsBack(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada'], 'house');
        $this->post("/api/lessons/$lesson/events", 'moved', ['step' => 1]);
        $b->visit("/lessons/$lesson/teach")->saying('1 Book fold', 'h1');
        $b->network(true, 0);
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('2 ', 'h1');
        $b->press('p')->saying('Loading', 'button');
        self::assertCount(1, $this->all('.large svg'));
        $b->network(false, 0);
        $b->until(fn (): bool => $this->all('.large canvas') !== [] && $this->percent() > 0, 'it never comes');
    }

    /** On the stage two faults open over the picture, framed, and nothing is cut off at the foot. */
    public function testIfItLooksLikeThisOpensOverThePicture(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada'], 'helmet');
        $this->post("/api/lessons/$lesson/events", 'moved', ['step' => 4]);
        $b->visit("/lessons/$lesson/teach")->saying('4 Valley fold', 'h1');
        $b->click('2 common mistakes', 'button')->saying('One layer too many was taken.', 'b');
        self::assertCount(2, $this->all('.over .framed svg'));
        self::assertLessThanOrEqual(0, $b->driver->executeScript(
            'const foot = document.querySelector("footer").getBoundingClientRect().top;'
            .'return Math.max(...[...document.querySelectorAll(".over, .step, .check")]'
            .'.map((e) => e.getBoundingClientRect().bottom - foot))',
        ));
        $b->find('.over .tick')->click();
        $b->saying('Seen', 'button'); // and so it is in a second tab, or after a reload
        $b->visit("/lessons/$lesson/teach")->saying('4 Valley fold', 'h1');
        $b->saying('2 common mistakes', 'button');
        $b->press('x')->saying('Seen', 'button');
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('5 ', 'h1');
        self::assertSame([], $this->all('.over'), 'it closes with the step');
        $b->saying('common mistake', 'button');
        $b->press('x')->saying('Done on one side only.', 'b');
        $b->visit('/models/helmet')->saying('Helmet', 'h1');
        $b->driver->executeScript('const d = document.querySelector("#step-4 details"); d.open = true;');
        $b->saying('One layer too many was taken.', 'b');
        $b->saying('Seen in one of your lessons.', 'span');
    }

    public function testAModelsPageShowsAnyStepAndSaysWhereNoneIsShown(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->visit('/models/cat')->saying('Cat', 'h1');
        $buttons = static fn (int $n): string => "document.querySelectorAll('.move')[$n].click()";
        $b->driver->executeScript($buttons(0));
        $b->until(fn (): bool => $this->all('.sheet canvas') !== [], 'the first step does not move');
        $b->click('Close', 'button');
        $b->until(fn (): bool => $this->all('.sheet canvas') === [], 'it is not closed');
        $b->driver->executeScript($buttons(8)); // the head is put on
        $b->saying('This step is not shown in motion', 'figcaption');
        $b->until(fn (): bool => $this->all('.sheet canvas') === [], 'a still is never a wrong motion');
        self::assertStringContainsString('before and after', $b->find('figcaption')->getText());
        $b->click('Close', 'button');
        $b->visit('/models/folds/petal')->saying('Petal fold', 'h1');
        $b->click('See it move', 'button');
        $b->until(fn (): bool => $this->all('.sheet canvas') !== [] && $this->percent() > 0, 'the fold does not move');
    }

    /** How far the motion has gone, as a screen reader is told. */
    private function percent(): int
    {
        $label = (string) ($this->all('canvas')[0] ?? null)?->getAttribute('aria-label');

        return preg_match('/(\d+) % of the way/', $label, $m) === 1 ? (int) $m[1] : -1;
    }

    /** How much it goes on by itself in a quarter of a second. */
    private function changes(): int
    {
        $before = $this->percent();
        usleep(250_000);

        return abs($this->percent() - $before);
    }
}
