<?php

declare(strict_types=1);

namespace Tests\Browser;

use Database\Seeders\DatabaseSeeder;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** The whole path as the demo lead walks it: choose, paper, plan, teach, keep; by mouse, and once by keyboard alone. */
final class WalkTest extends BrowserTestCase
{
    public function testByMouse(): void
    {
        $b = $this->browser;
        $this->signIn();
        $this->stocked('A4', 16);
        $b->click('Plan a lesson', 'a')->waitForPath('#^/lessons/new$#');
        $this->pick('dog-face');
        $b->saying('to spare', 'p');
        $b->click('Plan this lesson', 'button')->waitForPath('#^/lessons/\d+/paper$#');
        $lesson = explode('/', $b->path())[2];
        $b->saying('sheets of', 'h1');
        $b->fill('Side of the square', '105')
            ->click('Save', 'button')
            ->saying('4 sheets of A4: 4 from each', 'h1');
        $b->find(".strip a[href='/lessons/$lesson/plan']")->click();
        $b->saying('It fits', 'h1');
        $b->click('Start teaching', 'a')->waitForPath('#/teach$#');
        $b->saying('Before the first step', 'h1');
        $this->begin((int) $lesson);
        for ($step = 1; $step <= 6; $step++) {
            $step === 1 || $b->click('Next step', 'button');
            $b->saying("$step ", 'h1');
            $this->seat(1)->click();
            $b->until(fn (): bool => count($this->all('.seats button.done')) === 1, "the seat is not done with $step");
        }
        $this->seat(2)->click();
        $b->until(fn (): bool => count($this->all('.seats button.done')) === 2, 'two seats are not done');
        $b->press('u');
        $b->until(fn (): bool => count($this->all('.seats button.done')) === 1, 'the mark was not taken back');

        $b->visit("/lessons/$lesson/teach"); // reload: same step, same seats
        $b->saying('6 ', 'h1');
        $b->until(fn (): bool => count($this->all('.seats button.done')) === 1, 'the seat was forgotten');
        $b->click('Next step', 'button')->saying('Finished', 'h1');
        $b->click('End the lesson', 'button')->waitForPath('#/keep$#');
        $b->saying('1 of', 'h1');
        $b->find('.people li:nth-child(2) label:nth-of-type(2) input')->click();
        $b->saying('2 of', 'h1');
        $b->click('Wall chart of', 'a')->waitForPath('#^/groups/\d+$#');
        self::assertStringContainsString('models finished', $b->saying('models finished', 'span')->getText());
    }

    public function testByKeyboardAlone(): void
    {
        $b = $this->browser;
        $enter = WebDriverKeys::ENTER;
        $b->visit('/sign-in')->find('form');
        $this->tabTo('input[type=email]');
        $b->press(DatabaseSeeder::EMAIL, WebDriverKeys::TAB, DatabaseSeeder::PASSWORD, $enter)->waitForPath('#^/$#');

        $b->find('.start');
        $this->tabTo("a[href='/lessons/new']");
        $b->press($enter)->waitForPath('#^/lessons/new$#');
        $b->until(fn (): bool => count($this->all('.tile')) > 0, 'the shelf stands there');
        $this->tabTo('input[type=search]');
        $b->press('drinking cup', $enter)->saying('Fits:', 'p'); // Enter takes what stands first
        $this->tabTo('button[type=submit]');
        $b->press($enter)->waitForPath('#^/lessons/\d+/paper$#');
        $lesson = explode('/', $b->path())[2];
        $b->saying('sheets of', 'h1');
        $this->tabTo('.side .v-checkbox input');
        $b->press(WebDriverKeys::SPACE)->saying('cut and sorted', 'span');
        $this->tabTo(".strip a[href='/lessons/$lesson/plan']", backwards: true);
        $b->press($enter)->waitForPath('#/plan$#')->saying('It fits', 'h1');
        $this->tabTo("a.v-btn[href='/lessons/$lesson/teach']");
        $b->press($enter)->waitForPath('#/teach$#')->saying('Before the first step', 'h1');

        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('1 Turn round', 'h1'); // only looked at
        $b->press(WebDriverKeys::ARROW_LEFT)->saying('Before the first step', 'h1');
        $this->tabTo('footer .next');
        $b->press($enter)->saying('1 Turn round', 'h1');
        $b->press(WebDriverKeys::PAGE_DOWN)->saying('2 Diagonal fold', 'h1'); // a presenter's clicker
        $this->tabTo('[data-seat="3"]');
        $b->press($enter)->saying('not yet', 'span');
        $b->press(WebDriverKeys::SPACE)->saying('needs help', 'span');
        $b->press($enter);
        $b->until(fn (): bool => count($this->all('.seats .help, .seats .not-yet')) === 0, 'along again');
        $this->tabTo('[data-seat="4"]');
        $b->press(WebDriverKeys::SPACE)->saying('not yet', 'span');
        $b->press('u');
        $b->until(fn (): bool => count($this->all('.seats .not-yet')) === 0, 'the mark was not taken back');
        $this->tabTo('[data-seat="1"]', backwards: true);
        $b->press('i')->saying('Left early', 'button');
        $b->press(WebDriverKeys::ESCAPE);
        $b->until(fn (): bool => $this->all('.v-dialog') === [], 'Escape does not shut it');
        $b->press('b')->saying('The screen is blank', 'button');
        $b->press('b', WebDriverKeys::ARROW_LEFT)->saying('1 Turn round', 'h1');
        for ($step = 2; $step <= 8; $step++) {
            $b->press(WebDriverKeys::ARROW_RIGHT);
        }
        $b->saying('Finished', 'h1');
        $this->tabTo('footer .next');
        $b->press($enter)->waitForPath('#/keep$#')->saying('finished', 'h1');
        $n = explode(' ', $b->find('h1')->getText())[0]; // nobody is behind: all of them, presumed
        $b->saying("$n of $n finished", 'h1');
        $this->tabTo('.people li:nth-child(1) input'); // finished with help; the arrow goes on to "stopped"
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying(((int) $n - 1)." of $n", 'h1');

        foreach (['m' => 'What can they fold', 'p' => 'kinds of paper', 'g' => 'groups'] as $key => $title) {
            $this->tabTo('.mark', backwards: true);
            $b->press($key)->saying($title, 'h1');
        }
        self::assertSame('Keyboard shortcuts', $b->press('?')->saying('Keyboard shortcuts', 'h2')->getText());
    }

    public function testTheShelfByWishesAndAModelByAnotherWay(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->visit('/models')->saying('What can they fold', 'h1');
        $b->until(fn (): bool => count($this->all('.tile')) >= 31, 'the whole library stands on the shelf');
        $high = $b->driver->executeScript('return document.documentElement.scrollHeight');
        self::assertLessThan(2600, $high, 'a dense board: it is looked over, not scrolled through');
        $b->find('input[type=search]')->sendKeys('sails BOAT');
        $b->until(
            fn (): bool => count($this->all('.tile')) === 1
                && $this->all('.tile h2')[0]->getText() === 'Boat with two sails',
            'found by name',
        );
        $b->visit('/models')->find('.tile');
        self::assertCount(1, $this->all('.tile'), 'what was asked is kept over a reload');
        $b->find('input[type=search]')->sendKeys(str_repeat(WebDriverKeys::BACKSPACE, 10));
        $this->choose('Occasion', 'thanks');
        $b->saying('Envelope', 'h2');
        $this->choose('Occasion', '');
        $this->choose('Fold', 'petal');
        $b->until(
            fn (): bool => count($this->all('.tile')) === 5,
            'crane, flapping bird, two dragonflies and the lily teach the petal fold',
        );
        $this->choose('Group', '1');
        $b->until(fn (): bool => count($this->all('.tile.aside .warn')) > 0, 'what takes too long says so');
        $b->click('Flapping bird', 'h2')->waitForPath('#^/models/flapping-bird$#');
        $b->saying('Hard moments', 'h2');
        $steps = count($this->all('.steps > li'));
        $b->saying('You can choose how to teach', 'h2');
        $b->click('Fold in half twice, then squash twice', 'label');
        $b->until(fn (): bool => count($this->all('.steps > li')) === $steps + 4, 'the other way has four steps more');
        $b->click('Plan a lesson with it', 'a')->waitForPath('#^/lessons/new$#');
        $b->until(
            fn (): bool => count($this->all(".tile.picked input[value='flapping-bird']")) === 1,
            'the model is chosen',
        );
        $b->click('Plan this lesson', 'button')->waitForPath('#^/lessons/\d+/paper$#');
        $b->visit('/lessons/'.explode('/', $b->path())[2].'/teach')->saying('Before the first step', 'h1');
        self::assertCount(
            $steps + 3,
            $this->all('.thread li'),
            'the lesson goes the other way; the list had the finished model too',
        );
    }

    public function testACreasePatternOfOnesOwn(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->visit('/models/patterns')->saying('Nothing has been brought yet', 'p');
        $b->driver
            ->findElement(WebDriverBy::cssSelector('input[type=file]'))
            ->sendKeys(dirname(__DIR__).'/fixtures/bird-base.fold');
        self::assertStringContainsString('20 faces', $b->saying('layers at most', 'p')->getText());
        $b->driver->executeScript(
            "const a = document.querySelector('textarea'); a.value = '{}'; a.dispatchEvent(new Event('input'))",
        );
        $b->click('Fold it', 'button');
        self::assertStringContainsString('must be a JSON object', $b->saying('cannot be folded', 'p')->getText());
    }

    public function testFromAnEmptyDatabase(): void
    {
        $account = shell_exec(
            'php artisan cathedra:account Noor noor'.
                bin2hex(random_bytes(3)).
                '@empty.example "Empty house '.
                bin2hex(random_bytes(3)).
                '"',
        );
        preg_match('/Sign in as (\S+) with the password (\S+)/', (string) $account, $m) === 1 ||
            throw new \RuntimeException('No account was made.');
        $b = $this->browser;
        $this->signIn($m[1], $m[2]);
        $b->saying('What do you teach?', 'h1');
        $b->visit('/groups')->waitForPath('#^/groups$#');
        $b->fill('Name of the group', 'Pier class')->fill('Given names', "Ola\nPer\n<b>x</b>")->click('Save', 'button');
        $b->saying('Line 3: Names are plain text');
        $b->fill('Given names', "Ola\nPer")->click('Save', 'button')->saying('Pier class', 'h2');
        $b->visit('/paper')->saying('The cupboard is empty', 'h1');
        $b->fill('Name', 'A4')
            ->fill('Width', '0')
            ->fill('Height', '297')
            ->click('Save', 'button')
            ->saying('between 10 and 2000 mm');
        $b->fill('Width', '210')->click('Save', 'button')->saying('gives a square of 210 mm');
        $b->visit('/lessons/new')->saying('A new lesson', 'h1');
        $b->saying('Pier class, 2', 'span');
        $b->click('Plan this lesson', 'button')->saying('Choose a model.', 'p');
        self::assertSame('/lessons/new', $b->path(), 'without a model there is no lesson');
        $this->pick('dog-face');
        $b->click('Plan this lesson', 'button')->waitForPath('#/paper$#');
        self::assertStringContainsString('one square of 210 mm', $b->saying('4 sheets of A4', 'h1')->getText());
        self::assertNotSame([], $this->all('svg.drawing'), 'the cutting plan is drawn');
        $b->driver->executeScript('window.print = () => { document.title = "printed" }');
        $b->click('Print this page', 'button');
        self::assertSame('printed', $b->driver->getTitle());
        $this->all('.ticks input')[0]->click();
        $b->until(fn (): bool => count($this->all('.ticks .done')) === 1, 'ticked');
        usleep(500_000);
        $b->visit($b->path())->saying('4 sheets of A4', 'h1');
        self::assertCount(1, $this->all('.ticks .done'), 'ticked after a reload too');
        $b->click('All of it is ready', 'button');
        $b->until(fn (): bool => $this->all('.ticks label:not(.done)') === [], 'all at once');
        $b->saying('None of it is ready yet', 'button');
    }

    public function testFromAnEmptyCupboardToAPrintedCuttingPlan(): void
    {
        $account = shell_exec(
            'php artisan cathedra:account Ivo ivo'.
                bin2hex(random_bytes(3)).
                '@empty.example "Paper house '.
                bin2hex(random_bytes(3)).
                '"',
        );
        preg_match('/Sign in as (\S+) with the password (\S+)/', (string) $account, $m) === 1 ||
            throw new \RuntimeException('No account was made.');
        $b = $this->browser;
        $this->signIn($m[1], $m[2]);
        $b->visit('/paper/bench')->saying('The cupboard is empty', 'p');
        $b->click('Cupboard', 'a')->waitForPath('#^/paper$#');
        $b->saying('The cupboard is empty', 'h1');
        $b->fill('Name', 'Letter')
            ->fill('Width', '8 1/2 in')
            ->fill('Height', '11in')
            ->fill('Sheets', '12')
            ->click('Save', 'button')
            ->saying('215.9 × 279.4 mm');
        $b->fill('Name', 'Ends')
            ->fill('Width', '40 cm')
            ->fill('Height', '530')
            ->fill('Sheets', '2')
            ->click('Save', 'button')
            ->saying('400 × 530 mm');
        $b->click('Cut squares', 'a')->waitForPath('#^/paper/bench$#');
        $b->saying('Letter', 'b')->click();
        $b->fill('How many', '12')
            ->fill('Side', '5000')
            ->click('Plan the cutting', 'button')
            ->saying('between 10 and 2000 mm');
        // 12 squares of 130 mm: a sheet of Ends gives 3 x 4 of them (390 x 520) on 2120 cm2, Letter gives 1 x 2 on 603
        // cm2, so 6 of Letter are 3619 cm2
        $b->fill('Side', '130')->click('Plan the cutting', 'button');
        self::assertStringContainsString('one sheet of Ends', $b->saying('12 squares of 130 mm', 'h1')->getText());
        self::assertStringContainsString('nothing better is possible', $b->saying('Proven')->getText());
        self::assertCount(1, $this->all('svg.drawing'));
        self::assertNotSame([], $this->all('.order li'), 'the cuts stand in their order');
        $b->driver->executeScript('window.print = () => { document.title = "printed" }');
        $b->click('Print this page', 'button');
        self::assertSame('printed', $b->driver->getTitle());
        $b->fill('How many', '200')->click('Plan the cutting', 'button')->saying('are missing', 'p');
        $b->visit('/paper/ahead')->saying('No lesson ahead has paper chosen', 'h1');
    }

    public function testTheBenchByKeyboardAlone(): void
    {
        $b = $this->browser;
        $enter = WebDriverKeys::ENTER;
        $this->signIn();
        $this->stocked('A4', 16);
        $b->press('p')->saying('kinds of paper', 'h1');
        $this->tabTo("a[href='/paper/bench']");
        $b->press($enter)->waitForPath('#^/paper/bench$#')->saying('Cut squares of any size', 'h1');
        $wanted = ['A4' => '16', 'Letter' => '3']; // other tests may have taken paper, and so changed the row
        foreach ($this->all('.piles li b') as $i => $name) {
            $pile = '.piles li:nth-child('.($i + 1).')';
            $count = $wanted[$name->getText()] ?? null;
            if (($count !== null) !== ($this->all("$pile.on") !== [])) {
                $this->tabTo("$pile input[type=checkbox]");
                $b->press(WebDriverKeys::SPACE);
            }
            if ($count !== null) {
                $this->tabTo("$pile .count");
                $b->press(WebDriverKeys::CONTROL.'a'.WebDriverKeys::CONTROL, $count);
            }
        }
        $this->tabTo('.size div:nth-child(2) input, .size > :nth-child(2) input');
        $b->press('100');
        $this->tabTo('form .fold-button');
        // 30 of 100 mm are 8 sheets of four; Letter is the smaller sheet (60,322 mm2 against 62,370), of which 3 are
        // taken: 5 of A4.
        $b->press($enter)->saying('30 squares of 100 mm', 'h1');
        self::assertStringContainsString('3 sheets of Letter', $b->saying('5 sheets of A4', 'h1')->getText());
        $this->tabTo('.keep');
        $b->press($enter)->saying('in the cupboard.', 'span');
    }

    public function testALessonOfTwoModels(): void
    {
        $b = $this->browser;
        $this->signIn();
        $b->visit('/')->saying('Square box, Whale', 'b')->click();
        $b->waitForPath('#^/lessons/\d+/#');
        $lesson = explode('/', $b->path())[2];
        $b->visit("/lessons/$lesson/paper")->saying('Wallpaper ends', 'h1');
        $b->click('Kits and labels', 'b')->waitForPath('#/kits$#')->saying('Kits for 5 tables', 'h1');
        self::assertCount(18, $this->all('.labels li'), 'a label for every learner');
        self::assertStringContainsString('Whale: square of 148 mm', $b->find('.labels li')->getText());
        $b->visit("/lessons/$lesson/plan")->saying('It fits', 'h1');
        $b->saying('New square: Whale', 'span');
        $b->visit("/lessons/$lesson/teach")->saying('Before the first step', 'h1');
        self::assertCount(13, $this->all('.thread li'), 'six steps of the box, seven of the whale');
        $b->find('.thread li:nth-child(7) button')->click();
        $b->saying('Now: Whale', 'p');
        $b->visit("/lessons/$lesson/keep")->find('.people');
        $b->find('.people li:nth-child(1) label:nth-of-type(1) input')->click();
        $b->saying('1 of 18', 'h1');
        $b->saying('Whale', 'label')->click();
        $b->saying('0 of 18', 'h1');
        $b->visit("/lessons/$lesson/worksheet")->saying('18 worksheets', 'h1');
    }

    public function testNoSeriousFaultForAssistiveTechnology(): void
    {
        $b = $this->browser;
        $axe = (string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js');
        $check = function (string $path) use ($b, $axe): array {
            $b->visit($path);
            $b->until(fn (): bool => $this->all('h1') !== [], "no heading at $path");
            usleep(700_000);
            $b->driver->executeScript($axe);
            $faults = [];
            // by day all that can be wrong, else only what another look can change
            foreach (['light none', 'dark none', 'light active'] as $value) {
                [$scheme, $forced] = explode(' ', $value);
                $b->media('prefers-color-scheme', $scheme);
                $b->media('forced-colors', $forced);
                $rules = $value === 'light none' ? '' : 'runOnly: ["color-contrast"], ';
                usleep(150_000);
                $found = $b->driver->executeAsyncScript(
                    'const done = arguments[arguments.length - 1]; axe.run(document, {'.$rules.'resultTypes: '
                        .'["violations", "passes"]}).then(r => done(r.passes.length < 1 ? ["nothing to look at"] : '
                        .'r.violations.filter(v => v.impact === "serious" || v.impact === "critical").map(v => v.id '
                        .'+ ": " + v.nodes.map(n => n.html + " " + (n.any[0]?.message ?? "")).slice(0, 3)'
                        .'.join(" | "))))',
                );
                $faults = [...$faults, ...array_map(static fn (string $v): string => "$path $value $v", $found)];
            }
            $b->media('prefers-color-scheme', 'light');
            $b->media('forced-colors', 'none');

            return $faults;
        };
        $b->driver->manage()->timeouts()->setScriptTimeout(120);
        $faults = $check('/sign-in');
        $this->signIn();
        $lesson =
            preg_match('#/lessons/(\d+)/#', (string) $b->find('.strip a')->getAttribute('href'), $m) === 1
                ? $m[1]
                : '0';
        $crane = $this->lessonWith($this->api('/api/groups')[0]['id'], 'crane');
        foreach (
            [
                '/',
                '/models',
                '/models/crane',
                '/models/crane/handout',
                '/models/crane/decorate',
                '/models/folds',
                '/models/folds/petal',
                '/models/folds/cards/petal',
                '/models/patterns',
                '/paper',
                '/paper/models',
                '/paper/bench',
                '/paper/ahead',
                '/groups',
                '/groups/1',
                "/lessons/$lesson/choose",
                "/lessons/$lesson/paper",
                "/lessons/$lesson/plan",
                "/lessons/$lesson/keep",
                "/lessons/$lesson/kits",
                '/lessons/6/worksheet',
                '/lessons/6/paper',
                "/lessons/$lesson/teach",
                "/lessons/$crane/ways/crane",
                '/lessons/2/keep',
                '/bin',
                '/account',
                '/lessons',
                '/lessons/new',
                '/help?of=plan',
                '/lessons/timings',
                '/lessons/term',
                "/lessons/$lesson/wall",
                "/lessons/$lesson/run-sheet",
            ] as $path
        ) {
            $faults = [...$faults, ...$check($path)];
        }
        // filled and chosen: a stage with every mark, a shelf with wishes, a lesson with models picked
        $this->begin($crane, 'exception');
        $b->press(WebDriverKeys::ARROW_RIGHT)->saying('2 ', 'h1');
        foreach ([1, 2, 2, 3] as $seat) {
            $this->seat($seat)->click();
        }
        $this->hold(4, 'Left early');
        $this->hold(5, 'Has step 2');
        $this->settled();
        $faults = [...$faults, ...$check("/lessons/$crane/teach"), ...$check("/lessons/$crane/plan")];
        self::assertSame([], $faults);
    }

    private function choose(string $label, string $value): void
    {
        $this->browser->driver
            ->findElement(WebDriverBy::cssSelector("select[aria-label='$label'] option[value='$value']"))
            ->click();
    }
}
