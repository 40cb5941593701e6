<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Small things that harmed many: what a lead would notice at each, also after a walk from page to page. */
final class HarmTest extends BrowserTestCase
{
    private const ROOT = __DIR__.'/../..';

    /** After New lesson, First lesson's offers and a record, a chosen option elsewhere is still read. */
    public function testAChosenOptionIsReadAfterAWalk(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->click('Plan a lesson', 'a')->waitForPath('#^/lessons/new$#');
        $this->pick('dog-face');
        $b->until(fn (): bool => count($this->all('.tile .warn')) > 0, 'something takes longer than the slot');
        $b->click('Models', 'a')->waitForPath('#^/models$#');
        $b->click('Flapping bird', 'h2')->waitForPath('#^/models/flapping-bird$#');
        $b->find('.ways label.chosen');
        self::assertGreaterThan(3, $this->readable('.ways label.chosen'));
        $b->click('Print the steps', 'a')->waitForPath('#/handout$#');
        $b->find('fieldset label.chosen');
        self::assertGreaterThan(0, $this->readable('fieldset label'));
    }

    /** How many of these were looked at; each has a contrast of 4.5 : 1 at least, all its words. */
    private function readable(string $css): int
    {
        $found = (array) $this->browser->driver->executeScript(
            'return [...document.querySelectorAll(arguments[0])].flatMap(l => [l, ...l.querySelectorAll("*")]'
                .'.filter(e => !e.closest("svg") && [...e.childNodes].some(n => n.nodeType === 3 && n.data.trim()))'
                .'.map(e => [getComputedStyle(e).color, getComputedStyle(l).backgroundColor, e.textContent.trim()]))',
            [$css],
        );
        foreach ($found as [$text, $ground, $words]) {
            self::assertGreaterThanOrEqual(4.5, self::contrast($text, $ground), $words);
        }

        return count($found);
    }

    /** Every rule of a component's style names that component; only the theme and the library's own speak to all. */
    public function testNoStyleOfAComponentReachesOutsideIt(): void
    {
        $b = $this->browser;
        $b->visit('/sign-in')->find('form');
        $selectors = static fn (string $css): array => (array) $b->driver->executeScript(
            'const sheet = new CSSStyleSheet(); sheet.replaceSync(arguments[0]); const found = [];'
                .'const walk = rules => { for (const r of rules) { if (r instanceof CSSPageRule) continue; '
                .'if (r.selectorText) found.push(...r.selectorText.split(/,(?![^(]*\))/)); '
                .'if (r.cssRules && !r.selectorText) '
                .'walk(r.cssRules) } }; walk(sheet.cssRules); return found.map(s => s.trim())',
            [$css],
        );
        $theme = $selectors((string) file_get_contents(self::ROOT.'/resources/ts/theme/tokens.css'));
        $reaching = [];
        $seen = 0;
        foreach (glob(self::ROOT.'/public/build/assets/*.css') ?: [] as $file) {
            foreach ($selectors((string) file_get_contents($file)) as $selector) {
                $seen++;
                $isOwn = str_contains($selector, '[data-v-');
                $library = '/^(?:[a-z]*(?:::?[a-z-]+)?|\W)*[.:]?(?:v-|:root|\*|html|body)/';
                $isLibrary = preg_match($library, $selector) === 1;
                if (! $isOwn && ! $isLibrary && ! in_array($selector, $theme, true)) {
                    $reaching[] = basename($file).": $selector";
                }
            }
        }
        self::assertGreaterThan(300, $seen);
        self::assertSame([], array_values(array_filter(
            $reaching,
            static fn (string $one): bool => ! str_starts_with($one, 'main-'),
        )));
        foreach ($reaching as $one) {
            self::assertDoesNotMatchRegularExpression('/\.(chosen|on|over|warn|done|away|help)\b/', $one);
        }
    }

    public function testAPageOpensAtItsTopWithTheFocusOnItsHeadingAndBackWhereItWasLeft(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->click('Models', 'a')->waitForPath('#^/models$#');
        $b->until(fn (): bool => count($this->all('.tile')) > 30, 'the shelf is there');
        $b->until(fn (): bool => $this->focused() === 'H1', 'the heading has the focus');
        $b->driver->executeScript('window.scrollTo(0, 900)');
        usleep(300_000);
        $at = $this->scrolled();
        self::assertGreaterThan(500, $at);
        $tile = array_values(array_filter(
            $this->all('.tile a, a.tile'),
            fn ($a): bool => $this->browser->driver->executeScript(
                'const r = arguments[0].getBoundingClientRect(); return r.top > 0 && r.bottom < innerHeight',
                [$a],
            ) === true,
        ))[0];
        $tile->click();
        $b->waitForPath('#^/models/[a-z-]+$#')->find('.steps');
        $b->until(fn (): bool => $this->scrolled() === 0, 'the model opens at its top');
        $b->until(fn (): bool => $this->focused() === 'H1', 'its heading has the focus');
        $b->driver->navigate()->back();
        $b->waitForPath('#^/models$#');
        $b->until(fn (): bool => abs($this->scrolled() - $at) < 5, 'back is where it was left');
    }

    /** The question that is shown, then all of them: two requests, and both for the group that is shown. */
    public function testAModelsPageAsksItsWaysOnce(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->visit('/models/flapping-bird')->saying('You can choose how to teach', 'h2');
        $asked = (array) $b->driver->executeScript(
            'return performance.getEntriesByType("resource").map(e => e.name).filter(n => n.includes("/ways"))',
        );
        self::assertCount(2, $asked, implode("\n", $asked));
        self::assertStringContainsString('only=first', $asked[0]);
        self::assertStringNotContainsString('only=', $asked[1]);
        foreach ($asked as $address) {
            self::assertMatchesRegularExpression('/group=\d+/', $address);
        }
    }

    /** One tab shows a passage another way; the other, which has not heard of it, marks by the count it still shows. */
    public function testTwoTabsOfOneDeviceLoseNobody(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram'], 'crane');
        $this->begin($lesson);
        $first = $b->driver->getWindowHandle();
        $b->driver->executeScript('window.open(location.href)'); // a copy, with the storage of the first
        $second = array_values(array_diff($b->driver->getWindowHandles(), [$first]))[0];
        $b->driver->switchTo()->window($second);
        $b->saying('1 ', 'h1');
        $this->seat(1)->click();
        $b->until(fn (): bool => $this->marks($lesson) === 1, 'the second tab marks');
        $b->driver->switchTo()->window($first);
        $b->until(fn (): bool => count($this->all('.seats button.done')) === 1, 'the first tab hears of it');
        $this->seat(2)->click();
        $b->until(fn (): bool => $this->marks($lesson) === 2, 'the first tab marks');
        $events = $this->api("/api/lessons/$lesson/events")['events'];
        $marks = array_values(array_filter($events, static fn (array $e): bool => $e['kind'] === 'done'));
        self::assertNotSame($marks[0]['device'], $marks[1]['device'], 'each tab has a name of its own');
        self::assertSame(...array_map(static fn (array $e): string => explode('.', $e['device'])[0], $marks));
    }

    public function testABellBeforeTheStartIsSaidWhereTheEyesAre(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->visit('/lessons/new')->saying('A new lesson', 'h1');
        $this->pick('dog-face');
        $b->fill('Start', '16:00')->fill('Ends at', '15:00');
        $b->click('Plan this lesson', 'button');
        $said = $b->saying('The slot ends before it starts');
        $b->until(fn (): bool => $this->browser->driver->executeScript(
            'const r = arguments[0].getBoundingClientRect(); return r.top >= 0 && r.bottom <= innerHeight',
            [$said],
        ) === true, 'the answer is in sight');
        self::assertSame('time', $b->driver->switchTo()->activeElement()->getAttribute('type'), 'with the focus in it');
    }

    public function testWhatIsTypedIsNotLostByALetterALinkOrAClosedTab(): void
    {
        $b = $this->browser;
        $this->signIn();
        $stands = fn (): bool => $b->driver->executeScript(
            'return [...document.querySelectorAll("form input")].some(i => i.value === "3")',
        ) === true;
        $forms = ['/groups' => 'Name of the group', '/paper' => 'Name', '/lessons/new' => 'Other adults helping'];
        foreach ($forms as $at => $label) {
            $b->visit($at)->find('form');
            $at === '/lessons/new' && $this->pick('dog-face');
            $b->fill($label, '3')->saying('Kept on this device until you save', 'p');
            $b->driver->executeScript('document.activeElement.blur()');
            $b->press('m');
            usleep(300_000);
            self::assertSame($at, $b->path(), 'no letter leads away');
            $b->find("nav a[href='/models']")->click();
            $b->waitForPath('#^/models$#'); // nothing is asked: it is kept
            $b->driver->navigate()->back();
            $b->saying('and did not save it', 'p');
            self::assertFalse($stands(), 'it is offered, not put there unasked');
            $b->click('Use it', 'button')->until($stands, 'it stands there again');
            $tabs = $b->driver->getWindowHandles();
            $b->driver->switchTo()->newWindow();
            $other = $b->driver->getWindowHandle();
            $b->driver->switchTo()->window($tabs[0])->close();
            $b->driver->switchTo()->window($other);
            $b->visit($at)->saying('and did not save it', 'p');
            $b->click('Discard', 'button');
            $b->visit($at)->find('form');
            usleep(500_000);
            self::assertSame([], $this->all('.draft'), 'what was discarded is not offered again');
        }
    }

    public function testADraftGoesWithASaveAndWithSigningOut(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->visit('/groups')->find('form');
        $b->fill('Name of the group', 'Zander class')->fill('Given names', "Ada\nBram")
            ->saying('Kept on this device until you save', 'p');
        $kept = fn (): int => (int) $b->driver->executeScript(
            'return Object.keys(localStorage).filter((key) => key.startsWith("draft-")).length',
        );
        $b->until(fn (): bool => $kept() === 1, 'kept');
        $b->click('Save', 'button')->saying('Zander class', 'h2');
        $b->until(fn (): bool => $kept() === 0, 'saved: nothing is left on the device');
        $b->fill('Name of the group', 'Never saved')->until(fn (): bool => $kept() === 1, 'kept again');
        $this->signOut();
        $b->waitForPath('#^/sign-in$#');
        self::assertSame(0, $kept(), 'children\'s names do not stay behind');
    }

    public function testALessonWithoutTapsAsksAndKeepsWhatIsSaid(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo', 'Dan']);
        $this->begin($lesson);
        $this->hold(4, 'Away');
        $b->saying('away', 'span');
        $b->click('Next step', 'button')->saying('2 ', 'h1');
        $b->click('More', 'button')->click('End the lesson here', 'button');
        $b->saying('Did everybody here finish?', 'h2');
        $b->click('Cancel', 'button');
        $b->saying('2 ', 'h1');
        $b->click('More', 'button')->click('End the lesson here', 'button')
            ->click('All finished', 'button')->waitForPath('#/keep$#');
        $b->saying('3 of 4 finished', 'h1');
        self::assertSame([], $this->chosen(4), 'was there when it began, and nobody said a step: nothing is recorded');
        $b->visit("/lessons/$lesson/keep")->saying('3 of 4 finished', 'h1'); // after a reload, too
    }

    public function testWhereNothingIsRecordedOnePressSaysItOfAllTheOthers(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo', 'Dan']);
        $this->begin($lesson);
        for ($step = 2; $step <= 7; $step++) {
            $b->press(WebDriverKeys::ARROW_RIGHT);
        }
        $b->saying('Finished', 'h1');
        $b->click('End the lesson', 'button')->click('I say it one by one', 'button')->waitForPath('#/keep$#');
        $b->saying('0 of 4 finished', 'h1');
        self::assertSame([], $this->chosen(1), 'nothing is recorded, nobody is away');
        $b->find('.people li:nth-child(2) label:nth-of-type(2) input')->click();
        $b->saying('1 of 4 finished', 'h1');
        $b->saying('Nothing is recorded of 3. All the others:', 'b');
        $b->find('.others button')->click();
        $b->saying('4 of 4 finished', 'h1');
        self::assertSame([], $this->all('.others'));
        self::assertSame(['finished with help'], $this->chosen(2), 'who was said stays as said');
    }

    public function testASecondTapIsNoSecondMarkAndTheLineIsNamedOnlyWhenItIsGone(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram']);
        $this->begin($lesson);
        $seat = $this->seat(1);
        $seat->click();
        $b->until(fn (): bool => count($this->all('.seats button.done')) === 1, 'one is done');
        $seat->click();
        $seat->click();
        $b->until(fn (): bool => $this->marks($lesson) === 1, 'one mark is kept');
        $b->press('u');
        $b->until(fn (): bool => count($this->all('.seats button.done')) === 0, 'undo takes it back at once');

        $b->network(false, 400);
        foreach ([1, 2] as $learner) {
            $this->seat($learner)->click();
        }
        $b->click('Next step', 'button')->saying('2 ', 'h1');
        self::assertStringNotContainsString('Offline', $b->find('aside')->getText(), 'slow is not gone');
        $b->until(fn (): bool => $this->marks($lesson) === 4, 'one, an undo, and two');
        $b->network(true, 0);
        $this->seat(1)->click();
        $b->saying('Offline: one tap saved', 'p');
        $this->seat(2)->click();
        $b->saying('Offline: 2 taps saved', 'p');
        $b->network(false, 0);
        $b->until(
            fn (): bool => ! str_contains($this->browser->find('aside')->getText(), 'wait'),
            'they are sent, and nothing is said any more',
        );
        $b->until(fn (): bool => $this->marks($lesson) === 6, 'and two more');
    }

    /** @return list<string> what is chosen of a learner's record */
    private function chosen(int $learner): array
    {
        return array_map(
            static fn ($label): string => trim($label->getText()),
            $this->all(".people li:nth-child($learner) label.on"),
        );
    }

    private function marks(int $lesson): int
    {
        return count(array_filter(
            $this->api("/api/lessons/$lesson/events")['events'],
            static fn (array $e): bool => ! in_array($e['kind'], ['started', 'moved'], true),
        ));
    }

    private function focused(): string
    {
        return (string) $this->browser->driver->executeScript('return document.activeElement?.tagName ?? ""');
    }

    private function scrolled(): int
    {
        return (int) round((float) $this->browser->driver->executeScript('return window.scrollY'));
    }

    /** Of WCAG 2.2: relative luminance of sRGB, (L1 + 0.05) / (L2 + 0.05). */
    private static function contrast(string $one, string $other): float
    {
        $light = array_map(static function (string $colour): float {
            preg_match_all('/[\d.]+/', $colour, $m);
            $of = array_map(static function (string $part): float {
                $c = (float) $part / 255;

                return $c <= 0.04045 ? $c / 12.92 : (($c + 0.055) / 1.055) ** 2.4;
            }, array_slice($m[0], 0, 3));

            return 0.2126 * $of[0] + 0.7152 * $of[1] + 0.0722 * $of[2];
        }, [$one, $other]);

        return (max($light) + 0.05) / (min($light) + 0.05);
    }
}
