<?php

declare(strict_types=1);

namespace App\Teaching;

use Cathedra\Core\Lesson\Event;
use OpenApi\Attributes as OA;

/** One line of a lesson's log as the screens read it. */
#[OA\Schema(required: ['key', 'kind', 'number', 'at_ms', 'device', 'after'])]
final readonly class EventData
{
    /** @param  list<int>|null  $learners */
    private function __construct(
        #[OA\Property(description: 'made by the device', format: 'uuid')]
        public string $key,
        #[OA\Property(ref: '#/components/schemas/EventKind')]
        public string $kind,
        #[OA\Property(description: 'of the server, within the lesson; the order that counts')]
        public int $number,
        #[OA\Property(description: "the server's clock, milliseconds since 1970")]
        public int $at_ms,
        #[OA\Property]
        public string $device,
        #[OA\Property(description: 'the newest number the device knew')]
        public int $after,
        #[OA\Property(nullable: true)]
        public ?int $learner,
        #[OA\Property(
            description: 'those at the table that is spoken of',
            type: 'array',
            items: new OA\Items(type: 'integer'),
            nullable: true,
        )]
        public ?array $learners,
        #[OA\Property(description: 'numbered through the lesson', nullable: true)]
        public ?int $step,
        #[OA\Property(description: 'key of what it takes back', nullable: true)]
        public ?string $cancels,
        #[OA\Property(ref: '#/components/schemas/Correction', nullable: true)]
        public ?CorrectionData $correction,
        #[OA\Property(nullable: true)]
        public ?string $text,
        #[OA\Property(ref: '#/components/schemas/WayChange', nullable: true)]
        public ?WayChangeData $way,
        #[OA\Property(
            description: 'how the lesson is marked; of a start',
            enum: ['exception', 'close'],
            nullable: true,
        )]
        public ?string $marks,
        #[OA\Property(description: 'name of whose account did it', nullable: true)]
        public ?string $by,
    ) {
    }

    public static function of(Event $event, ?string $by): self
    {
        return new self(
            key: $event->key,
            kind: $event->kind->value,
            number: $event->number,
            at_ms: $event->atMs,
            device: $event->origin->device,
            after: $event->origin->after,
            learner: $event->learner,
            learners: $event->learners ?: null,
            step: $event->step,
            cancels: $event->cancels,
            correction: $event->model === null || $event->outcome === null
                ? null
                : new CorrectionData($event->model, $event->outcome->finish->value, $event->outcome->step),
            text: $event->text,
            way: $event->way === null ? null : new WayChangeData($event->way),
            marks: $event->marks?->value,
            by: $by,
        );
    }
}
