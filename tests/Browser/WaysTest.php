<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** A crane with pages instead of reverses: planned so, half taught, shown the other way at the bird base, recorded. */
final class WaysTest extends BrowserTestCase
{
    private const PAGES = 'Turned like pages, folded up and drawn out';

    /** The first passage that is open at the bird base. */
    private const MARK = 'As far as the dot';

    private const REVERSE = 'Folded inside, each between its own layers';

    public function testACraneWithPagesIsShownTheOtherWayAtTheBirdBase(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo'], 'crane');
        $this->plansWithPages($lesson);

        // Everybody to the bird base, and Ada, who is quick, on with the pages.
        $this->begin($lesson);
        for ($step = 2; $step <= 13; $step++) {
            $b->press(WebDriverKeys::ARROW_RIGHT)->saying("$step ", 'h1');
        }
        foreach ([1, 2] as $seat) {
            $this->seat($seat)->click();
        }
        $this->done(['Ada', 'Bram']);
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('14 ', 'h1');
        $ada = $this->api("/api/lessons/$lesson")['group']['learners'][0]['id'];
        $this->post("/api/lessons/$lesson/events", 'done', ['learner' => $ada, 'step' => 22]);
        $this->done(['Ada']);
        self::assertSame('14 Turn a layer like a page.', $this->fold());

        // The other way, on a slow line; what was tapped is sent before it.
        $b->network(false, 300);
        $b->press('w')->waitForPath("#^/lessons/$lesson/ways/crane$#");
        $b->until(fn (): bool => $this->focused() === self::PAGES, 'the open passage has the focus');
        self::assertSame([], $this->all('.layout fieldset:disabled'), 'what comes next, not what the group is past');
        $pages = $this->minutes();
        $b->press(WebDriverKeys::ARROW_UP);
        $b->until(fn (): bool => $this->minutes() < $pages, 'two reverses take less than nine plain steps');
        $b->click('Use this from now on', 'button')->waitForPath("#^/lessons/$lesson/teach$#");
        $b->saying('14 Inside reverse fold.', 'h1');
        $b->network(false, 0);
        self::assertCount(17, $this->all('.thread li'));
        $this->done(['Ada']);

        // On, after a reload.
        $b->visit("/lessons/$lesson/teach")->saying('14 Inside reverse fold.', 'h1');
        for ($step = 15; $step <= 17; $step++) {
            $b->press(WebDriverKeys::ARROW_RIGHT)->saying("$step ", 'h1');
        }
        foreach ([1, 2] as $seat) {
            $this->seat($seat)->click();
        }
        $this->done(['Ada', 'Bram']);
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('Finished', 'h1');
        $b->click('End the lesson', 'button')->waitForPath("#^/lessons/$lesson/keep$#");
        $b->saying('2 of 3 finished', 'h1');
        $b->saying('How do neck and tail get up?', 'dt');
        self::assertSame('Ada', $this->names(self::PAGES));
        self::assertSame('Bram', $this->names(self::REVERSE));

        // What was taught stays as it was shown.
        $b->visit("/lessons/$lesson/ways/crane")->saying('This lesson has been taught', 'span');
    }

    public function testAMarkThatWaitsIsSentBeforeAndASecondTabFollows(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram'], 'crane');
        $this->post("/api/lessons/$lesson/events", 'moved', ['step' => 14]);
        $b->visit("/lessons/$lesson/teach")->saying('14 Inside reverse fold.', 'h1');
        $b->driver->switchTo()->newWindow();
        $b->visit("/lessons/$lesson/teach")->saying('14 Inside reverse fold.', 'h1');
        [$first, $second] = $b->driver->getWindowHandles();

        // A mark without a line, and the other way asked for: nothing is changed before the mark is kept.
        $b->press('w')->waitForPath("#^/lessons/$lesson/ways/crane$#");
        $b->until(fn (): bool => $this->focused() === self::MARK, 'the open passage has the focus');
        $b->press(WebDriverKeys::ESCAPE)->waitForPath("#^/lessons/$lesson/teach$#");
        $b->saying('14 Inside reverse fold.', 'h1');
        $b->network(true, 0);
        $this->seat(1)->click();
        $this->done(['Ada']);
        $b->press('w')->waitForPath("#^/lessons/$lesson/ways/crane$#");
        $b->until(fn (): bool => $this->focused() === self::MARK, 'the open passage has the focus');
        $b->click(self::PAGES, 'label')->click('Use this from now on', 'button');
        $b->saying('Marks of this device are still to be sent', 'p');
        $b->network(false, 0);
        $b->until(function () use ($b, $lesson): bool {
            foreach ($this->all('.foot .fold-button:not(.v-btn--loading)') as $button) {
                $button->click();
            }
            usleep(500_000);

            return str_ends_with($b->path(), "/lessons/$lesson/teach");
        }, 'it goes once the line is back');
        $b->saying('14 Turn a layer like a page.', 'h1');

        // Ada's mark at step 14 of the old count: she is in the middle of the passage, and begins it the new way.
        $kinds = array_column($this->api("/api/lessons/$lesson/events")['events'], 'kind');
        self::assertSame(['moved', 'done', 'way-changed'], $kinds);
        $b->driver->switchTo()->window($first);
        $b->saying('14 Turn a layer like a page.', 'h1');
        self::assertCount(24, $this->all('.thread li'));
    }

    public function testHowALessonIsTaughtSetsItsPlanAndItsStage(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram'], 'drinking-cup');
        $b->visit("/lessons/$lesson/plan")->saying('How it is taught', 'h2');
        $b->saying('As usual.', 'p');
        $b->click('Choose how it is taught', 'button');
        $before = $this->planned();
        $this->select('How is a step shown?', 'Each step twice, slowly, then faster');
        $b->saying('The second time many see what they missed', 'div[@role="alert"]//*');
        $b->until(fn (): bool => $this->planned() > $before, 'showing twice takes longer');
        $this->select('Folded before the lesson', 'steps 1 to 3');
        $b->saying('What is folded already', 'li');
        $b->visit("/lessons/$lesson/teach")->saying('Before the first step', 'h1');
        $b->saying('Steps 1 to 3 are folded already.', 'p');
        $b->saying('I show each step twice; look both times.', 'li');
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('4 ', 'h1'); // looked at
        $b->click('Begin the lesson', 'button')->saying('4 ', 'h1');
        $b->press(WebDriverKeys::ARROW_LEFT)->saying('3 ', 'h1');

        // Once more at the end, faster: a line of the plan, and a way back to the first step.
        $b->visit("/lessons/$lesson/plan")->saying('Not as usual: Each step twice', 'p');
        $b->saying('step 1 to 3 folded before', 'p');
        $b->click('Choose how it is taught', 'button')->click('once more at the end', 'label');
        $b->saying('Once more, faster: Drinking cup', 'li');
        $b->visit("/lessons/$lesson/teach")->saying('3 ', 'h1');
        for ($step = 4; $step <= 7; $step++) {
            $b->press(WebDriverKeys::ARROW_RIGHT)->saying("$step ", 'h1');
        }
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('Finished', 'h1');
        $b->click('Begin it again', 'button')->saying('1 ', 'h1');
    }

    /** Minutes that the plan needs. */
    private function planned(): int
    {
        $said = $this->browser->saying('minutes; with the buffer', 'p')->getText();
        preg_match('/(\d+) of \d+ minutes/', $said, $found);

        return (int) ($found[1] ?? 0);
    }

    private function select(string $label, string $option): void
    {
        $b = $this->browser;
        $b->driver->executeScript(
            'const l = [...document.querySelectorAll("label")].find(l => l.textContent === arguments[0]);'
                .'l.closest(".v-field").scrollIntoView({block: "center"})',
            [$label],
        );
        $b->driver->findElement(WebDriverBy::xpath(
            "//label[text()='$label']/ancestor::div[contains(@class, 'v-field ')]",
        ))->click();
        $b->click($option, 'div[@role="option"]');
    }

    private function plansWithPages(int $lesson): void
    {
        $b = $this->browser;
        $b->visit("/lessons/$lesson/plan")->click('Ways of teaching it', 'a');
        $b->saying('You can choose how to teach 11 parts of the crane', 'h1');
        self::assertLessThanOrEqual(4, count($this->all('.layout fieldset')), 'what matters first');
        $b->click('All 11 questions', 'button');
        $b->until(fn (): bool => count($this->all('.layout fieldset')) === 11, 'all of them');
        $before = $this->minutes();
        $b->click(self::PAGES, 'label');
        $b->until(fn (): bool => $this->minutes() > $before, 'nine plain steps take longer than two reverses');
        $pages = $this->minutes();
        $b->click('Keep as my usual ways', 'button')->saying('Kept: your next lessons begin with these ways', 'span');
        $b->click('Teach it like this', 'button')->waitForPath("#^/lessons/$lesson/plan$#");
        $b->saying("$pages of 60 minutes", 'p');
        $b->saying('22 ', 'li');
        $b->visit('/lessons/new')->find('.tile');
        $this->pick('crane');
        $b->saying('Taught by the ways you chose.', 'p');
    }

    /** Minutes that the headline says. */
    private function minutes(): int
    {
        preg_match('/As chosen: (\d+) min/', $this->browser->find('.say')->getText(), $found);

        return (int) ($found[1] ?? 0);
    }

    private function fold(): string
    {
        return $this->browser->find('h1 .fold')->getText();
    }

    /** What the label of the focused field says first. */
    private function focused(): string
    {
        return (string) $this->browser->driver->executeScript(
            'return document.activeElement?.closest("label")?.querySelector("b")?.textContent ?? ""',
        );
    }

    /** Who folded this way, by the record. */
    private function names(string $way): string
    {
        return ltrim((string) $this->browser->driver->executeScript(
            'return [...document.querySelectorAll("dd")].find(d => d.querySelector("b").textContent === arguments[0])'
                .'?.querySelector("span").textContent ?? ""',
            [$way],
        ));
    }

    /** @param  list<string>  $names  whose sheets have the corner turned */
    private function done(array $names): void
    {
        $this->browser->until(
            fn (): bool => $names === array_values(
                (array) $this->browser->driver->executeScript(
                    'return [...document.querySelectorAll(".seats button.done b")].map(b => b.textContent)',
                ),
            ),
            implode(', ', $names).' should be done',
        );
    }
}
