<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Quota;
use App\Accounts\SessionLimits;
use App\Accounts\SignIn;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Tests\Support\Effort;

/** Who comes in, for how long, and what every answer says to the browser. */
final class DoorsTest extends TestCase
{
    public function testNoDatabaseIsUsedThatWasNotNamed(): void
    {
        config(['database.connections.unnamed' => ['port' => ''] + config('database.connections.mariadb')]);
        $this->expectExceptionMessage('No database is named, so none is used: set CATHEDRA_DB_PORT');
        DB::connection('unnamed')->getPdo();
    }

    public function testTheDemoAccountStaysOutOnceTheDemoIsOff(): void
    {
        config(['cathedra.demo' => true]);
        $lead = $this->lead();
        $lead->update(['demo' => true]);
        $this->signIn($lead->email)->assertOk();
        $this->getJson('/api/me')->assertOk();
        config(['cathedra.demo' => false]);
        $this->getJson('/api/me')->assertUnauthorized(); // a session that was open ends too
        $this->signIn($lead->email)->assertStatus(422);
    }

    public function testTriesAreCountedForTheAccountHoweverItIsSpelt(): void
    {
        $lead = $this->lead();
        $lead->update(['email' => 'lead@gullwick.example']);
        foreach (['lead@', 'LEAD@', 'Lead@', 'léad@', 'lead@', 'LÉAD@'] as $spelt) {
            $this->signIn($spelt.'gullwick.example', 'wrong')->assertStatus(422);
        }
        foreach (['lead@gullwick.example', 'lEAD@gullwick.example', 'léad@gullwick.example'] as $spelt) {
            $this->signIn($spelt)->assertStatus(429);
        }
        for ($i = 0; $i < SignIn::TRIES; $i++) {
            $this->signIn('nobody@gullwick.example', 'wrong')->assertStatus(422);
        }
        $this->signIn('Nobody@gullwick.example', 'wrong')->assertStatus(429);
    }

    public function testTheTurnOfAMinuteIsTidiedUpBySeveralWorkersAtOnce(): void
    {
        $folder = sys_get_temp_dir().'/cathedra-turn-'.uniqid();
        $script = 'error_reporting(E_ALL); require "vendor/autoload.php"; $quota = new App\Accounts\Quota($argv[1]);'
            .'$count = new ReflectionMethod($quota, "count");'
            .'for ($i = 0; $i < 400; $i++) { $count->invoke($quota, "lead", intdiv($i, 3)); }';
        $workers = array_map(
            static fn (): array => [
                proc_open(['php', '-r', $script, '--', $folder], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes)
                    ?: self::fail('No worker began.'),
                $pipes,
            ],
            range(1, 4),
        );
        foreach ($workers as [$worker, $pipes]) {
            self::assertSame('', stream_get_contents($pipes[1]).stream_get_contents($pipes[2]));
            self::assertSame(0, proc_close($worker));
        }
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }

    public function testAnAccountHasItsQuotaOfAMinuteAndAnotherIsNotTouched(): void
    {
        CarbonImmutable::setTestNow('2026-12-01 10:00:40');
        $folder = storage_path('framework/quota-test');
        (new Filesystem)->deleteDirectory($folder);
        $quota = new Quota($folder);
        $next = static fn (): Response => new Response('here');
        $of = static fn (string $address): Request => Request::create('/', server: ['REMOTE_ADDR' => $address]);
        $quota->handle($of('10.0.0.1'), $next);
        $files = glob("$folder/*") ?: [];
        self::assertCount(1, $files);
        file_put_contents($files[0], str_repeat('.', Quota::PER_MINUTE - 2), FILE_APPEND);
        self::assertSame('here', $quota->handle($of('10.0.0.1'), $next)->getContent(), 'the last one');
        try {
            $quota->handle($of('10.0.0.1'), $next);
            self::fail('one too many');
        } catch (ThrottleRequestsException $e) {
            self::assertSame([429, 20], [$e->getStatusCode(), $e->getHeaders()['Retry-After']]);
        }
        CarbonImmutable::setTestNow('2026-12-01 10:01:00');
        self::assertSame('here', $quota->handle($of('10.0.0.1'), $next)->getContent(), 'the next minute');
        self::assertSame('here', $quota->handle($of('10.0.0.2'), $next)->getContent());
        (new Filesystem)->deleteDirectory($folder);
    }

    public function testWhoAsksTooOftenIsToldWhenToAskAgain(): void
    {
        $this->actingAs($lead = $this->lead());
        $folder = app(Quota::class)->folder;
        $whose = hash('xxh128', (string) $lead->id);
        (new Filesystem)->ensureDirectoryExists($folder);
        CarbonImmutable::setTestNow($now = CarbonImmutable::now());
        file_put_contents("$folder/$whose-".intdiv($now->getTimestamp(), 60), str_repeat('.', Quota::PER_MINUTE));
        $answer = $this->getJson('/api/home')->assertStatus(429);
        self::assertMatchesRegularExpression('/^Too many tries\. Wait \d+ seconds/', $answer->json('message'));
        array_map(unlink(...), glob("$folder/$whose-*") ?: []);
        $this->getJson('/api/home')->assertOk();
    }

    /** Dear answers without end: they are refused, marks and all else are not. */
    public function testDearAnswersAreCountedForThemselves(): void
    {
        $this->actingAs($lead = $this->lead());
        $group = $this->group($lead);
        $lesson = $this->postJson('/api/lessons', $this->lessonInput($group))->assertCreated()->json('card.id');
        $folder = app(Quota::class)->folder;
        $whose = hash('xxh128', (string) $lead->id);
        (new Filesystem)->ensureDirectoryExists($folder);
        CarbonImmutable::setTestNow($now = CarbonImmutable::now());
        $minute = intdiv($now->getTimestamp(), 60);
        file_put_contents("$folder/$whose.heavy-$minute", str_repeat('.', Quota::HEAVY_PER_MINUTE));
        $this->getJson("/api/lessons/$lesson/forecast")->assertStatus(429);
        $this->getJson('/api/home')->assertOk();
        $this->send($lesson, ['kind' => 'started', 'marks' => 'exception'])->assertOk();
        // and a screen that asks without end does not stop a lesson either
        file_put_contents("$folder/$whose-$minute", str_repeat('.', Quota::PER_MINUTE));
        $this->getJson('/api/home')->assertStatus(429);
        $this->send($lesson, ['kind' => 'moved', 'step' => 1])->assertOk();
        array_map(unlink(...), glob("$folder/$whose*") ?: []);
    }

    /** Median of several tries each; the known address must not be told from the unknown by the clock. */
    public function testARefusalTakesTheSameTimeForKnownAndUnknown(): void
    {
        $lead = $this->lead();
        // A cost at which hashing takes longer than looking an address up.
        app('hash')->driver()->setRounds(9);
        config(['hashing.bcrypt.rounds' => 9]);
        $lead->update(['password' => 'fold-the-corner']);
        $sign = app(SignIn::class);
        self::tried($sign, 'warm@gullwick.example');
        $times = ['known' => [], 'unknown' => []];
        for ($i = 0; $i < 9; $i++) {
            foreach (['known' => $lead->email, 'unknown' => "nobody$i@gullwick.example"] as $which => $email) {
                RateLimiter::clear("sign-in:account {$lead->id}");
                $times[$which][] = self::tried($sign, $email);
            }
        }
        sort($times['known']);
        sort($times['unknown']);
        self::assertGreaterThan(0.5, $times['known'][4] / $times['unknown'][4]);
        self::assertLessThan(2.0, $times['known'][4] / $times['unknown'][4]);
    }

    public function testAChangedPasswordEndsOtherSessions(): void
    {
        $lead = $this->lead();
        $this->signIn($lead->email)->assertOk();
        $this->getJson('/api/me')->assertOk();
        $change = fn (string $current, string $new) => $this->putJson('/api/me/password', [
            'current' => $current,
            'password' => $new,
        ]);
        $change('wrong', 'a new long password')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/current');
        $change('fold-the-corner', 'short')->assertStatus(422)->assertJsonPath('errors.0.pointer', '/password');
        $change('fold-the-corner', 'fold-the-corner')
            ->assertStatus(422)
            ->assertJsonPath('errors.0.pointer', '/password');
        $change('fold-the-corner', 'turn-the-corner')->assertNoContent();
        $this->getJson('/api/me')->assertOk(); // this session goes on
        User::query()
            ->whereKey($lead->id)
            ->update(['password' => bcrypt('changed on another device')]);
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/me')->assertUnauthorized();
    }

    public function testASessionEndsAfterTwelveHours(): void
    {
        $lead = $this->lead();
        $this->signIn($lead->email)->assertOk();
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addHours(SessionLimits::HOURS)->subMinute());
        $this->getJson('/api/me')->assertOk();
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addMinutes(2));
        $this->getJson('/api/me')->assertUnauthorized();
        CarbonImmutable::setTestNow();
    }

    public function testHeadersOfEveryAnswer(): void
    {
        $this->actingAs($this->lead());
        foreach (['/api/ping', '/api/home', '/api/nothing', '/shelf'] as $path) {
            $answer = $this->withoutVite()->get($path);
            self::assertStringContainsString(
                "script-src 'self';",
                (string) $answer->headers->get('Content-Security-Policy'),
                $path,
            );
            self::assertSame(
                ['DENY', 'nosniff', 'same-origin'],
                [
                    $answer->headers->get('X-Frame-Options'),
                    $answer->headers->get('X-Content-Type-Options'),
                    $answer->headers->get('Referrer-Policy'),
                ],
                $path,
            );
        }
        self::assertStringContainsString(
            'no-store',
            (string) $this->getJson('/api/groups')->headers->get('Cache-Control'),
        );
        self::assertStringNotContainsString(
            'no-store',
            (string) $this->getJson('/api/models')->headers->get('Cache-Control'),
        );
    }

    public function testAnswersArePackedAndNotSentAgain(): void
    {
        $this->actingAs($this->lead());
        $plain = $this->getJson('/api/models/crane')->assertOk();
        $packed = $this->get('/api/models/crane', ['Accept' => 'application/json', 'Accept-Encoding' => 'gzip']);
        self::assertSame('gzip', $packed->headers->get('Content-Encoding'));
        self::assertSame($plain->getContent(), gzdecode((string) $packed->getContent()));
        self::assertLessThan(0.15, strlen((string) $packed->getContent()) / strlen((string) $plain->getContent()));
        $tag = (string) $plain->headers->get('ETag');
        $this->get('/api/models/crane', ['If-None-Match' => $tag])->assertStatus(304);
        $this->get('/api/models/crane', ['If-None-Match' => 'W/"other"'])->assertOk();
    }

    public function testOnlyOurHostsAndNobodysForwarding(): void
    {
        $this->getJson('http://evil.example/api/ping')->assertStatus(400);
        $this->getJson('http://127.0.0.1/api/ping')->assertOk();
        $ip = null;
        app('router')->get('api/test-ip', static function () use (&$ip) {
            $ip = request()->ip();

            return '';
        });
        $this->get('http://127.0.0.1/api/test-ip', ['X-Forwarded-For' => '9.9.9.9'])->assertOk();
        self::assertNotSame('9.9.9.9', $ip);
    }

    public function testHealthAsksTheDatabase(): void
    {
        $this->getJson('/api/health')->assertOk()->assertJsonPath('ok', true);
        $away = ['port' => 1] + (array) config('database.connections.mariadb');
        config(['database.connections.away' => $away, 'database.default' => 'away']);
        $this->getJson('/api/health')->assertStatus(503)->assertHeader('Retry-After', '2');
        config(['database.default' => 'mariadb']);
    }

    private static function tried(SignIn $sign, string $email): float
    {
        $began = Effort::spent();
        try {
            $sign($email, 'wrong');
            self::fail('A wrong password came in.');
        } catch (\Illuminate\Validation\ValidationException) {
            return 1000 * (Effort::spent() - $began);
        }
    }

    /** @return \Illuminate\Testing\TestResponse<\Illuminate\Http\JsonResponse> */
    private function signIn(string $email, string $password = 'fold-the-corner'): \Illuminate\Testing\TestResponse
    {
        $this->app['auth']->forgetGuards();

        return $this->postJson('/api/sign-in', ['email' => $email, 'password' => $password]);
    }
}
