<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Models\Organisation;
use App\Models\User;
use Cathedra\Core\Rules\PolicyTable;
use Closure;
use Illuminate\Contracts\Auth\Guard;

/** How lessons are taught where nobody says otherwise: as this lead does, else as this place does, else as most do. */
final readonly class UsualPolicies
{
    public function __construct(private Guard $guard)
    {
    }

    /** @return array<string, string> an option of every policy */
    public function of(int $organisation): array
    {
        $user = $this->guard->user();
        $isOwn = $user instanceof User && $user->organisation_id === $organisation;
        $place = $isOwn ? $user->organisation : Organisation::query()->find($organisation);
        $table = array_map(static fn (array $options): string => $options[0], PolicyTable::OPTIONS);

        return [...$table, ...self::known($place?->policies), ...self::known($isOwn ? $user->policies : null)];
    }

    /** A lesson that is not kept yet, taught as usual. */
    public function lesson(int $organisation): Lesson
    {
        $lesson = Lesson::blank($organisation);
        $lesson->policies = $this->of($organisation);

        return $lesson;
    }

    /** A rule for a request: names policies and their options. */
    public static function rule(): Closure
    {
        return static function (string $at, mixed $value, Closure $fail): void {
            foreach (is_array($value) ? $value : [] as $policy => $option) {
                $there = PolicyTable::OPTIONS[$policy] ?? [];
                in_array($option, $there, true) || $fail(
                    $there === []
                        ? 'There is no such policy; there are: '.implode(', ', array_keys(PolicyTable::OPTIONS)).'.'
                        : "The policy \"$policy\" is one of: ".implode(', ', $there).'.',
                );
            }
        };
    }

    /**
     * What is still to be chosen: a policy or an option of before may be gone.
     *
     * @param  array<string, string>|null  $kept
     * @return array<string, string>
     */
    private static function known(?array $kept): array
    {
        return array_filter(
            $kept ?? [],
            static fn (string $option, string $policy): bool => in_array(
                $option,
                PolicyTable::OPTIONS[$policy] ?? [],
                true,
            ),
            ARRAY_FILTER_USE_BOTH,
        );
    }
}
