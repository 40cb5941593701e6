<?php

declare(strict_types=1);

namespace App\Groups;

use App\Accounts\Account;
use App\Models\User;
use App\Shelf\ModelShelf;
use Cathedra\Core\Rules\Bounds;
use Closure;

/** A lesson that is thought of: which models, how long, with how many helpers. */
final class FitRequest extends SlotRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + [
            'models' => ['bail', 'required', 'string', 'max:400', $this->areModels(...)],
            'helpers' => ['sometimes', 'integer', 'between:'.Bounds::HELPERS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + [
            'models.*' => 'Choose one to '.Bounds::MAX_MODELS.' models of the shelf.',
            'helpers.*' => 'Helpers are a whole number '.Bounds::said(Bounds::HELPERS).'.',
        ];
    }

    /** @return non-empty-array<string, array<string, string>> each with the ways in which this lead teaches it */
    public function models(): array
    {
        $user = $this->user();
        $usual = $user instanceof User ? array_column(Account::ways($user), 'ways', 'model') : [];
        $models = [];
        foreach (explode(',', (string) $this->validated('models')) as $slug) {
            $models[$slug] = $usual[$slug] ?? [];
        }

        return $models;
    }

    public function helpers(): ?int
    {
        $helpers = $this->validated('helpers');

        return $helpers === null ? null : (int) $helpers;
    }

    private function areModels(string $at, mixed $value, Closure $fail): void
    {
        $slugs = explode(',', (string) $value);
        $known = app(ModelShelf::class)->slugs();
        if (count($slugs) > Bounds::MAX_MODELS || array_diff($slugs, $known) !== []) {
            $fail($this->messages()['models.*']);
        }
    }
}
