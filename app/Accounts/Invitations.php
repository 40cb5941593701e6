<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Invitation;
use App\Models\Organisation;
use App\Models\User;
use App\Support\Transaction;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/**
 * Who joins a place: by a link that whoever is there already hands on, once, for a week. The link is shown when it is
 * made and never again; what is kept cannot be turned into it.
 */
final readonly class Invitations
{
    public const DAYS = 7;

    /** Open ones of a place. */
    public const MOST = 20;

    /** Signs of a link: 40 letters and figures are more than 200 bits. */
    private const SIGNS = 40;

    /**
     * @return string the path of the link
     *
     * @throws ConflictHttpException when too many are open
     */
    public function invite(User $by, string $whom): string
    {
        $token = Str::random(self::SIGNS);
        Transaction::run(static function () use ($by, $whom, $token): void {
            $place = Transaction::locked($by->organisation);
            if (Invitation::open()->where('organisation_id', $place->id)->count() >= self::MOST) {
                throw new ConflictHttpException(self::MOST.' invitations are open. Withdraw one, then invite again.');
            }
            Invitation::query()->create([
                'organisation_id' => $place->id,
                'user_id' => $by->id,
                'whom' => $whom,
                'token_hash' => self::hash($token),
                'expires_at' => CarbonImmutable::now()->addDays(self::DAYS),
            ]);
        });

        return "/join/$token";
    }

    public function of(Organisation $place): PeopleData
    {
        $people = User::query()->where('organisation_id', $place->id)->orderBy('name')->get(['id', 'name', 'email']);
        $open = Invitation::open()->where('organisation_id', $place->id)->with('user')->orderBy('id')->get();

        $named = $invited = [];
        foreach ($people as $one) {
            $named[] = ['id' => $one->id, 'name' => $one->name, 'email' => $one->email];
        }
        foreach ($open as $one) {
            $invited[] = [
                'id' => $one->id,
                'whom' => $one->whom,
                'by' => $one->user === null ? '' : $one->user->name,
                'until' => $one->expires_at->format('Y-m-d\TH:i'),
            ];
        }

        return new PeopleData($named, $invited);
    }

    /** @throws InvitationOver when the link is none, was used, was withdrawn, or is too old */
    public function behind(string $token): Invitation
    {
        return Invitation::open()->where('token_hash', self::hash($token))->with(['organisation', 'user'])->first()
            ?? throw new InvitationOver;
    }

    /**
     * @param  array{name: string, email: string, password: string}  $given
     *
     * @throws InvitationOver as above
     * @throws ValidationException when somebody has this address already
     */
    public function join(string $token, array $given): User
    {
        try {
            return Transaction::run(function () use ($token, $given): User {
                $invitation = Transaction::locked($this->behind($token));
                // whoever came first meanwhile has used it
                $invitation->used_at === null || $this->behind($token);
                $user = User::query()->create(['organisation_id' => $invitation->organisation_id] + $given);
                $invitation->update(['used_at' => CarbonImmutable::now()]);

                return $user;
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages([
                'email' => 'Somebody has an account with this address already. Sign in with it, or use another.',
            ]);
        }
    }

    private static function hash(string $token): string
    {
        return hash('sha256', $token);
    }
}
