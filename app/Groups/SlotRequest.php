<?php

declare(strict_types=1);

namespace App\Groups;

use App\Support\ApiRequest;
use Cathedra\Core\Rules\Bounds;

/** How long a lesson would be. */
class SlotRequest extends ApiRequest
{
    /** Minutes; where nobody says. */
    private const USUAL = 60;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['minutes' => ['sometimes', 'integer', 'between:'.Bounds::MINUTES]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['minutes.*' => 'A slot has '.Bounds::said(Bounds::MINUTES).' minutes.'];
    }

    public function minutes(): int
    {
        return (int) ($this->validated('minutes') ?? self::USUAL);
    }
}
