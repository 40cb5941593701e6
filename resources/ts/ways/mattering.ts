import { computed, ref, watch } from 'vue'
import type { Passage } from '../api/client'

/** Questions that are asked at once; a bird has eleven, and most of them change little. */
export const ASKED = 3

/** What hangs on an answer for this group: minutes between the quickest and the slowest way, and hard moments. */
function weight(passage: Passage): number {
  const minutes = passage.options.map((option) => option.minutes ?? 0)
  const hard = passage.options.map((option) => option.hard.length)
  return Math.max(...minutes) - Math.min(...minutes) + Math.max(...hard) - Math.min(...hard)
}

/**
 * The questions that matter most, in the order of the steps: those on which most hangs, and every one that is answered
 * otherwise than usual. All, where there are hardly more.
 *
 * @param before names of those that were asked already: they stay, so that nothing moves under the hand that answers
 */
export function mattering(passages: Passage[], before: readonly string[] = []): Passage[] {
  if (passages.length <= ASKED + 1) return passages
  const most = before.length > 0 ? passages.filter((one) => before.includes(one.name)) : [...passages]
    .sort((a, b) => weight(b) - weight(a) || passages.indexOf(a) - passages.indexOf(b))
    .slice(0, ASKED)
  const isOther = (passage: Passage) => passage.options.some((option) => option.chosen && !option.usual)
  return passages.filter((passage) => most.includes(passage) || isOther(passage))
}

/** What is asked of a model's passages: what matters first, and all of them when somebody wants to see all. */
export function useMattering(passages: () => Passage[], coming: () => boolean) {
  const isAll = ref(false)
  const before = ref<string[]>([])
  watch(
    [passages, coming],
    ([list, isComing]) => {
      if (!isComing && before.value.length === 0) before.value = mattering(list).map((one) => one.name)
    },
    { immediate: true },
  )
  return {
    seen: computed(() => (isAll.value ? passages() : mattering(passages(), before.value))),
    isAll,
  }
}
