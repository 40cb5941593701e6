<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** In front of a class, unkindly: reloads, two tabs, a slow and a broken line, ending twice, corrections of names. */
final class TeachingTest extends BrowserTestCase
{
    public function testUndoAfterAReloadShowsAtOnceAndGoesOnBackwards(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo']);
        $this->begin($lesson);
        foreach ([1, 2, 3] as $seat) {
            $this->seat($seat)->click();
            $this->seatsDone($seat);
        }
        $this->settled();
        $b->visit("/lessons/$lesson/teach")->saying('1 ', 'h1');
        $this->seatsDone(3);
        $b->press('u');
        $this->seatsDone(2);
        $b->press('u');
        $this->seatsDone(1);
        $this->settled();
        $b->visit("/lessons/$lesson/teach")->saying('1 ', 'h1');
        $this->seatsDone(1);
    }

    public function testTwoTabsTappedAlternatelyKeepAll(): void
    {
        $b = $this->browser;
        $names = array_map(static fn (int $n): string => "N$n", range(1, 50));
        $lesson = $this->lesson($names, 'drinking-cup');
        $this->begin($lesson);
        $b->driver->switchTo()->newWindow();
        $b->visit("/lessons/$lesson/teach")->saying('1 ', 'h1');
        $tabs = $b->driver->getWindowHandles();
        for ($step = 1; $step <= 3; $step++) {
            $b->driver->switchTo()->window($tabs[0]);
            $step === 1 || $b->press(WebDriverKeys::ARROW_RIGHT);
            $b->saying("$step ", 'h1');
            $this->settled();
            $b->driver->switchTo()->window($tabs[1]);
            $b->saying("$step ", 'h1'); // the other tab follows
            for ($n = 0; $n < 50; $n++) {
                $b->driver->switchTo()->window($tabs[$n % 2]);
                $b->driver->executeScript('document.querySelectorAll("[data-seat]")[arguments[0]].click()', [$n]);
            }
        }
        $this->settled();
        $events = $this->api("/api/lessons/$lesson/events")['events'];
        $done = array_filter($events, static fn (array $e): bool => $e['kind'] === 'done');
        self::assertCount(150, $done, 'none lost');
        self::assertCount(
            150,
            array_unique(array_map(static fn (array $e): string => "{$e['learner']} {$e['step']}", $done)),
        );
    }

    public function testEndingWaitsForWhatIsStillOnTheWay(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo', 'Dov', 'Edda', 'Finn', 'Gus', 'Hana'], 'dog-face');
        $this->begin($lesson);
        for ($step = 2; $step <= 6; $step++) {
            $b->press(WebDriverKeys::ARROW_RIGHT)->saying("$step ", 'h1');
        }
        $this->settled();
        $this->line(offline: true);
        for ($seat = 0; $seat < 8; $seat++) {
            $b->driver->executeScript('document.querySelectorAll("[data-seat]")[arguments[0]].click()', [$seat]);
        }
        $this->seatsDone(8);
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('Finished', 'h1');
        $b->click('End the lesson', 'button')->saying('still to be sent', 'p');
        $b->click('End the lesson', 'button'); // a double press
        $this->line(latency: 700);
        $b->waitForPath('#/keep$#')->saying('8 of 8 finished', 'h1');
        $this->line();
        $kinds = array_count_values(array_column($this->api("/api/lessons/$lesson/events")['events'], 'kind'));
        self::assertSame([8, 1], [$kinds['done'], $kinds['ended']]);
    }

    public function testMarksAfterTheEndAreShownAsLateAndOffered(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram'], 'dog-face');
        $group = $this->api("/api/lessons/$lesson")['group'];
        $this->begin($lesson);
        $this->settled();
        $this->post("/api/lessons/$lesson/events", 'ended');
        $b->saying('This lesson has ended', 'p');
        $this->post("/api/lessons/$lesson/events", 'done', ['learner' => $group['learners'][0]['id'], 'step' => 6]);
        $b->visit("/lessons/$lesson/keep")->saying('0 of 2 finished', 'h1');
        $b->saying('1 marks came after the end', 'p');
        $b->click('Take it into the record', 'button')->saying('1 of 2 finished', 'h1');
        $b->saying('set by Lead', 'span');
        $this->settled();
        $b->visit("/lessons/$lesson/keep")->saying('1 of 2 finished', 'h1');
        self::assertSame([], $this->buttons('Take it into the record'));
    }

    public function testACorrectedNameKeepsItsRecordsAndAStaleListErasesNobody(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['N1', 'N2'], 'dog-face');
        $group = $this->api("/api/lessons/$lesson")['group'];
        $nina = $group['learners'][1]['id'];
        $this->post("/api/lessons/$lesson/events", 'done', ['learner' => $nina, 'step' => 2]);
        $b->visit('/groups')->click('Change', 'button');
        $b->driver->executeScript('const f = arguments[0]; f.value = "Nina"; f.dispatchEvent(new Event("input"))', [
            $b->find('.rows li:nth-child(2) input'),
        ]);
        $b->click('Save', 'button')->saying('N1, Nina', 'p');
        $seats = $this->api("/api/lessons/$lesson")['group']['learners'];
        self::assertSame([$nina, 'Nina'], [$seats[1]['id'], $seats[1]['name']]);

        // A second lead's newcomer is not lost to a form filled before she came.
        $b->click('Change', 'button');
        $now = $this->api('/api/groups')[0];
        $this->put("/api/groups/{$now['id']}", [
            'name' => $now['name'],
            'age_band' => 'junior',
            'helpers' => 0,
            'version' => $now['version'],
            'learners' => [
                ...array_map(static fn (array $l): array => ['id' => $l['id'], 'name' => $l['name']], $now['learners']),
                ['id' => null, 'name' => 'Newcomer'],
            ],
        ]);
        $b->click('Save', 'button')->saying('Somebody else changed this meanwhile', 'h2');
        self::assertStringContainsString('Newcomer', $b->find('[role=alertdialog] table')->getText());
        $b->click('Save mine over it', 'button')->saying('These would go from the list', 'h2');
        self::assertStringContainsString('Newcomer', $b->find('[role=alertdialog]')->getText());
        $b->find('[role=alertdialog] button:last-child')->click();
        self::assertCount(3, $this->api('/api/groups')[0]['learners']);

        $b->visit('/groups')->click('Change', 'button');
        $b->click('×', 'button')->click('Save', 'button')->saying('No longer on the list: N1', 'p');
        $b->click('Put into the bin', 'button')->saying('Nina, Newcomer', 'p');
        $b->visit('/bin')->saying('N1', 'b');
        $b->click('Put back', 'button')->saying('The bin is empty', 'h1');
        $b->visit('/groups')->saying('N1', 'p');
    }

    public function testRemovingALessonNamesWhatGoesAndCanBeTakenBack(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada'], 'dog-face');
        $group = $this->api("/api/lessons/$lesson")['group'];
        $this->post("/api/lessons/$lesson/events", 'done', ['learner' => $group['learners'][0]['id'], 'step' => 6]);
        $this->post("/api/lessons/$lesson/events", 'ended');
        $b->visit("/lessons/$lesson/choose")
            ->click('Remove this lesson', 'button')
            ->saying('1 mark, 1 record', 'p');
        $b->click('Put into the bin', 'button')->waitForPath('#^/$#');
        $b->saying('lies in the bin until', 'span');
        $b->click('Put back', 'button');
        $b->until(fn (): bool => $this->all('.note') === [], 'put back');
        $b->visit("/lessons/$lesson/keep")->saying('1 of 1 finished', 'h1');
    }

    public function testDeedsBelongToWhoDidThemAndSigningOutAsks(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo']);
        $this->begin($lesson);
        $this->settled();
        $b->visit("/lessons/$lesson/plan")->click('Teach', 'a')->saying('1 ', 'h1');
        $this->line(offline: true);
        $this->seat(1)->click();
        $this->seatsDone(1);
        $b->click('More', 'button')->click('Back to plan', 'a')->waitForPath('#/plan$#');
        $this->signOut();
        $b->saying('1 marks have not reached the server', 'h2');
        $b->click('Stay and send them', 'button');
        $this->line();
        $this->settled();
        $done = array_filter(
            $this->api("/api/lessons/$lesson/events")['events'],
            static fn (array $e): bool => $e['kind'] === 'done',
        );
        self::assertCount(1, $done, 'sent without any stage open');
    }

    public function testNoScreenIsWiderThanAPhone(): void
    {
        $b = $this->browser;
        $this->signIn();
        $crane = $this->lessonWith($this->api('/api/groups')[0]['id'], 'crane');
        $b->resize(390, 844);
        $wide = [];
        foreach (
            [
                '/',
                '/models',
                '/models/crane',
                '/models/folds',
                '/models/folds/valley',
                '/paper',
                '/paper/bench',
                '/paper/ahead',
                '/groups',
                '/groups/1',
                '/bin',
                '/account',
                '/models/patterns',
                '/lessons/new',
                '/lessons/2/choose',
                '/lessons/2/paper',
                '/lessons/2/plan',
                '/lessons/2/keep',
                '/lessons/2/kits',
                '/lessons/2/worksheet',
                '/lessons/3/paper',
                '/lessons/3/teach',
                "/lessons/$crane/teach",
                "/lessons/$crane/ways/crane",
            ] as $path
        ) {
            $b->visit($path)->find('h1');
            usleep(400_000);
            $width = $b->driver->executeScript('return document.documentElement.scrollWidth');
            $width <= 390 || ($wide[] = "$path is $width px wide");
        }
        self::assertSame([], $wide);
    }

    /** Waits until nothing of this device waits to be sent any more. */
    private function seatsDone(int $n): void
    {
        $this->browser->until(fn (): bool => count($this->all('.seats button.done')) === $n, "not $n seats are done");
    }

    /** @return list<\Facebook\WebDriver\Remote\RemoteWebElement> */
    private function buttons(string $words): array
    {
        return array_values(
            array_filter($this->all('button'), static fn ($b): bool => str_contains($b->getText(), $words)),
        );
    }

    /** The line to the server: cut, slow (ms there and back), or as it is. */
    private function line(bool $offline = false, int $latency = 0): void
    {
        $this->browser->network($offline, $latency);
    }
}
