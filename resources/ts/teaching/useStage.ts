import { computed, ref } from 'vue'
import type { LessonData } from '../api/client'
import { useOutbox } from './outbox/outbox'
import { useGuests } from './useGuests'
import { type StageLog, useLessonLog } from './useLessonLog'
import { useShowing } from './useShowing'
import { useSeats } from './useSeats'
import { useStageDeeds } from './useStageDeeds'
import { useStageEnd } from './useStageEnd'

/**
 * The stage: what it shows is read from the log, what is done in front of the class is added to it. State is read-only;
 * the verbs are the only way to change it. Before the lesson begins it can be looked through, and nothing is said.
 */
export function useStage(
  id: () => number,
  lesson: () => LessonData | undefined,
  checkpoint: (step: number) => boolean,
  rehearsed?: StageLog,
) {
  const log = rehearsed ?? useLessonLog(id, lesson)
  const outbox = useOutbox()
  const shown = useSeats(log, lesson, checkpoint)
  const verbs = useStageDeeds(log, shown.total)
  const ends = useStageEnd(log, lesson, shown.total, { ...verbs, send: () => outbox.send() })
  const looking = ref(0)
  const preview = computed(() => !rehearsed && !verbs.begun.value)

  return {
    ...shown,
    ...verbs,
    ...ends,
    ...useGuests(log, lesson),
    ...useShowing(log, shown.total),
    preview,
    at: computed(() => (lesson() ? (preview.value ? looking.value : log.standing.value.step) : null)),
    /** On to a step; before the lesson has begun it is only looked at. */
    go(to: number) {
      if (preview.value) looking.value = Math.min(shown.total.value, Math.max(0, to))
      else verbs.go(to)
    },
    /** The lesson begins with this step. */
    begin(first: number) {
      looking.value = 0
      verbs.go(first)
    },
    outcomes: log.outcomes,
    standing: log.standing,
    waiting: log.waiting,
    /** of these, what was said of learners; the rest are steps */
    taps: log.taps,
    lastRefused: computed(() => outbox.refused.value.filter((deed) => deed.lesson === id())),
    signedOut: outbox.signedOut,
    unreachable: outbox.unreachable,
    stalled: outbox.stalled,
    storageFailed: outbox.storageFailed,
    again: outbox.again,
    drop: outbox.drop,
  }
}
