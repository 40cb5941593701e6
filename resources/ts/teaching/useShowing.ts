import { computed, type Ref } from 'vue'
import { counting } from './log/log'
import type { StageLog } from './useLessonLog'

/** How long a step is shown: from going to it until the lead says so, once. Nobody has to. */
export function useShowing(
  { log, standing, add }: Pick<StageLog, 'log' | 'standing' | 'add'>,
  total: Readonly<Ref<number>>,
) {
  const mayShow = computed(() => {
    const { step, started_ms, pause_ms, ended_ms } = standing.value
    const kinds = counting(log.value).map((event) => event.kind)
    return started_ms !== null && pause_ms === null && ended_ms === null && step >= 1 && step <= total.value &&
      !kinds.slice(kinds.lastIndexOf('moved')).includes('shown')
  })

  return { mayShow, sayShown: () => void add('shown', { step: standing.value.step }) }
}
