<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use App\Support\LibraryFiles;
use Cathedra\Core\Rules\Bounds;
use Cathedra\Core\Rules\PaperKind;
use Cathedra\Core\Rules\PaperSides;
use Cathedra\Core\Rules\Unit;
use Illuminate\Support\Facades\DB;

/** Who is signed in, with what every screen needs to know. */
final readonly class Account
{
    public function __construct(private LibraryFiles $files)
    {
    }

    public function __invoke(User $user): AccountData
    {
        $bands = [];
        foreach ($this->files->times()->ages as $key => ['label' => $label]) {
            $bands[] = ['key' => $key, 'label' => $label];
        }
        $formats = array_map(
            static fn (array $f): array => [
                'key' => $f['key'],
                'name' => $f['name'],
                'width' => (float) $f['width'],
                'height' => (float) $f['height'],
                'grammage' => $f['grammage'],
                'kind' => $f['kind'],
                'sides' => $f['sides'],
                'source' => $f['source'],
            ],
            $this->files->formats(),
        );

        return new AccountData(
            id: $user->id,
            organisation_id: $user->organisation_id,
            name: $user->name,
            organisation: $user->organisation->name,
            unit: $user->unit,
            directions: $user->organisation->directions->value,
            fold_names: $user->organisation->fold_names->value,
            letters: $user->organisation->letters,
            formats: $formats,
            age_bands: $bands,
            bounds: Bounds::ofForms(),
            units: array_column(Unit::cases(), 'value'),
            paper_kinds: array_column(PaperKind::cases(), 'value'),
            paper_sides: array_column(PaperSides::cases(), 'value'),
            ways: self::ways($user),
        );
    }

    /** @return list<array{model: string, ways: array<string, string>}> how this lead teaches usually */
    public static function ways(User $user): array
    {
        $ways = [];
        foreach (DB::table('usual_ways')->where('user_id', $user->id)->pluck('ways', 'model') as $model => $json) {
            $ways[] = ['model' => (string) $model, 'ways' => (array) json_decode((string) $json, true)];
        }

        return $ways;
    }
}
