import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, type Ref } from 'vue'
import { answer, client } from '../api/client'
import { useI18n } from 'vue-i18n'

/** How often it is asked while nothing is said (ms); a step on asks at once. */
const EVERY = 20_000
/** Less likely than not that all are done in time. */
const LIKELY = 0.5
/** Names that are said. */
const MOST = 5

/** How the rest of a lesson under way is likely to go: one short line beside the bell, and sentences behind it. */
export function useRest(
  id: () => number,
  stage: { running: Ref<boolean>; step: Ref<number>; nameOf: (learner: number) => string },
  time: (ms: number) => string,
) {
  const { t } = useI18n()
  const rest = useQuery({
    queryKey: computed(() => ['rest', id(), stage.step.value]),
    queryFn: () => answer(client.GET('/api/lessons/{lesson}/rest', { params: { path: { lesson: id() } } })),
    enabled: stage.running,
    refetchInterval: EVERY,
    placeholderData: keepPreviousData,
    retry: false,
  })
  return computed(() => {
    const { early_ms: early, middle_ms: middle, late_ms: late, by_ms: by, everybody, unlikely, until } =
      rest.data.value ?? {}
    if (!stage.running.value || rest.isError.value || early == null || middle == null || late == null) return null
    const band = { from: time(early), to: time(late), by: time(by ?? late) }
    const tight = (everybody ?? 1) < LIKELY
    const names = (unlikely ?? []).map(stage.nameOf).filter((name) => name !== '')
    return {
      tight,
      line: band.from === band.to ? t('rest.about', { at: band.from }) : t('rest.line', band),
      says: [
        band.from === band.to ? t('rest.aboutSays', { at: band.from }) : t('rest.says', band),
        t('rest.by', band),
        ...(names.length > MOST
          ? [t('rest.unlikelyMore', { names: names.slice(0, MOST).join(', '), more: names.length - MOST, by: band.by })]
          : names.length > 0 ? [t('rest.unlikely', { names: names.join(', '), by: band.by })] : []),
        ...(tight ? [until == null ? t('rest.stopHere') : t('rest.stop', { n: until })] : []),
      ],
    }
  })
}
