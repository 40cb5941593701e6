import type { LessonData } from '../api/client'
import { useSaveGroup } from '../api/groups'
import type { StageLog } from './useLessonLog'

/** Somebody who is not on the list comes in: a guest, or a new learner. */
export function useGuests(
  { add, standing }: Pick<StageLog, 'add' | 'standing'>,
  lesson: () => LessonData | undefined,
) {
  const save = useSaveGroup()

  /** On the list, and, in a lesson that has begun, at the first step of its model; not there for the models before. */
  async function join(name: string): Promise<void> {
    const of = lesson()
    if (!of || name.trim() === '') return
    const { id, name: group, age_band, helpers, table_size, version, learners } = of.group
    const known = learners.map((one) => ({ id: one.id, name: one.name }))
    const with1 = [...known, { id: null, name: name.trim() }]
    const body = { name: group, age_band, helpers, table_size, version, learners: with1 }
    const saved = await save.mutateAsync({ id, body })
    const learner = saved.learners.find((one) => !known.some((before) => before.id === one.id))?.id
    if (learner === undefined || standing.value.started_ms === null) return
    const taught = of.models.filter((model) => model.first <= Math.max(1, standing.value.step))
    for (const model of taught.slice(0, -1))
      await add('corrected', { learner, correction: { model: model.slug, finish: 'away', step: null } })
    await add('not-yet', { learner, step: taught.at(-1)?.first ?? 1 })
  }

  return { join }
}
