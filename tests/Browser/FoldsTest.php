<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Named folds: found by key, read on their page, and said again on the stage. */
final class FoldsTest extends BrowserTestCase
{
    public function testFromAnywhereToAFoldAndItsModels(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->press('m')->click('Named folds', 'a')->waitForPath('#^/models/folds$#');
        $b->click('Harbour Juniors', 'option')->saying('Harbour Juniors', 'h1');
        $alone = $this->standing('petal')['alone'];
        $b->click('Petal fold', 'a')->waitForPath('#/folds/petal$#');
        $b->saying('Petal fold', 'h1');
        $said = $b->find('.say')->getText();
        self::assertStringContainsString('A point of the top layer is lifted along a crease', $said);
        self::assertStringContainsString(
            $alone === 0 ? 'new to everybody in Harbour Juniors' : "$alone of 18 in Harbour Juniors",
            $said,
        );
        self::assertCount(4, $this->all('.strip svg'), 'before, half-way, done, and in another model');
        foreach (['Hold', 'Press', 'Stop', 'When it looks wrong', 'Before it', 'Taught in', 'Easier way in'] as $head) {
            $b->saying($head, 'h2');
        }
        $b->saying('Turn each side crease over with a nail, then lift again.');
        $b->click('Crane', 'a')->waitForPath('#^/models/crane$#');

        $b->visit('/models/folds/valley')->saying('One crease, two sides', 'h2');
        self::assertCount(2, $this->all('.sides svg'));
        $b->click('Family morning', 'option');
        $b->saying('Family morning', '*[@class="say"]');
        $b->visit('/models/folds/mountain')->saying('Family morning', '*[@class="say"]'); // asked once, kept
        $b->visit('/models/folds/origami')->saying('There is nothing here');
    }

    public function testTheStageSaysTheSameLines(): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram'], 'crane');
        $this->post("/api/lessons/$lesson/events", 'moved', ['step' => 10]);
        $b->visit("/lessons/$lesson/teach")->saying('10 Petal fold', 'h1');
        self::assertCount(0, $this->all('.over'), 'the picture is not covered before it is asked for');
        $b->press('f');
        $b->saying('One finger on the crease at which the point is lifted; it must not slide.', 'dd');
        $b->saying('Arched like a boat, it does not lie flat.', 'dt');
        $b->press('f');
        $b->until(fn (): bool => count($this->all('.over')) === 0, 'F does not close the lines');
        $b->press('f')->press(WebDriverKeys::ESCAPE);
        $b->until(fn (): bool => count($this->all('.over')) === 0, 'Escape does not close the lines');
        $b->press('f');
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('11 Repeat', 'h1');
        self::assertCount(0, $this->all('.over'), 'they close with the step');
        $b->press('f')->saying('One place is done twice, the other not at all.', 'dt');
    }

    /** @return array{alone: int} */
    private function standing(string $kind): array
    {
        $groups = $this->api('/api/groups');
        $juniors = array_values(array_filter($groups, static fn (array $g): bool => $g['name'] === 'Harbour Juniors'));

        return array_column($this->api("/api/groups/{$juniors[0]['id']}/folds"), null, 'kind')[$kind];
    }
}
