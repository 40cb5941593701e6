<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Where the flat sheet ends up, as a screen asks for it. */
final class SheetMapTest extends TestCase
{
    /** A windmill shows its coloured side alone, as much from the front as from behind: six of sixteen squares each. */
    public function testTheWindmillShowsOneSide(): void
    {
        $this->actingAs($this->lead());
        $map = $this->getJson('/api/models/windmill/sheet-map')->assertOk()->json();
        self::assertSame([150, 150], [$map['width'], $map['height']]);
        $seen = [];
        foreach ($map['seen'] as $one) {
            $seen["{$one['view']} {$one['side']}"] = $one['share'];
        }
        self::assertEqualsWithDelta(
            ['front front' => 0.375, 'front back' => 0.0, 'behind front' => 0.375, 'behind back' => 0.0],
            $seen,
            0.001,
        );
        foreach ($map['parts'] as $part) {
            self::assertSame(count($part['sheet']), count($part['model']));
            self::assertEqualsWithDelta(1.0, hypot(...$part['up']), 0.001);
        }
    }

    public function testWaysChangeIt(): void
    {
        $this->actingAs($this->lead());
        $map = fn (string $query): string => (string) $this->getJson("/api/models/crane/sheet-map$query")
            ->assertOk()
            ->getContent();
        self::assertNotSame($map(''), $map('?ways[wings]=low'));
        $this->getJson('/api/models/crane/sheet-map?ways[wings]=wide')->assertStatus(422);
        $this->getJson('/api/models/unknown/sheet-map')->assertNotFound();
    }
}
