<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Organisation;
use App\Models\User;
use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\Length;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** A request by somebody who is signed in. */
abstract class ApiRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user() instanceof User;
    }

    public function organisation(): Organisation
    {
        $user = $this->user();

        return $user instanceof User
            ? $user->organisation
            : throw new \LogicException('Authorised requests have a user.');
    }

    /**
     * Lengths may be written as people do ("8 1/2 in", "21,0 cm"); they are mm afterwards. What cannot be read is
     * refused at its field.
     *
     * @param  list<string>  $fields
     */
    protected function readLengths(array $fields): void
    {
        foreach ($fields as $field) {
            $value = $this->input($field);
            if (! is_string($value) || is_numeric($value) || trim($value) === '') {
                continue;
            }
            try {
                $this->merge([$field => Length::parse(mb_substr($value, 0, 40))]);
            } catch (BadPaper $e) {
                throw ValidationException::withMessages([$field => $e->getMessage()]);
            }
        }
    }
}
