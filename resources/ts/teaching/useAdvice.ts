import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { useStage } from './useStage'

/** The one line of advice, with its reason, and whether it is for now. */
export function useAdvice(stage: ReturnType<typeof useStage>) {
  const { t } = useI18n()
  const waits = (learner: number | undefined) => stage.seats.value.find((seat) => seat.id === learner)?.help ?? 0

  return computed(() => {
    if (stage.preview.value) return { text: t('stage.who'), reason: t('stage.whoSays'), now: false }
    if (stage.paused.value) return { text: t('stage.pausedNow'), reason: t('stage.pausedSays'), now: true }
    const { kind, done: n, room: m, learners } = stage.advice.value
    const names = learners.map(stage.nameOf)
    const minutes = waits(learners[0])
    const not = m - n
    const have = not === 0 ? t('stage.haveAll', { m }) : t('stage.have', { have: n, m, not }, not)
    const names2 = names.slice(0, 2).join(', ')
    switch (kind) {
      case 'none': {
        const still = stage.seats.value.filter((seat) => seat.state === 'not-yet' || seat.state === 'help')
        const reason = t('stage.stillFold', { names: still.map((seat) => seat.name).join(', ') }, still.length)
        return { text: t('stage.allShown'), reason, now: false }
      }
      case 'help': {
        const key = minutes > 0 ? 'stage.helpSince' : 'stage.helpFirst'
        return { text: t(key, { name: names[0], n: minutes }, minutes), reason: have, now: true }
      }
      case 'ask':
        return { text: t('stage.askAll'), reason: t('stage.askAllSays'), now: true }
      case 'wait':
        return { text: t('stage.waitFor', { names: names2 }), reason: have, now: true }
      case 'gather':
        return { text: t('stage.gather'), reason: have, now: false }
      default:
        return { text: t(kind === 'all' ? 'stage.allGo2' : 'stage.goOn'), reason: have, now: false }
    }
  })
}
