<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\Stock;

/** What there is and what is needed, as `cathedra:cut-plan` reads it. */
final readonly class CutRequest
{
    /**
     * @param  list<Stock>  $stock
     * @param  list<array{side: float, count: int}>  $need
     */
    public function __construct(
        public array $stock,
        public array $need,
        public float $kerf,
        public float $trim,
        public Prefer $prefer = Prefer::Least,
    ) {
    }

    /**
     * What is wanted by size, equal sides of several entries together, none of count 0.
     *
     * @return list<array{side: float, count: int}> largest first
     */
    public function sizes(): array
    {
        $counts = [];
        foreach ($this->need as ['side' => $side, 'count' => $count]) {
            $counts[(string) $side] = ($counts[(string) $side] ?? 0) + $count;
        }
        krsort($counts, SORT_NUMERIC);
        $sizes = [];
        foreach (array_filter($counts) as $side => $count) {
            $sizes[] = ['side' => (float) $side, 'count' => $count];
        }

        return $sizes;
    }

    /** The size that an entry of the need is of, as sizes() numbers them; null when nothing of it is wanted. */
    public function sizeOf(int $entry): ?int
    {
        $at = array_search((string) $this->need[$entry]['side'], array_map(
            static fn (array $s): string => (string) $s['side'],
            $this->sizes(),
        ), true);

        return $at === false ? null : $at;
    }

    /** mm2 of a sheet. */
    public function areaOf(int $stock): float
    {
        return $this->stock[$stock]->width * $this->stock[$stock]->height;
    }

    /** mm lost all round a sheet of this stock. */
    public function trimOf(Stock $stock): float
    {
        return $this->trim + $stock->trim;
    }

    /**
     * @param  mixed  $data  decoded JSON
     *
     * @throws BadPaper with a JSON pointer
     */
    public static function fromArray(mixed $data): self
    {
        if (! is_array($data)) {
            throw new BadPaper('', 'The input must be a JSON object with stock and need.');
        }
        $stock = [];
        foreach (self::entries($data, 'stock', 50) as $i => $entry) {
            $count = $entry['count'] ?? null;
            if ($count !== null && ! is_int($count)) {
                throw new BadPaper("/stock/$i/count", 'The count must be a whole number, or null for plenty.');
            }
            $stock[] = Stock::of(
                name: self::name($entry, $i),
                width: self::number($entry, 'width_mm', "/stock/$i"),
                height: self::number($entry, 'height_mm', "/stock/$i"),
                count: $count,
                pointer: "/stock/$i",
                trim: self::loss($entry, 'trim_mm', "/stock/$i"),
                scrap: ($entry['scrap'] ?? false) === true,
            );
        }
        $need = [];
        foreach (self::entries($data, 'need', 50) as $i => $entry) {
            $side = self::number($entry, 'side_mm', "/need/$i");
            $count = $entry['count'] ?? null;
            if ($side < Stock::MIN_MM || $side > Stock::MAX_MM) {
                throw new BadPaper(
                    "/need/$i/side_mm",
                    sprintf('A square must have between %d and %d mm.', Stock::MIN_MM, Stock::MAX_MM),
                );
            }
            if (! is_int($count) || $count < 0 || $count > 10_000) {
                throw new BadPaper("/need/$i/count", 'The count must be a whole number from 0 to 10,000.');
            }
            $need[] = ['side' => $side, 'count' => $count];
        }

        $prefer = $data['prefer'] ?? Prefer::Least->value;
        $prefer =
            (is_string($prefer) ? Prefer::tryFrom($prefer) : null) ??
            throw new BadPaper('/prefer', 'What to put first is one of "least", "fewest" and "scrap".');

        return new self(
            stock: $stock,
            need: $need,
            kerf: self::loss($data, 'kerf_mm'),
            trim: self::loss($data, 'trim_mm'),
            prefer: $prefer,
        );
    }

    /**
     * @param  array<array-key, mixed>  $data
     * @return list<array<array-key, mixed>>
     */
    private static function entries(array $data, string $key, int $most): array
    {
        $list = $data[$key] ?? null;
        if (! is_array($list) || ! array_is_list($list) || $list === [] || count($list) > $most) {
            throw new BadPaper("/$key", "\"$key\" must be a list of 1 to $most entries.");
        }
        $entries = [];
        foreach ($list as $i => $entry) {
            $entries[] = is_array($entry) ? $entry : throw new BadPaper("/$key/$i", 'Each entry must be an object.');
        }

        return $entries;
    }

    /** @param  array<array-key, mixed>  $entry */
    private static function name(array $entry, int $i): string
    {
        $name = $entry['name'] ?? null;

        return is_string($name) && trim($name) !== '' && mb_strlen($name) <= 100
            ? $name
            : throw new BadPaper("/stock/$i/name", 'A stock needs a name of at most 100 characters.');
    }

    /** @param  array<array-key, mixed>  $entry */
    private static function number(array $entry, string $key, string $pointer): float
    {
        $value = $entry[$key] ?? null;

        return (is_int($value) || is_float($value)) && is_finite((float) $value)
            ? (float) $value
            : throw new BadPaper("$pointer/$key", 'This must be a number of millimetres.');
    }

    /** @param  array<array-key, mixed>  $data */
    private static function loss(array $data, string $key, string $pointer = ''): float
    {
        $value = $data[$key] ?? 0;
        if ((! is_int($value) && ! is_float($value)) || $value < 0 || $value > 100) {
            throw new BadPaper("$pointer/$key", 'This must be a number of millimetres from 0 to 100.');
        }

        return (float) $value;
    }
}
