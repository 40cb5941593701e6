<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Organisation;
use App\Models\User;
use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\Length;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
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

    /** Names a row of the organisation's own that does not lie in the bin. */
    protected function ownId(string $table): Closure
    {
        $ids = null;

        return function (string $at, mixed $value, Closure $fail) use ($table, &$ids): void {
            $ids ??= DB::table($table)->where('organisation_id', $this->organisation()->id)->whereNull('deleted_at')
                ->pluck('id', 'id')->all();
            if (! isset($ids[is_int($value) || is_string($value) ? $value : ''])) {
                $fail($this->messages()["$at.exists"] ?? $this->messages()[preg_replace('/\.\d+/', '.*', $at).'.exists']
                    ?? 'That is not there (any more). Choose another.');
            }
        };
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
