<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** Handouts and cards, as the browser's print makes them: pages, words, and nothing cut. */
final class PrintTest extends BrowserTestCase
{
    private const A4 = [210.0, 297.0];

    private const LETTER = [216.0, 279.0];

    /** Fields that are cut, or whose picture is smaller than this many pixels (18 mm). */
    private const CUT = <<<'JS'
        return [...document.querySelectorAll('.field')].flatMap((field, i) => {
            const box = field.getBoundingClientRect()
            const out = [...field.querySelectorAll('p, svg, dl, div, header')].some((part) => {
                const at = part.getBoundingClientRect()
                return at.bottom > box.bottom + 1 || at.right > box.right + 1 || at.left < box.left - 1
            })
            const small = [...field.querySelectorAll('svg')].some((picture) => {
                const at = picture.getBoundingClientRect()
                return Math.max(at.width, at.height) < 68
            })
            return out || small ? [i + 1] : []
        })
        JS;

    /** Minutes from the start of each row of a run sheet, and how long it takes ("<1": 0). */
    private const ROWS = <<<'JS'
        return [...document.querySelectorAll('.leaf tr')].map((row) => {
            const [hours, minutes] = row.querySelector('th').textContent.trim().split(':').map(Number)
            const takes = row.querySelector('.minutes').textContent.trim()
            return [60 * hours + minutes, takes === '<1' ? 0 : Number(takes)]
        })
        JS;

    /** Leaves whose text goes beyond their foot. */
    private const OVER = <<<'JS'
        const leaves = [...document.querySelectorAll('.leaf')]
        return leaves.filter((leaf) => leaf.scrollHeight > leaf.clientHeight + 1).length
        JS;

    /** @return iterable<string, array{string, int}> model, pages: one to seventeen steps, two from eighteen on */
    public static function plans(): iterable
    {
        yield 'a helmet of 8 steps' => ['helmet', 1];
        yield 'a crane of 17 steps' => ['crane', 1];
        yield 'a lily of 28 steps' => ['lily', 2];
    }

    /** The plan on paper, on either paper: pages, no field of the screen, and minutes that add up along the clock. */
    #[DataProvider('plans')]
    public function testTheRunSheet(string $model, int $pages): void
    {
        $b = $this->browser;
        $lesson = $this->lesson(['Ada', 'Bram', 'Cleo'], $model);
        $b->visit("/lessons/$lesson/plan")->click('Print the run sheet', 'a')->waitForPath('#/run-sheet$#');
        $b->find('.leaf .picture svg');
        foreach (['letter' => self::LETTER, 'a4' => self::A4] as $paper => $page) {
            $b->driver->executeScript('const s = document.querySelector(".head select"); s.value = arguments[0];'
                .'s.dispatchEvent(new Event("change"))', [$paper]);
            $b->find(".leaf.$paper");
            self::assertSame(0, $b->driver->executeScript(self::OVER), "cut on $paper");
            $pdf = Pdf::of($b->driver);
            self::assertSame(array_fill(0, $pages, $page), $pdf->pages());
        }
        $rows = (array) $b->driver->executeScript(self::ROWS);
        foreach (array_slice($rows, 1) as $i => [$at]) {
            self::assertSame(($rows[$i][0] + $rows[$i][1]) % 1440, $at, 'row '.($i + 2).' begins when one ends');
        }
        $text = $pdf->text();
        $said = ['Arrive, sit down', 'To have ready:', 'For the quick:', 'If time is short:', 'Everybody: '];
        foreach ($said as $words) {
            self::assertStringContainsString($words, $text);
        }
        foreach (['Marta', 'Print this page', 'All lessons', 'Back to the plan'] as $screen) {
            self::assertStringNotContainsString($screen, $text, 'what belongs to the screen stays there');
        }
        foreach ($pdf->darkestAtTheEdge(3.0) as $i => $dot) {
            self::assertGreaterThan(250, $dot, 'something touches the edge of page '.($i + 1));
        }
        // the plan on the screen says the same moments
        $sheet = array_column($rows, 0);
        $b->visit("/lessons/$lesson/plan")->saying('Run sheet', 'h2');
        $times = array_map(static fn (array $of): int => $of[0], (array) $b->driver->executeScript(
            'return [...document.querySelectorAll(".run li:not(.checkpoint) > span:first-child")].map((of) => {'
            .'const [h, m] = of.textContent.trim().split(":").map(Number); return [60 * h + m] })',
        ));
        self::assertSame($sheet, array_slice($times, 0, -1));
    }

    /** @return iterable<string, array{string, string, int, array{float, float}}> crane: 17 steps and the end */
    public static function leaves(): iterable
    {
        yield 'one on A4' => ['1', 'a4', 18, self::A4];
        yield 'two on letter' => ['2', 'letter', 9, self::LETTER];
        yield 'four on A4' => ['4', 'a4', 5, self::A4];
        yield 'eight on letter' => ['8', 'letter', 3, self::LETTER];
        yield 'large letters on A4' => ['large', 'a4', 18, self::A4];
    }

    /** @param  array{float, float}  $page */
    #[DataProvider('leaves')]
    public function testTheStepsOfAModel(string $size, string $paper, int $pages, array $page): void
    {
        $this->signIn();
        $this->browser->visit('/models/crane/handout')->find('.leaf');
        $this->choose($size, $paper);
        self::assertSame([], $this->browser->driver->executeScript(self::CUT), 'fields that are cut');
        $pdf = Pdf::of($this->browser->driver);
        self::assertSame(array_fill(0, $pages, $page), $pdf->pages());
        $text = $pdf->text();
        foreach (['1 Crease.', '10 Petal fold.', '17 Valley fold.', 'Finished: Crane.'] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertStringContainsString('coloured side up', $pdf->text(1));
        self::assertMatchesRegularExpression("~1 ?/ ?$pages\$~", $pdf->text(1));
        foreach (['Marta', 'Print this page', 'All models'] as $screen) {
            self::assertStringNotContainsString($screen, $text, 'what belongs to the screen stays there');
        }
        foreach ($pdf->darkestAtTheEdge(3.0) as $i => $dot) {
            self::assertGreaterThan(250, $dot, 'something touches the edge of page '.($i + 1));
        }
    }

    /** Both sides of the sheet, each on a leaf, as large as they are folded: 150 mm, and 90 when that is asked for. */
    public function testTheMapOfTheSheetIsPrintedAtFullSize(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->visit('/models/windmill/decorate')->saying('where the flat sheet ends up', 'h1');
        $pdf = Pdf::of($b->driver);
        self::assertCount(2, $pdf->pages());
        self::assertStringContainsString('coloured side of the sheet', $pdf->text(1));
        self::assertStringContainsString('plain side of the sheet', $pdf->text());
        self::assertStringNotContainsString('Press a place', $pdf->text());
        $wide = fn (): mixed => $b->driver->executeScript(
            'return document.querySelectorAll(".leaf .full")[1].style.width',
        );
        $b->until(fn (): bool => $wide() === '150mm', 'the side one begins with');
        $b->driver->executeScript('const i = document.querySelector(".print input"); i.value = 90;'
            .'i.dispatchEvent(new Event("change"))');
        $b->until(fn (): bool => $wide() === '90mm', 'the side that is asked for');
    }

    /** A place of the model is found on the sheet, and a hidden place of the sheet is said to be hidden. */
    public function testAPlaceIsFoundBothWays(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->visit('/models/windmill/decorate')->saying('Press a place', 'p');
        $press = 'const s = document.querySelectorAll(".box svg")[arguments[0]]; const r = s.getBoundingClientRect();'
            .'const side = Math.min(r.width, r.height);'
            .'s.dispatchEvent(new MouseEvent("click", {clientX: r.left + r.width / 2 + side * arguments[1],'
            .'clientY: r.top + r.height / 2 + side * arguments[2]}))';
        $b->driver->executeScript($press, [2, 0.12, -0.2]);
        $b->saying('The dot lies on the coloured side of the sheet.', 'p');
        self::assertCount(2, $this->all('circle'), 'a dot on the sheet and one on the model');
        $b->driver->executeScript($press, [0, 0.12, -0.38]);
        $b->saying('it is hidden between layers', 'p');
        self::assertCount(1, $this->all('circle'), 'a dot on the sheet alone');

        // by keys: on the second side of the sheet the dot goes to where the arrow points
        $b->driver->executeScript('document.querySelectorAll(".box svg")[1].focus()');
        $b->press(WebDriverKeys::ARROW_RIGHT);
        $left = fn (): float => (float) $this->all('figure:nth-child(2) circle')[0]->getAttribute('cx');
        $b->until(fn (): bool => count($this->all('figure:nth-child(2) circle')) === 1, 'a dot in the middle');
        $middle = $left();
        $b->press(WebDriverKeys::ARROW_RIGHT)->until(fn (): bool => $left() > $middle, 'one step to the right');
    }

    public function testALessonSaysTheSideOfItsSquare(): void
    {
        $this->signIn();
        $lesson = $this->browser->driver->executeAsyncScript(
            'fetch("/api/home", {headers: {Accept: "application/json"}}).then((r) => r.json())'
                .'.then((home) => fetch("/api/lessons/" + home.next.id, {headers: {Accept: "application/json"}}))'
                .'.then((r) => r.json()).then(arguments[0])',
        );
        $model = $lesson['paper']['models'][0];
        $this->browser->visit('/lessons/'.$lesson['card']['id'].'/plan')->click('Print the steps', 'a');
        $this->browser->waitForPath('#/handout$#')->find('.leaf');
        $this->choose('4', 'a4');
        $side = rtrim(rtrim(number_format(floor($model['side_mm'] * 10) / 10, 1, '.', ''), '0'), '.').' mm';
        $pdf = Pdf::of($this->browser->driver);
        self::assertStringContainsString($side, $pdf->text(1));
        self::assertStringContainsString($model['title'], $pdf->text(1));
        self::assertCount((int) ceil(($lesson['card']['steps'] + 1) / 4), $pdf->pages());
    }

    public function testTheCardsOfTheFolds(): void
    {
        $this->signIn();
        $this->browser->visit('/models/folds/petal')->click('Card to print', 'a');
        $this->browser->find('.leaf');
        $this->choose('2', 'letter');
        $pdf = Pdf::of($this->browser->driver);
        self::assertSame([self::LETTER], $pdf->pages());
        foreach (['Petal fold', 'Hold', 'Press', 'Stop', 'Arched like a boat', 'Two layers came up.'] as $words) {
            self::assertStringContainsString($words, $pdf->text());
        }
        $this->browser->visit('/models/folds/cards/all')->find('.leaf');
        foreach (['1', '2', '4', 'large'] as $size) {
            $this->choose($size, 'a4');
            self::assertSame([], $this->browser->driver->executeScript(self::CUT), "cards that are cut, $size a leaf");
        }
        $this->browser->visit('/models/folds/cards/origami')->saying('No fold is called origami');
    }

    private function choose(string $size, string $paper): void
    {
        $this->browser->driver->executeScript(
            'document.querySelector(`input[name=size][value="${arguments[0]}"]`).click();'
                .'const paper = document.querySelector(".tools select"); paper.value = arguments[1];'
                .'paper.dispatchEvent(new Event("change", {bubbles: true}));',
            [$size, $paper],
        );
        $this->browser->find(".leaf.$paper.of-$size");
    }
}
