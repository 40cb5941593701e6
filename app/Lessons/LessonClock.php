<?php

declare(strict_types=1);

namespace App\Lessons;

use OpenApi\Attributes as OA;

/** Milliseconds since 1970. */
#[OA\Schema(required: ['started_ms', 'ended_ms', 'start_ms', 'bell_ms', 'now_ms'])]
final readonly class LessonClock
{
    public function __construct(
        #[OA\Property(description: 'null before teaching')]
        public ?int $started_ms,
        #[OA\Property]
        public ?int $ended_ms,
        #[OA\Property(description: 'when the slot begins')]
        public int $start_ms,
        #[OA\Property]
        public int $bell_ms,
        #[OA\Property(description: "the server's clock, for devices whose clock is wrong")]
        public int $now_ms,
    ) {
    }
}
