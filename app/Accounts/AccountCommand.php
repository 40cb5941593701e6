<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Organisation;
use App\Models\User;
use App\Support\Transaction;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;

/** Makes an account for an installation without demo data; prints a password made for it. */
final class AccountCommand extends Command
{
    protected $signature = 'cathedra:account {name} {email} {organisation}';

    protected $description = 'Make an account and print its password';

    public function handle(): int
    {
        $given = array_map(static fn (mixed $word): string => is_string($word) ? $word : '', $this->arguments());
        $check = Validator::make($given, [
            'name' => 'required|max:80',
            'email' => 'required|email|max:190|unique:users',
            'organisation' => 'required|max:80',
        ]);
        if ($check->fails()) {
            fwrite(STDERR, 'cathedra: '.$check->errors()->first()."\n");

            return self::FAILURE;
        }
        $password = Str::lower(Str::random(4).'-'.Str::random(4).'-'.Str::random(4));
        Transaction::run(function () use ($given, $password): void {
            $organisation = Organisation::query()->firstOrCreate(['name' => $given['organisation']]);
            User::query()->create([
                'organisation_id' => $organisation->id,
                'name' => $given['name'],
                'email' => $given['email'],
                'password' => $password,
            ]);
        });
        $this->line("Sign in as {$given['email']} with the password $password");

        return self::SUCCESS;
    }
}
