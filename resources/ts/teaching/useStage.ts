import { computed } from 'vue'
import type { LessonData } from '../api/client'
import { useOutbox } from './outbox/outbox'
import { type StageLog, useLessonLog } from './useLessonLog'
import { useSeats } from './useSeats'
import { useStageDeeds } from './useStageDeeds'

/**
 * The stage: what it shows is read from the log, what is done in front of the class is added to it. State is read-only;
 * the verbs are the only way to change it.
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
  const verbs = useStageDeeds(log, lesson, shown.total, () => outbox.send())
  return {
    ...shown,
    ...verbs,
    at: computed(() => (lesson() ? log.standing.value.step : null)),
    outcomes: log.outcomes,
    standing: log.standing,
    waiting: log.waiting,
    lastRefused: computed(() => outbox.refused.value.filter((deed) => deed.lesson === id())),
    signedOut: outbox.signedOut,
    unreachable: outbox.unreachable,
    stalled: outbox.stalled,
    storageFailed: outbox.storageFailed,
    again: outbox.again,
    drop: outbox.drop,
  }
}
