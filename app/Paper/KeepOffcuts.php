<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Stock;
use Cathedra\Core\Paper\Squaring;
use Cathedra\Core\Rules\Bounds;
use Illuminate\Validation\ValidationException;

/** What is left of cut sheets goes back into the cupboard, as a kind of paper of its own. */
final readonly class KeepOffcuts
{
    /** mm; narrower is no paper. */
    private const LEAST = 10.0;

    public function __construct(private CountPaper $count)
    {
    }

    /**
     * @param  array{float, float}|null  $size  mm; null: the strip of the diagonal fold
     *
     * @throws ValidationException when nothing is left that could be kept
     */
    public function __invoke(Stock $stock, int $count, ?array $size): Stock
    {
        $squaring = Squaring::of($stock->width_mm, $stock->height_mm);
        [$width, $height] = $size ?? [$squaring->strip, $squaring->side];
        [$width, $height] = [round(min($width, $height), 2), round(max($width, $height), 2)];
        if ($width < self::LEAST) {
            throw ValidationException::withMessages([
                'count' => 'A square of this paper leaves no strip that could be kept.',
            ]);
        }
        $name = $size === null
            ? "Strips of {$stock->name}"
            : 'Offcuts '.Measure::mm($width).' x '.Measure::mm($height)." of {$stock->name}";
        $kept = Stock::query()->firstOrCreate(
            ['organisation_id' => $stock->organisation_id, 'name' => mb_substr($name, 0, Bounds::NAME_LENGTH)],
            [
                'width_mm' => $width,
                'height_mm' => $height,
                'grammage' => $stock->grammage,
                'kind' => $stock->kind,
                'sides' => $stock->sides,
                'count' => 0,
                'price' => 0,
                'tags' => null,
                'scrap' => true,
            ],
        );
        ($this->count)($kept->id, $count, "put back from {$stock->name}");

        return $kept->refresh();
    }
}
