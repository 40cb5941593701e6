<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use PHPUnit\Framework\Attributes\TestWith;

final class SignInTest extends TestCase
{
    public function testWithTheRightPassword(): void
    {
        $lead = $this->lead();
        $this->postJson('/api/sign-in', ['email' => $lead->email, 'password' => 'fold-the-corner'])
            ->assertOk()
            ->assertJsonPath('organisation', 'Gullwick Harbour Library');
        $this->getJson('/api/me')->assertOk();
        $this->postJson('/api/sign-out')->assertNoContent();
        $this->getJson('/api/me')
            ->assertUnauthorized()
            ->assertJsonStructure(['message', 'errors']);
    }

    public function testWithAWrongOneAndTooOften(): void
    {
        $lead = $this->lead();
        for ($try = 0; $try < 6; $try++) {
            $this->postJson('/api/sign-in', ['email' => $lead->email, 'password' => 'wrong'])
                ->assertUnprocessable()
                ->assertJsonPath('errors.0.pointer', '/email');
        }
        $this->postJson('/api/sign-in', ['email' => $lead->email, 'password' => 'fold-the-corner'])
            ->assertStatus(429)
            ->assertJsonPath('errors.0.message', fn (string $m): bool => str_starts_with($m, 'Too many tries'));
    }

    /** @param  array<string, mixed>  $body */
    #[TestWith([[], 'email'])]
    #[TestWith([['email' => ['x'], 'password' => 'y'], 'email'])]
    #[TestWith([['email' => 'a@b.example', 'password' => ''], 'password'])]
    public function testBadInput(array $body, string $field): void
    {
        $this->postJson('/api/sign-in', $body)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.pointer', "/$field");
    }

    public function testEverythingElseAsksForAnAccount(): void
    {
        foreach (['home', 'models', 'groups', 'stocks', 'lessons', 'lessons/1', 'models/helmet/steps/1.svg'] as $path) {
            $this->getJson("/api/$path")->assertUnauthorized();
        }
    }

    public function testChangesAskForTheCsrfToken(): void
    {
        $this->getJson('/api/ping')->assertOk();
        self::assertContains(ValidateCsrfToken::class, app('router')->getMiddlewareGroups()['web']);
        foreach (app('router')->getRoutes() as $route) {
            if (
                array_intersect($route->methods(), ['POST', 'PUT', 'DELETE']) !== [] &&
                str_starts_with($route->uri(), 'api/')
            ) {
                self::assertContains('web', $route->gatherMiddleware(), $route->uri());
            }
        }
    }

    public function testAPageIsServedForEveryAddress(): void
    {
        if (! is_file(public_path('build/manifest.json'))) {
            $this->withoutVite();
        }
        $this->get('/lessons/3/plan')->assertOk()->assertSee('id="app"', false);
        $this->getJson('/api/nothing')
            ->assertNotFound()
            ->assertJsonPath('message', fn (string $m): bool => str_contains($m, 'nothing here'));
    }
}
