<?php

declare(strict_types=1);

namespace Cathedra\Core\FoldFormat;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Order\Restack;
use Cathedra\Core\Geometry\Point;

/** The crease pattern in a FOLD document: types, counts and indices are checked here, geometry by CreaseGraph. */
final readonly class FoldFile
{
    /** Bytes. A pattern of 260 faces, the most that is folded, has some 60 kB. */
    public const MAX_BYTES = 4_000_000;

    /** Far more than MAX_FACES can need, so that the geometry is looked at only where there is hope. */
    private const MAX_EDGES = 4 * Restack::MAX_FACES;

    /**
     * @param  list<Point>  $vertices  in the file's unit
     * @param  list<array{int, int, Assignment}>  $edges
     * @param  list<list<int>>  $faces  as the file lists them; empty when it does not
     * @param  list<array{int, int, int}>  $orders  faceOrders, where the file has them
     */
    private function __construct(
        public string $title,
        public array $vertices,
        public array $edges,
        public array $faces,
        public array $orders,
        public ?float $unitMm,
    ) {
    }

    /** @throws BadFold naming the key and the place in it */
    public static function read(string $json): self
    {
        if (strlen($json) > self::MAX_BYTES) {
            throw new BadFold(
                sprintf(
                    'The file has %d kB; at most %d kB are read.',
                    intdiv(strlen($json), 1000),
                    intdiv(self::MAX_BYTES, 1000),
                ),
            );
        }
        $data = json_decode($json, true, 12);
        if (! is_array($data) || array_is_list($data)) {
            throw new BadFold(
                'This is not a FOLD document: '.
                    (json_last_error() === JSON_ERROR_NONE
                        ? 'it must be a JSON object'
                        : lcfirst(json_last_error_msg())).
                    '.',
            );
        }
        $frame = self::frame($data);
        $vertices = self::vertices($frame);
        $edges = self::edges($frame, count($vertices));
        $title = is_string($data['file_title'] ?? null) ? mb_substr($data['file_title'], 0, 80) : 'Crease pattern';

        return new self(
            title: $title,
            vertices: $vertices,
            edges: $edges,
            faces: self::faces($frame, count($vertices)),
            orders: self::orders($frame),
            unitMm: self::unit($frame),
        );
    }

    /**
     * The key frame or, where it has no pattern, the last frame that has one.
     *
     * @param  array<array-key, mixed>  $data
     * @return array<array-key, mixed>
     */
    private static function frame(array $data): array
    {
        $frames = [$data];
        foreach (is_array($data['file_frames'] ?? null) ? $data['file_frames'] : [] as $frame) {
            if (is_array($frame)) {
                $frames[] = $frame;
            }
        }
        foreach ([$frames[0], ...array_reverse(array_slice($frames, 1))] as $frame) {
            if (! isset($frame['edges_vertices'])) {
                continue;
            }
            $classes = is_array($frame['frame_classes'] ?? null) ? $frame['frame_classes'] : [];
            if (isset($frame['cathedra:vertices_sheet'])) {
                return ['vertices_coords' => $frame['cathedra:vertices_sheet']] + $frame;
            }
            if (in_array('foldedForm', $classes, true)) {
                throw new BadFold(
                    'This frame is a folded form without the flat sheet. Give a crease pattern, or the key '
                        .'"cathedra:vertices_sheet" with the vertices on the flat sheet.',
                );
            }
            $last = $frames[count($frames) - 1];
            $sameFaces =
                isset($last['faceOrders'], $last['faces_vertices'], $frame['faces_vertices']) &&
                $last['faces_vertices'] === $frame['faces_vertices'];

            return $sameFaces ? $frame + ['faceOrders' => $last['faceOrders']] : $frame;
        }
        throw new BadFold('There is no crease pattern in this file: no frame has "edges_vertices".');
    }

    /**
     * @param  array<array-key, mixed>  $frame
     * @return list<Point>
     */
    private static function vertices(array $frame): array
    {
        $vertices = [];
        foreach (self::listOf($frame, 'vertices_coords') as $i => $at) {
            if (! is_array($at) || count($at) < 2 || count($at) > 3) {
                throw new BadFold("Vertex $i: coordinates must be two numbers (or three, the last being 0).");
            }
            foreach (array_values($at) as $k => $value) {
                $number = is_int($value) || is_float($value) ? (float) $value : NAN;
                if (! is_finite($number) || abs($number) > 1e6) {
                    throw new BadFold("Vertex $i: a coordinate is not a number of reasonable size.");
                }
                if ($k === 2 && abs((float) $value) > 1e-9) {
                    throw new BadFold("Vertex $i lies above the plane (z is not 0); a crease pattern is flat.");
                }
            }
            [$x, $y] = array_values($at);
            $vertices[] = new Point((float) $x, (float) $y);
        }
        if (count($vertices) > self::MAX_EDGES) {
            throw new BadFold(
                sprintf(
                    'The pattern has %d vertices; patterns of up to %d faces are folded.',
                    count($vertices),
                    Restack::MAX_FACES,
                ),
            );
        }

        return $vertices;
    }

    /**
     * @param  array<array-key, mixed>  $frame
     * @return list<array{int, int, Assignment}>
     */
    private static function edges(array $frame, int $vertices): array
    {
        $pairs = self::listOf($frame, 'edges_vertices');
        $letters = self::listOf($frame, 'edges_assignment');
        if (count($pairs) > self::MAX_EDGES) {
            throw new BadFold(
                sprintf(
                    'The pattern has %d edges; patterns of up to %d faces are folded.',
                    count($pairs),
                    Restack::MAX_FACES,
                ),
            );
        }
        if (count($letters) !== count($pairs)) {
            throw new BadFold(
                sprintf(
                    '"edges_assignment" has %d entries for %d edges; every edge needs one letter.',
                    count($letters),
                    count($pairs),
                ),
            );
        }
        $edges = [];
        foreach ($pairs as $i => $pair) {
            $edges[] = [...self::indices($pair, "Edge $i", $vertices, 2), self::assignment($letters[$i], $i)];
        }

        return $edges;
    }

    private static function assignment(mixed $letter, int $edge): Assignment
    {
        $assignment = is_string($letter) ? Assignment::tryFrom(strtoupper($letter)) : null;

        return match (true) {
            $letter === 'U' => throw new BadFold(
                "Edge $edge is unassigned (U). Say mountain (M), valley (V) or flat (F).",
            ),
            $assignment === null => throw new BadFold(
                "Edge $edge: the assignment must be one of the letters B, M, V, F.",
            ),
            $assignment === Assignment::Cut => throw new BadFold(
                "Edge $edge is a cut (C); patterns with cuts are written, but not read.",
            ),
            default => $assignment,
        };
    }

    /**
     * @param  array<array-key, mixed>  $frame
     * @return list<list<int>>
     */
    private static function faces(array $frame, int $vertices): array
    {
        $faces = [];
        foreach (isset($frame['faces_vertices']) ? self::listOf($frame, 'faces_vertices') : [] as $i => $loop) {
            if ($i >= Restack::MAX_FACES) {
                throw new BadFold(
                    sprintf(
                        'The pattern has %d faces; at most %d are folded.',
                        count($frame['faces_vertices']),
                        Restack::MAX_FACES,
                    ),
                );
            }
            $faces[] = self::indices($loop, "Face $i", $vertices, null);
        }

        return $faces;
    }

    /** @return ($count is 2 ? array{int, int} : list<int>) */
    private static function indices(mixed $list, string $what, int $limit, ?int $count): array
    {
        if (
            ! is_array($list) ||
            ! array_is_list($list) ||
            ($count !== null ? count($list) !== $count : count($list) < 3)
        ) {
            throw new BadFold("$what must be a list of ".($count ?? 'at least 3').' vertex numbers.');
        }
        foreach ($list as $v) {
            if (! is_int($v) || $v < 0 || $v >= $limit) {
                throw new BadFold(
                    "$what names the vertex ".
                        (is_scalar($v) ? var_export($v, true) : '?').
                        ', but vertices are numbered 0 to '.
                        ($limit - 1).
                        '.',
                );
            }
        }
        if (count(array_unique($list)) !== count($list)) {
            throw new BadFold("$what names a vertex twice.");
        }

        return $list;
    }

    /**
     * @param  array<array-key, mixed>  $frame
     * @return list<array{int, int, int}>
     */
    private static function orders(array $frame): array
    {
        $orders = [];
        foreach (is_array($frame['faceOrders'] ?? null) ? $frame['faceOrders'] : [] as $order) {
            if (
                is_array($order) &&
                count($order) === 3 &&
                array_filter($order, is_int(...)) === $order &&
                array_is_list($order)
            ) {
                $orders[] = [$order[0], $order[1], $order[2]];
            }
        }

        return $orders;
    }

    /** @param  array<array-key, mixed>  $frame */
    private static function unit(array $frame): ?float
    {
        return ['mm' => 1.0, 'cm' => 10.0, 'in' => 25.4, 'm' => 1000.0][
            is_string($frame['frame_unit'] ?? null) ? $frame['frame_unit'] : ''
        ] ?? null;
    }

    /**
     * @param  array<array-key, mixed>  $frame
     * @return list<mixed>
     */
    private static function listOf(array $frame, string $key): array
    {
        $list = $frame[$key] ?? null;

        return is_array($list) && array_is_list($list)
            ? $list
            : throw new BadFold("\"$key\" is missing or is not a list.");
    }
}
