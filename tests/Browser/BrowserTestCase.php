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
        $this->browser = Browser::open($this->through($base));
    }

    /** The address by which the application is reached. */
    protected function through(string $base): string
    {
        return $base;
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

    /** The lesson begins at its first step; marked "close", every done is tapped. */
    protected function begin(int $lesson, string $marks = 'close'): void
    {
        $b = $this->browser;
        $b->visit("/lessons/$lesson/teach")->saying('Before the first step', 'h1');
        $b->driver->executeScript('localStorage.setItem("marks", arguments[0])', [$marks]);
        $b->visit("/lessons/$lesson/teach")->saying('Before the first step', 'h1');
        $b->click('Begin the lesson', 'button')->saying('1 ', 'h1');
    }

    /** What lies behind one's name. */
    protected function signOut(): void
    {
        $this->browser->find('.person button')->click();
        $this->browser->click('Sign out', 'div');
    }

    /** Ticks a model where a lesson is chosen. */
    protected function pick(string $model): void
    {
        $box = $this->browser->find(".tile input[value='$model']");
        $this->browser->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$box]); // off the foot
        $box->click();
        $this->browser->until(
            fn (): bool => count($this->all(".tile.picked input[value='$model']")) === 1,
            'the model is chosen',
        );
    }

    protected function seat(int $place): \Facebook\WebDriver\Remote\RemoteWebElement
    {
        return $this->browser->find("[data-seat='$place']");
    }

    /** Press and hold a seat (by the right button, which opens the same), and say something of the learner. */
    protected function hold(int $place, string $say): void
    {
        $this->browser->driver->executeScript(
            'arguments[0].dispatchEvent(new MouseEvent("contextmenu", {bubbles: true, cancelable: true}))',
            [$this->seat($place)],
        );
        $this->browser->click($say, 'button');
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

    /**
     * A room of its own, signed in: an account, a group and a lesson of today; answers the lesson's number.
     *
     * @param  list<string>  $names
     */
    protected function lesson(array $names, string $model = 'dog-face', int $minutes = 60): int
    {
        $account = shell_exec(
            'php artisan cathedra:account Lead lead'.
                bin2hex(random_bytes(3)).
                '@room.example "Room '.
                bin2hex(random_bytes(3)).
                '"',
        );
        preg_match('/Sign in as (\S+) with the password (\S+)/', (string) $account, $m) === 1 ||
            throw new \RuntimeException('No account was made.');
        $this->signIn($m[1], $m[2]);
        $group = $this->send('POST', '/api/groups', [
            'name' => 'Room',
            'age_band' => 'junior',
            'helpers' => 0,
            'learners' => array_map(static fn (string $n): array => ['id' => null, 'name' => $n], $names),
        ]);

        return $this->lessonWith($group['id'], $model, $minutes);
    }

    /** A lesson of today with a model; answers its number. */
    protected function lessonWith(int $group, string $model, int $minutes = 60): int
    {
        $day = date('Y-m-d');

        return $this->send('POST', '/api/lessons', [
            'group_id' => $group,
            'models' => [['model' => $model]],
            'starts_at' => "{$day}T10:00",
            'ends_at' => sprintf('%sT%02d:%02d', $day, 10 + intdiv($minutes, 60), $minutes % 60),
            'helpers' => 0,
            'stock_ids' => [],
            'method' => 'scissors',
            'square_in_lesson' => false,
            'paper_ready' => false,
        ])['card']['id'];
    }

    /** So many sheets of a paper lie in the cupboard, whatever other walks have taken. */
    protected function stocked(string $paper, int $sheets): void
    {
        $of = array_column($this->api('/api/stocks'), null, 'name')[$paper];
        $this->put("/api/stocks/{$of['id']}", [
            'name' => $paper, 'width_mm' => $of['width_mm'], 'height_mm' => $of['height_mm'], 'count' => $sheets,
        ]);
    }

    /** All that was said has been sent. */
    protected function settled(): void
    {
        $this->browser->until(
            fn (): bool => $this->browser->driver->executeAsyncScript(
                'const done = arguments[0]; const open = indexedDB.open("cathedra"); open.onsuccess = () => { const '
                    .'base = open.result;'.
                    'const count = base.transaction("deeds").objectStore("deeds").count();'.
                    'count.onsuccess = () => { base.close(); done(count.result) } }',
            ) === 0,
            'deeds still wait to be sent',
        );
    }

    /** @return array<array-key, mixed> */
    protected function api(string $path): array
    {
        return $this->send('GET', $path, null);
    }

    /** @param  array<string, mixed>  $with */
    protected function post(string $path, string $kind, array $with = []): void
    {
        $key = sprintf('%s-0000-4000-8000-%s', bin2hex(random_bytes(4)), bin2hex(random_bytes(6)));
        $this->send('POST', $path, [
            'after' => 0,
            'events' => [
                [
                    'key' => $key,
                    'kind' => $kind,
                    'device' => 'other',
                    'device_ms' => (int) (microtime(true) * 1000),
                    'after' => 0,
                    ...$with,
                ],
            ],
        ]);
    }

    /** @param  array<string, mixed>  $body */
    protected function put(string $path, array $body): void
    {
        $this->send('PUT', $path, $body);
    }

    /**
     * As the page itself would send it, with its session.
     *
     * @param  array<string, mixed>|null  $body
     * @return array<array-key, mixed>
     */
    protected function send(string $method, string $path, ?array $body): array
    {
        $answer = $this->browser->driver->executeAsyncScript(
            'const [method, path, body, done] = arguments; const token = '
                .'/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1];'.
                'fetch(path, {method, headers: {Accept: "application/json", "Content-Type": "application/json",'.
                '"X-XSRF-TOKEN": decodeURIComponent(token)}, body: body === null ? undefined : JSON.stringify(body)})'.
                '.then(async r => done({status: r.status, text: await r.text()}))',
            [$method, $path, $body],
        );
        self::assertLessThan(300, $answer['status'], "$method $path: {$answer['text']}");

        return (array) json_decode((string) $answer['text'], true);
    }
}
