<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Invitations;
use App\Models\Invitation;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Auth;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** A link brings one more person to a place: once, for a week, and nobody by anything else. */
final class InvitationTest extends TestCase
{
    private const NEW = ['name' => 'Rahel', 'email' => 'rahel@gullwick.example', 'password' => 'three plain words'];

    private User $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->lead = $this->lead());
    }

    public function testSomebodyIsInvitedJoinsAndSeesThePlace(): void
    {
        $group = $this->group($this->lead);
        $path = $this->invited('Rahel from the school');
        $people = $this->getJson('/api/people')->assertOk()->json();
        self::assertSame(['Rahel from the school', 'Marta'], [
            $people['invitations'][0]['whom'], $people['invitations'][0]['by'],
        ]);
        self::assertStringNotContainsString(substr($path, -40), (string) json_encode($people), 'shown once');

        $this->nobody();
        $this->getJson("/api$path")->assertOk()
            ->assertExactJson(['organisation' => 'Gullwick Harbour Library', 'by' => 'Marta']);
        $this->postJson("/api$path", self::NEW)->assertCreated()
            ->assertJsonPath('organisation', 'Gullwick Harbour Library')
            ->assertJsonPath('name', 'Rahel');
        // she is signed in, and the place is hers too
        self::assertSame([$group->id], array_column((array) $this->getJson('/api/groups')->assertOk()->json(), 'id'));
        $people = $this->getJson('/api/people')->json();
        self::assertSame(['Marta', 'Rahel'], array_column($people['people'], 'name'));
        self::assertSame([], $people['invitations']);

        // once
        $this->nobody();
        $this->getJson("/api$path")->assertStatus(410);
        $again = $this->postJson("/api$path", ['email' => 'other@gullwick.example'] + self::NEW)->assertStatus(410);
        self::assertStringStartsWith('This invitation is no longer open', $again->json('message'));
        self::assertSame(2, User::query()->where('organisation_id', $this->lead->organisation_id)->count());
    }

    public function testWhatEndsAnInvitation(): void
    {
        // withdrawn
        $path = $this->invited();
        $id = $this->getJson('/api/people')->json('invitations.0.id');
        $this->deleteJson("/api/invitations/$id")->assertNoContent();
        $this->deleteJson("/api/invitations/$id")->assertNotFound();
        $this->getJson("/api$path")->assertStatus(410);
        // too old: not a moment before its time
        $path = $this->invited();
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addDays(Invitations::DAYS)->subMinute());
        $this->getJson("/api$path")->assertOk();
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addMinutes(2));
        $this->getJson("/api$path")->assertStatus(410);
        $this->postJson("/api$path", self::NEW)->assertStatus(410);
        $this->app->make('session')->flush(); // a session lasts no week
        $this->actingAs($this->lead);
        self::assertSame([], $this->getJson('/api/people')->assertOk()->json('invitations'));
        // a guess
        $this->getJson('/api/join/'.str_repeat('a', 40))->assertStatus(410);
        $this->getJson('/api/join/short')->assertNotFound();
    }

    public function testAnotherPlaceSeesAndEndsNothing(): void
    {
        $path = $this->invited();
        $id = $this->getJson('/api/people')->json('invitations.0.id');
        $this->actingAs($this->lead('Elsewhere'));
        $there = $this->getJson('/api/people')->assertOk()->json();
        self::assertSame([['Marta'], []], [array_column($there['people'], 'name'), $there['invitations']]);
        $this->deleteJson("/api/invitations/$id")->assertNotFound();
        $this->getJson("/api$path")->assertOk();
        $this->nobody();
        foreach ([['GET', '/api/people'], ['POST', '/api/invitations'], ['DELETE', "/api/invitations/$id"]] as $of) {
            $this->json($of[0], $of[1])->assertStatus(401);
        }
        self::assertNotNull(Invitation::query()->find($id));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> sent instead, where, what is said */
    public static function slips(): iterable
    {
        yield 'no name' => [['name' => ' '], '/name', 'Enter your name'];
        yield 'a name of lists' => [['name' => ['x']], '/name', 'Enter your name'];
        yield 'no address' => [['email' => 'rahel'], '/email', 'Enter your e-mail address'];
        yield 'a short password' => [['password' => 'short'], '/password', 'at least 10 characters'];
        yield 'a long password' => [['password' => str_repeat('x', 80)], '/password', 'at most 72'];
        yield 'a password of lists' => [['password' => []], '/password', 'Enter a new password'];
    }

    /** @param  array<string, mixed>  $instead */
    #[DataProvider('slips')]
    public function testASlipIsNamedAndTheInvitationStaysOpen(array $instead, string $at, string $says): void
    {
        $path = $this->invited();
        $this->nobody();
        $answer = $this->postJson("/api$path", $instead + self::NEW)->assertStatus(422);
        self::assertSame($at, $answer->json('errors.0.pointer'));
        self::assertStringContainsString($says, $answer->json('errors.0.message'));
        $this->postJson("/api$path", self::NEW)->assertCreated();
    }

    public function testAnAddressThatSomebodyHasIsSaidAndTheInvitationStaysOpen(): void
    {
        $path = $this->invited();
        $this->nobody();
        $taken = $this->postJson("/api$path", ['email' => strtoupper($this->lead->email)] + self::NEW);
        $taken->assertStatus(422)->assertJsonPath('errors.0.pointer', '/email');
        self::assertStringContainsString('has an account with this address', $taken->json('errors.0.message'));
        $this->postJson("/api$path", self::NEW)->assertCreated();
    }

    public function testSoManyAreOpenAtOnce(): void
    {
        for ($i = 0; $i < Invitations::MOST; $i++) {
            $this->invite()->assertCreated();
        }
        $refused = $this->invite()->assertStatus(409);
        self::assertStringStartsWith('20 invitations are open', $refused->json('message'));
        $this->deleteJson('/api/invitations/'.$this->getJson('/api/people')->json('invitations.0.id'));
        $this->invite()->assertCreated();
        foreach ([['x'], str_repeat('x', 81), 7] as $whom) {
            $this->postJson('/api/invitations', ['whom' => $whom])->assertStatus(422);
        }
    }

    private function invited(string $whom = ''): string
    {
        $path = (string) $this->invite($whom)->assertCreated()->json('path');
        self::assertMatchesRegularExpression('#^/join/[A-Za-z0-9]{40}$#', $path);

        return $path;
    }

    /** @return TestResponse<JsonResponse> */
    private function invite(string $whom = ''): TestResponse
    {
        return $this->postJson('/api/invitations', ['whom' => $whom]);
    }

    private function nobody(): void
    {
        Auth::forgetGuards();
        $this->app->forgetInstance('auth');
    }
}
