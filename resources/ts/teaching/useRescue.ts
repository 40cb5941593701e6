import { computed, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonData } from '../api/client'
import type { useProgramme } from '../api/lessons'
import { type Rescued, rescueOf, tasksOf } from './rescue'
import type { Seat } from './useSeats'

/** What helps the learner who is pointed at: how to get back for who is lost, something to do for who is quick. */
export function useRescue(
  lesson: () => LessonData | undefined,
  programme: ReturnType<typeof useProgramme>,
  room: { seats: Ref<Seat[]>; seat: Ref<Seat | undefined>; at: Ref<number | null>; preview: Ref<boolean> },
) {
  const { t } = useI18n()
  const step = computed(() => (room.preview.value ? 0 : room.at.value ?? 0))
  const rescued = computed<Rescued | undefined>(() => {
    const row = lesson()?.models ?? []
    const place = Math.max(0, row.filter((one) => one.first <= step.value).length - 1)
    const of = row[place]
    if (!of || step.value < 1) return undefined
    const last = of.first + of.steps - 1
    return {
      seats: room.seats.value,
      table: lesson()?.group.table_size ?? 4,
      steps: programme.steps.value.slice(0, last),
      at: Math.min(step.value, last),
      first: of.first,
      spares: lesson()?.paper?.models.find((one) => one.slug === of.slug)?.spares ?? 0,
      passages: (programme.at(step.value)?.passages ?? []).map((one) => of.first + one.first - 1),
      next: row[place + 1]?.title ?? null,
    }
  })
  /** The last state that the learner surely has, to come back to. */
  const lost = computed(() => {
    if (!room.seat.value || !rescued.value) return null
    const last = programme.steps.value[room.seat.value.done - 1]
    return last
      ? t('stage.lostAt', { n: last.number, look: last.look.join(' '), next: last.number + 1 })
      : t('stage.lostStart')
  })

  return computed(() => {
    const [seat, of] = [room.seat.value, rescued.value]
    return {
      lost: lost.value,
      rescue: seat && of ? rescueOf(seat, of) : [],
      tasks: seat && of && seat.state !== 'away' && seat.done >= of.at ? tasksOf(seat, of) : [],
    }
  })
}
