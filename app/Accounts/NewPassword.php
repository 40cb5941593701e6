<?php

declare(strict_types=1);

namespace App\Accounts;

/** What a new password must be, and what is said of one that is not. */
final class NewPassword
{
    public const LEAST = 10;

    /** Bytes that are hashed; what comes after them would not count. */
    public const MOST = 72;

    /** @return list<string> */
    public static function rules(): array
    {
        return ['required', 'string', 'min:'.self::LEAST, 'max:'.self::MOST];
    }

    /** @return array<string, string> */
    public static function messages(string $field = 'password'): array
    {
        return [
            "$field.min" => 'A password needs at least '.self::LEAST.' characters; a few plain words will do.',
            "$field.max" => 'A password has at most '.self::MOST.' characters.',
            "$field.*" => 'Enter a new password.',
        ];
    }
}
