<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** The plan is rehearsed: who is done by the bell, what would help, one press to do it and one to take it back. */
final class PlanTest extends BrowserTestCase
{
    public function testALeverIsPulledAndTakenBack(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo', 'Dido'], 'crane');
        $b->visit("/lessons/$lesson/plan")->saying('Will they finish?', 'h2');
        $b->saying('9 times in 10 everyone has finished by', 'p');
        $b->find('.chart .band');
        $before = $b->find('.forecast .headline')->getText();
        $this->openAll();
        $levers = $this->names();
        self::assertContains('One more helper', $levers);
        $helpers = $this->helpers($lesson);

        // by keyboard, on a slow line
        $b->network(false, 300);
        $b->driver->executeScript(
            "[...document.querySelectorAll('.levers button')]"
                .".find((b) => b.ariaLabel === 'Apply: One more helper').focus()",
        );
        $b->press(' ');
        $b->saying('Undo', 'button');
        $b->until(fn (): bool => $this->helpers($lesson) === $helpers + 1, 'one helper more is kept');
        $b->click('Undo', 'button');
        $b->until(fn (): bool => $this->helpers($lesson) === $helpers, 'and taken back');
        $b->network(false, 0);
        $b->until(
            fn (): bool => $this->all('.forecast .headline') !== []
                && $this->all('.forecast .headline')[0]->getText() === $before,
            'the same lesson has the same forecast',
        );

        // a time says why
        $b->driver->executeScript("document.querySelectorAll('.run .why')[9].focus()");
        $b->press(' ')->saying('Folded: 78 s for an adult beginner', 'small');
        $b->press(' ');
        $b->until(fn (): bool => $this->all('.because') === [], 'it closes again');

        // after a reload it says the same
        $b->visit("/lessons/$lesson/plan")->saying('Will they finish?', 'h2');
        self::assertSame($before, $b->find('.forecast .headline')->getText());
        $this->openAll();
        self::assertSame($levers, $this->names());
    }

    public function testAHopelessPlanIsLookedAtBesideAnotherAndSplit(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo', 'Dido', 'Ede', 'Fio'], 'crane', 30);
        $b->visit("/lessons/$lesson/plan")->saying('minutes too long', 'h1');
        $b->saying('In this slot go as far as step', 'p');

        // beside it an easier model: a table, and a second band in the chart
        $this->openAll();
        $b->saying('An easier model:', 'li')->findElement(WebDriverBy::cssSelector('.link'))->click();
        $b->saying('Side by side', 'th');
        $b->find('.chart .other');
        self::assertCount(7, $this->all('.beside tbody tr'));

        // the rest a week later, begun with what was folded in this one
        preg_match('/as far as step (\d+)/', $b->find('.forecast')->getText(), $m);
        $b->click('Plan the rest for a week later', 'button');
        $b->saying('The rest is planned for', 'a');

        // taken back it is in the bin, also after a reload; pressed once more it is planned anew
        $b->visit("/lessons/$lesson/plan")->saying('The rest is planned for', 'a');
        $b->click('Undo', 'button');
        $b->until(fn (): bool => ! str_contains($b->find('.layout')->getText(), 'The rest is planned'), 'gone');
        self::assertCount(1, $this->api('/api/lessons')['lessons'], 'the place has this lesson alone');
        $b->click('Plan the rest for a week later', 'button');
        $b->saying('The rest is planned for', 'a')->click();
        $b->until(fn (): bool => ! str_contains($b->path(), "/lessons/$lesson/"), 'the other lesson');
        $b->saying('What is folded already', 'li');
        $second = $this->api('/api/lessons/'.explode('/', $b->path())[2]);
        self::assertSame((int) ($m[1] ?? 0), $second['setting']['policies']['prepared']);
        self::assertSame(date('Y-m-d', strtotime('+7 days')).'T10:00', $second['card']['starts_at']);
    }

    /** Three levers are shown, the rest by a press. */
    private function openAll(): void
    {
        $b = $this->browser;
        $b->find('.levers li');
        self::assertLessThanOrEqual(3, count($this->all('.levers li')));
        $b->click('that help less', 'button');
        $b->until(fn (): bool => count($this->all('.levers li')) > 3, 'the others');
    }

    /** @return list<string> */
    private function names(): array
    {
        $this->browser->find('.levers li');

        return array_map(static fn ($li): string => $li->getText(), $this->all('.levers li > span:first-child'));
    }

    private function helpers(int $lesson): int
    {
        return (int) $this->api("/api/lessons/$lesson")['setting']['helpers'];
    }
}
