import { useLocalStorage } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import { counting, isLate, isMark, standingEvents } from './log/log'
import { seatOf } from './log/standing'
import type { StageLog } from './useLessonLog'

/** What can be said of one learner. */
export type Said = 'done' | 'not-yet' | 'help' | 'helped' | 'along' | 'away' | 'came' | 'left' | 'finished-early'
const WITH_STEP: ReadonlySet<Said> = new Set(['done', 'not-yet', 'help', 'helped', 'finished-early'])

/** All that is done in front of the class; each is an event of the log. */
export function useStageDeeds(
  { log, standing, add }: Pick<StageLog, 'log' | 'standing' | 'add'>,
  total: Readonly<Ref<number>>,
) {
  /** how this device's lead marks a lesson that has not begun */
  const wish = useLocalStorage<'exception' | 'close'>('marks', 'exception')
  const begun = computed(() => standing.value.started_ms !== null)
  const close = computed(() => (begun.value ? standing.value.marks !== 'exception' : wish.value === 'close'))
  const paused = computed(() => standing.value.pause_ms !== null)
  const step = () => Math.min(standing.value.step, total.value)

  function begin() {
    if (!begun.value) void add('started', { marks: wish.value })
  }
  function go(to: number) {
    if (total.value === 0) return
    begin()
    if (paused.value) void add('resumed')
    void add('moved', { step: Math.min(total.value + 1, Math.max(0, to)) })
  }

  function say(learner: number, kind: Said) {
    if (WITH_STEP.has(kind) && step() < 1) return
    const behind = seatOf(standing.value, learner).behind
    const at = (kind === 'helped' || kind === 'help') && behind !== null ? behind : step()
    void add(kind, { learner, ...(WITH_STEP.has(kind) ? { step: at } : {}) })
  }

  /** What a tap says: what comes next for this learner. Said already, it says nothing new. */
  function tap(learner: number) {
    const seat = seatOf(standing.value, learner)
    if (seat.away) say(learner, 'came')
    else if (!begun.value || step() < 1) say(learner, 'away')
    else if (close.value) {
      if (seat.done < step() || seat.help_ms !== null) say(learner, 'done')
    } else if (seat.help_ms !== null) say(learner, 'along')
    else say(learner, seat.behind !== null ? 'help' : 'not-yet')
  }

  const all = () => { if (step() >= 1) void add('all-done', { step: step() }) }
  function table(learners: readonly number[]) {
    const here = learners.filter((one) => !seatOf(standing.value, one).away)
    if (step() >= 1 && here.length > 0) void add('table-done', { step: step(), learners: here })
  }
  /** It was begun by mistake: for ten minutes, and before anybody was marked at a step. */
  const mayUnbegin = (now: number) =>
    begun.value && standing.value.ended_ms === null && now - (standing.value.started_ms ?? 0) < 600_000 &&
    !counting(log.value).some((event) => isMark(event) && event.step != null)
  const unbegin = () => void add('unbegun')
  const pause = () => void add(paused.value ? 'resumed' : 'paused')

  /** Takes the latest mark back: whoever made it, the lead may. */
  function undo() {
    const last = standingEvents(log.value)
      .filter((event) => isMark(event) && !isLate(log.value, event))
      .at(-1)
    if (last) void add('taken-back', { cancels: last.key })
  }

  return { wish, begun, close, paused, begin, mayUnbegin, unbegin, go, say, tap, all, table, pause, undo }
}
