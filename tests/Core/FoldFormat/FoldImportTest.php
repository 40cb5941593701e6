<?php

declare(strict_types=1);

namespace Tests\Core\FoldFormat;

use Cathedra\Core\FoldFormat\BadFold;
use Cathedra\Core\FoldFormat\FoldImport;
use Cathedra\Core\Folding\FoldDocument;
use Cathedra\Core\Folding\Sameness;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Effort;
use Tests\Support\Folds;

final class FoldImportTest extends TestCase
{
    /** A square folded along both middles: corners 0 to 3, middles of the sides 4 to 7, centre 8. */
    private const BOOK = [
        'vertices_coords' => [[0, 0], [1, 0], [1, 1], [0, 1], [0.5, 0], [1, 0.5], [0.5, 1], [0, 0.5], [0.5, 0.5]],
        'edges_vertices' => [
            [0, 4],
            [4, 1],
            [1, 5],
            [5, 2],
            [2, 6],
            [6, 3],
            [3, 7],
            [7, 0],
            [4, 8],
            [8, 6],
            [5, 8],
            [8, 7],
        ],
        'edges_assignment' => ['B', 'B', 'B', 'B', 'B', 'B', 'B', 'B', 'V', 'V', 'V', 'M'],
    ];

    public function testASmallPatternFolds(): void
    {
        $import = FoldImport::fold((string) json_encode(self::BOOK));
        Folds::assertPaper($import->folded);
        self::assertSame(4, $import->folded->faceCount());
        // Without a unit the shorter side becomes 150 mm; folded in half twice, 75 * 75.
        self::assertEqualsWithDelta(75.0, $import->folded->box()->width(), 1e-9);
        self::assertEqualsWithDelta(75.0, $import->folded->box()->height(), 1e-9);
    }

    public function testTheSheetMayLieAnyhow(): void
    {
        // The same pattern in inches, turned by 30 degrees, shifted and numbered clockwise along the rim.
        $turned = array_map(
            static fn (array $p): array => [
                5 + 6 * ($p[0] * cos(M_PI / 6) - $p[1] * sin(M_PI / 6)),
                -3 + 6 * ($p[0] * sin(M_PI / 6) + $p[1] * cos(M_PI / 6)),
                0,
            ],
            self::BOOK['vertices_coords'],
        );
        $import = FoldImport::fold(
            (string) json_encode(['frame_unit' => 'in', 'vertices_coords' => $turned] + self::BOOK),
        );
        Folds::assertPaper($import->folded);
        self::assertEqualsWithDelta(6 * 25.4, $import->flat->sheet->width, 1e-9);
        self::assertEqualsWithDelta(3 * 25.4, $import->folded->box()->width(), 1e-9);
    }

    public function testTheExampleDocumentOfTheDesign(): void
    {
        $import = FoldImport::fold((string) file_get_contents(dirname(__DIR__, 2).'/fixtures/bird-base.fold'));
        Folds::assertPaper($import->folded);
        self::assertSame(20, $import->folded->faceCount());
    }

    public function testWhatIsWrittenIsReadAgain(): void
    {
        foreach (['drinking-cup', 'helmet', 'swan', 'waterbomb', 'fortune-teller', 'lily'] as $slug) {
            $model = Folds::library($slug);
            $steps = array_map(
                static fn ($s): array => ['state' => $s->after, 'fold' => 'x', 'text' => 'x'],
                $model->steps,
            );
            $import = FoldImport::fold((string) json_encode(FoldDocument::of('x', $model->start, $steps)));
            self::assertNull(Sameness::difference($model->end(), $import->folded), $slug);
        }
    }

    /** @return iterable<string, array{string, string}> document, words of the reason */
    public static function faults(): iterable
    {
        $with = static fn (array $change): string => (string) json_encode($change + self::BOOK);
        $assign = static function (array $letters) use ($with): string {
            return $with(['edges_assignment' => array_replace(self::BOOK['edges_assignment'], $letters)]);
        };
        $vertex = static fn (int $i, mixed $at): string => $with([
            'vertices_coords' => array_replace(self::BOOK['vertices_coords'], [$i => $at]),
        ]);
        yield 'no JSON' => ['{"vertices_coords": [', 'not a FOLD document'];
        yield 'a list' => ['[1]', 'must be a JSON object'];
        yield 'NaN' => ['{"vertices_coords": [[NaN, 0]]}', 'not a FOLD document'];
        yield 'infinite' => [
            '{"edges_vertices": [], "vertices_coords": [[1e999, 0]]}',
            'Vertex 0: a coordinate is not a number',
        ];
        yield 'empty' => ['{"file_spec": 1.2}', 'no frame has "edges_vertices"'];
        yield 'text for a number' => [$vertex(3, ['0', 1]), 'Vertex 3: a coordinate'];
        yield 'one coordinate' => [$vertex(2, [1]), 'Vertex 2: coordinates must be two numbers'];
        yield 'not flat' => [$vertex(2, [1, 1, 0.2]), 'Vertex 2 lies above the plane'];
        yield 'no such vertex' => [
            $with(['edges_vertices' => array_replace(self::BOOK['edges_vertices'], [8 => [4, 99]])]),
            'Edge 8 names the vertex 99',
        ];
        yield 'edge to itself' => [
            $with(['edges_vertices' => array_replace(self::BOOK['edges_vertices'], [8 => [4, 4]])]),
            'Edge 8 names a vertex twice',
        ];
        yield 'too few letters' => [$with(['edges_assignment' => ['B']]), '1 entries for 12 edges'];
        yield 'unassigned' => [$assign([9 => 'U']), 'Edge 9 is unassigned'];
        yield 'unknown letter' => [$assign([9 => 'X']), 'Edge 9: the assignment'];
        yield 'a cut' => [$assign([9 => 'C']), 'Edge 9 is a cut'];
        yield 'rim open' => [$assign([0 => 'V']), 'the rim of the sheet (edges B) does not close'];
        yield 'no rectangle' => [
            $with([
                'edges_vertices' => [[0, 1], [1, 2], [2, 3], [3, 0], [0, 2]],
                'edges_assignment' => ['B', 'B', 'B', 'B', 'V'],
                'vertices_coords' => [[0, 0], [1, 0], [1.3, 1], [0.3, 1]],
            ]),
            'not a rectangle',
        ];
        yield 'a rim with a corner too many' => [$vertex(5, [1.1, 0.5]), 'has 5 corners'];
        yield 'crossing' => [
            $with([
                'edges_vertices' => [[0, 1], [1, 2], [2, 3], [3, 0], [0, 2], [1, 3]],
                'edges_assignment' => ['B', 'B', 'B', 'B', 'V', 'V'],
                'vertices_coords' => [[0, 0], [1, 0], [1, 1], [0, 1]],
            ]),
            'Edges 4 and 5 cross',
        ];
        yield 'vertex inside an edge' => [
            $with([
                'edges_vertices' => [[0, 1], [1, 2], [2, 3], [3, 0], [0, 2], [1, 4]],
                'edges_assignment' => ['B', 'B', 'B', 'B', 'V', 'V'],
                'vertices_coords' => [[0, 0], [1, 0], [1, 1], [0, 1], [0.5, 0.5]],
            ]),
            'Vertex 4 lies inside edge 4',
        ];
        yield 'loose end' => [
            $with([
                'edges_vertices' => [[0, 1], [1, 2], [2, 3], [3, 0], [0, 4]],
                'edges_assignment' => ['B', 'B', 'B', 'B', 'V'],
                'vertices_coords' => [[0, 0], [1, 0], [1, 1], [0, 1], [0.5, 0.4]],
            ]),
            'Vertex 4 is a loose end',
        ];
        yield 'four valleys' => [$assign([11 => 'V']), 'Vertex 8: 0 mountains and 4 valleys'];
        yield 'three creases' => [$assign([11 => 'F']), 'Vertex 8: 3 creases'];
        yield 'angles' => [$vertex(6, [0.6, 1]), 'Vertex 8: every other angle adds up to'];
        yield 'two edges in one' => [
            $with([
                'edges_vertices' => [...self::BOOK['edges_vertices'], [4, 8]],
                'edges_assignment' => [...self::BOOK['edges_assignment'], 'M'],
            ]),
            'join the same two vertices',
        ];
        yield 'faces that are not there' => [
            $with(['faces_vertices' => [[0, 4, 5]]]),
            'Face 0 is not bounded by edges',
        ];
        yield 'folded form only' => [
            (string) json_encode(['frame_classes' => ['foldedForm']] + self::BOOK),
            'folded form without the flat sheet',
        ];
        yield 'far too large' => [
            $with([
                'edges_vertices' => array_fill(0, 50_000, [0, 1]),
                'edges_assignment' => array_fill(0, 50_000, 'B'),
            ]),
            '50000 edges',
        ];
        yield 'too many faces' => [$with(['faces_vertices' => array_fill(0, 50_000, [0, 1, 2])]), '50000 faces'];
    }

    public function testAPatternOfTooManyLayersIsRefusedAtOnce(): void
    {
        // 12 * 12 cells folded into one: 144 layers, 10,296 pairs.
        [$v, $e, $a, $n] = [[], [], [], 12];
        for ($j = 0; $j <= $n; $j++) {
            for ($i = 0; $i <= $n; $i++) {
                $v[] = [$i, $j];
                if ($i < $n) {
                    $e[] = [$j * ($n + 1) + $i, $j * ($n + 1) + $i + 1];
                    $a[] = $j % $n === 0 ? 'B' : (($i + $j) % 2 === 1 ? 'M' : 'V');
                }
                if ($j < $n) {
                    $e[] = [$j * ($n + 1) + $i, ($j + 1) * ($n + 1) + $i];
                    $a[] = $i % $n === 0 ? 'B' : ($i % 2 === 1 ? 'M' : 'V');
                }
            }
        }
        $this->testFaultsNameTheirPlaceAtOnce(
            (string) json_encode(['vertices_coords' => $v, 'edges_vertices' => $e, 'edges_assignment' => $a]),
            'So many layers lie over one another',
        );
    }

    #[DataProvider('faults')]
    public function testFaultsNameTheirPlaceAtOnce(string $json, string $reason): void
    {
        $began = Effort::spent();
        memory_reset_peak_usage();
        $held = memory_get_usage();
        try {
            FoldImport::fold($json);
            self::fail('accepted');
        } catch (BadFold $e) {
            self::assertStringContainsString($reason, $e->getMessage());
        }
        self::assertLessThan(2.0, Effort::spent() - $began);
        self::assertLessThan(192e6, memory_get_peak_usage() - $held, 'whatever other tests keep');
    }

    public function testPaperThatWouldPassThroughItselfNamesTheFaces(): void
    {
        // Strips of 2, 1 and 2 units, both creases valleys: the third strip must lie between the first and the second,
        // but it is longer than the second and would run through the crease between them.
        $json = (string) json_encode([
            'vertices_coords' => [[0, 0], [2, 0], [3, 0], [5, 0], [5, 5], [3, 5], [2, 5], [0, 5]],
            'edges_vertices' => [[0, 1], [1, 2], [2, 3], [3, 4], [4, 5], [5, 6], [6, 7], [7, 0], [1, 6], [2, 5]],
            'edges_assignment' => ['B', 'B', 'B', 'B', 'B', 'B', 'B', 'B', 'V', 'V'],
        ]);
        try {
            FoldImport::fold($json);
            self::fail('strips of 2, 1 and 2 rolled the same way cannot lie flat');
        } catch (BadFold $e) {
            self::assertMatchesRegularExpression('/Faces at this place: \d+ \(vertices/', $e->getMessage());
        }
    }
}
