<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Stock;
use Cathedra\Core\Paper\Squaring;
use Cathedra\Core\Rules\PaperKind;
use Cathedra\Core\Rules\PaperSides;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        required: [
            'id',
            'name',
            'width_mm',
            'height_mm',
            'grammage',
            'count',
            'square_mm',
            'strip_mm',
            'kind',
            'sides',
            'trim_mm',
            'version',
            'price',
            'tags',
            'scrap',
            'size',
            'square',
            'strip',
        ],
    ),
]
final readonly class StockData
{
    /** @param  list<string>  $tags */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public float $width_mm,
        #[OA\Property] public float $height_mm,
        #[OA\Property] public ?int $grammage,
        #[OA\Property(description: 'null: plenty')] public ?int $count,
        #[OA\Property(description: 'side of the square by the diagonal fold')] public float $square_mm,
        #[OA\Property(description: 'width of the strip that is removed')] public float $strip_mm,
        #[
            OA\Property(enum: PaperKind::class),
        ]
        public string $kind,
        #[
            OA\Property(
                description: 'both alike, coloured on one side, printed, lined',
                enum: PaperSides::class,
            ),
        ]
        public string $sides,
        #[OA\Property(description: 'lost all round: holes, margins, a fold')] public float $trim_mm,
        #[
            OA\Property(description: 'goes up with every change; send back the one that was changed'),
        ]
        public int $version,
        #[
            OA\Property(description: "of one sheet, in the organisation's own currency; null: not known"),
        ]
        public ?float $price,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $tags,
        #[OA\Property(description: 'to be used up first where a lesson prefers that')] public bool $scrap,
        #[OA\Property(description: 'its sides, for reading')] public string $size,
        #[OA\Property(description: 'the square, for reading')] public string $square,
        #[OA\Property(description: 'the width of the strip, for reading')] public string $strip,
    ) {
    }

    public static function of(Stock $stock, Measure $measure): self
    {
        $squaring = Squaring::of($stock->width_mm, $stock->height_mm);

        return new self(
            id: $stock->id,
            name: $stock->name,
            width_mm: $stock->width_mm,
            height_mm: $stock->height_mm,
            grammage: $stock->grammage,
            count: $stock->count,
            square_mm: round($squaring->side, 3),
            strip_mm: round($squaring->strip, 3),
            kind: $stock->kind,
            sides: $stock->sides,
            trim_mm: $stock->trim_mm,
            version: $stock->version,
            price: $stock->price,
            tags: $stock->tags ?? [],
            scrap: $stock->scrap,
            size: $measure->area($stock->width_mm, $stock->height_mm),
            square: $measure->say($squaring->side),
            strip: $measure->say($squaring->strip),
        );
    }
}
