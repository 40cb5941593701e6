<?php

declare(strict_types=1);

namespace App\Teaching;

use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;

/** What is new in a lesson's log. */
#[OA\Schema(required: ['newest', 'now_ms', 'events'])]
final readonly class LogData
{
    /** @param  list<EventData>  $events */
    public function __construct(
        #[OA\Property(description: 'newest number; ask for what comes after it')]
        public int $newest,
        #[OA\Property(description: "the server's clock, for devices whose clock is wrong")]
        public int $now_ms,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/EventData'))]
        public array $events,
    ) {
    }

    public static function nothingNew(int $newest): self
    {
        return new self($newest, CarbonImmutable::now()->getTimestampMs(), []);
    }
}
