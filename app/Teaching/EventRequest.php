<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Support\ApiRequest;
use App\Support\EachOnce;
use App\Support\PlainText;
use Cathedra\Core\Lesson\BadEvent;
use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\WayChange;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Deeds of a device, as they wait there: their form. What they mean is checked by the core. */
final class EventRequest extends ApiRequest
{
    /** A device that was away for a whole lesson sends its deeds in parts. */
    public const MOST = 100;

    private const ONE_KEY = 'Each deed needs a UUID of its own, made by the device.';

    private const NUMBERS = 'between:0,4294967295';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'after' => ['required', 'integer', self::NUMBERS],
            'events' => ['required', 'array', 'list', 'between:1,'.self::MOST],
            'events.*' => ['array'],
            'events.*.key' => ['required', 'string', 'uuid', new EachOnce(self::ONE_KEY)],
            'events.*.kind' => ['required', 'string', Rule::enum(EventKind::class)],
            'events.*.device' => ['required', 'string', 'max:40', new PlainText],
            'events.*.device_ms' => ['required', 'integer'], // whatever that clock says: no deed is refused for it
            'events.*.after' => ['required', 'integer', self::NUMBERS],
            'events.*.learner' => ['nullable', 'integer'],
            'events.*.learners' => ['nullable', 'array', 'list', 'between:1,'.Event::MAX_TABLE],
            'events.*.learners.*' => ['integer'],
            'events.*.step' => ['nullable', 'integer', 'between:0,65000'],
            'events.*.cancels' => ['nullable', 'string', 'uuid'],
            'events.*.correction' => ['nullable', 'array'],
            'events.*.correction.model' => ['required_with:events.*.correction', 'string', 'max:60'],
            'events.*.correction.finish' => ['required_with:events.*.correction', 'string', Rule::enum(Finish::class)],
            'events.*.correction.step' => ['nullable', 'integer', 'between:1,65000'],
            'events.*.way' => ['nullable', 'array'],
            'events.*.way.model' => ['required_with:events.*.way', 'string', 'max:60'],
            'events.*.way.passage' => ['required_with:events.*.way', 'string', 'max:60'],
            'events.*.way.from' => ['required_with:events.*.way', 'string', 'max:60'],
            'events.*.way.option' => ['required_with:events.*.way', 'string', 'max:60'],
            'events.*.way.begins' => ['required_with:events.*.way', 'integer', 'between:1,65000'],
            'events.*.way.spans' => ['required_with:events.*.way', 'array', 'list', 'between:1,40'],
            'events.*.way.spans.*.first' => ['required', 'integer', 'between:1,65000'],
            'events.*.way.spans.*.was' => ['required', 'integer', 'between:0,1000'],
            'events.*.way.spans.*.now' => ['required', 'integer', 'between:0,1000'],
            'events.*.marks' => ['nullable', 'string', Rule::enum(Marking::class)],
            'events.*.text' => ['nullable', 'string', 'max:'.Event::MAX_TEXT, new PlainText],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'after.*' => 'Say which number is the newest that is known here; 0 for none.',
            'events.required' => 'There is nothing to keep in this request.',
            'events.between' => 'One request carries 1 to '.self::MOST.' deeds; send the others after it.',
            'events.*.key.*' => self::ONE_KEY,
            'events.*.kind.*' => 'That is nothing that can happen in a lesson.',
            'events.*.device_ms.*' => "The device's clock is a whole number of milliseconds since 1970.",
            'events.*.step.*' => 'A step is a whole number.',
            'events.*.cancels.*' => 'Name the key of what is taken back.',
            'events.*.way.*' => 'Send the change of way as the ways of this lesson give it.',
            'events.*.marks.*' => 'A lesson is marked by "exception" or "close": every done is tapped.',
            'events.*.learners.*' => 'A table is a list of 1 to '.Event::MAX_TABLE.' learners, each once.',
            'events.*.text.max' => 'A note has at most '.Event::MAX_TEXT.' characters.',
        ];
    }

    /**
     * @return list<array{key: string, kind: EventKind, device: string, device_ms: int, after: int, learner: int|null,
     *     step: int|null, cancels: string|null, correction: array{model: string, finish: Finish, step: int|null}|null,
     *     text: string|null, way: WayChange|null, marks: Marking|null, learners: list<int>|null}>
     */
    public function events(): array
    {
        $events = [];
        /** @var array<string, mixed> $given */
        foreach ((array) $this->validated('events') as $given) {
            /** @var array{model: string, finish: string, step?: int|string|null}|null $correction */
            $correction = $given['correction'] ?? null;
            $events[] = [
                'key' => strtolower((string) $given['key']),
                'kind' => EventKind::from((string) $given['kind']),
                'device' => (string) $given['device'],
                'device_ms' => (int) $given['device_ms'],
                'after' => (int) $given['after'],
                'learner' => isset($given['learner']) ? (int) $given['learner'] : null,
                'step' => isset($given['step']) ? (int) $given['step'] : null,
                'cancels' => isset($given['cancels']) ? strtolower((string) $given['cancels']) : null,
                'correction' => $correction === null ? null : [
                    'model' => $correction['model'],
                    'finish' => Finish::from($correction['finish']),
                    'step' => isset($correction['step']) ? (int) $correction['step'] : null,
                ],
                'text' => isset($given['text']) ? (string) $given['text'] : null,
                'marks' => isset($given['marks']) ? Marking::from((string) $given['marks']) : null,
                'learners' => isset($given['learners']) ? self::learners((array) $given['learners']) : null,
                'way' => isset($given['way']) ? self::way((array) $given['way'], count($events)) : null,
            ];
        }

        return $events;
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return list<int>
     */
    private static function learners(array $given): array
    {
        return array_values(array_map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, $given));
    }

    /**
     * @param  array<string, mixed>  $given
     *
     * @throws ValidationException at the deed
     */
    private static function way(array $given, int $i): WayChange
    {
        /** @var list<array{first: int|string, was: int|string, now: int|string}> $spans */
        $spans = $given['spans'];
        try {
            return WayChange::of(
                model: (string) $given['model'],
                passage: (string) $given['passage'],
                from: (string) $given['from'],
                option: (string) $given['option'],
                begins: (int) $given['begins'],
                spans: array_map(
                    static fn (array $s): array => [
                        'first' => (int) $s['first'],
                        'was' => (int) $s['was'],
                        'now' => (int) $s['now'],
                    ],
                    $spans,
                ),
            );
        } catch (BadEvent $e) {
            throw ValidationException::withMessages(["events.$i.way" => $e->getMessage()]);
        }
    }
}
