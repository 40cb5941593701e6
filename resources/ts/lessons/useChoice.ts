import { computed, type Ref, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { type LessonData, type LessonInput, Problem, type Ways } from '../api/client'
import { useGroups, useMe } from '../api/groups'
import { useSaveLesson } from '../api/lessons'
import { useModels } from '../api/models'
import { useStocks } from '../api/paper'
import { useBounds } from '../parts/bounds'
import { later, wallNow } from '../parts/clock'
import { type Unsaved, useUnsaved } from '../parts/unsaved'
import { inputOf, modelsOf } from './input'

type Chosen = LessonInput['models'][number]

/** What stands in the form: dates and times as they are typed. */
interface Choice {
  group: number | null
  day: string
  from: string
  until: string
  helpers: number
  models: Chosen[]
}

/** Minutes from one time of the day to another; below 0 where it ends before it begins. */
export function minutesBetween(from: string, until: string): number {
  const [a = 0, b = 0] = [from, until].map((at) => {
    const [h = 0, m = 0] = at.split(':').map(Number)
    return 60 * h + m
  })
  return b - a
}

/** Saves what is chosen; what was refused stands beside its field. */
function useKeeping(lesson: () => LessonData | undefined, form: Ref<Choice>, unsaved: Unsaved) {
  const stocks = useStocks()
  const save = useSaveLesson()
  const errors = computed(() => (save.error.value instanceof Problem ? save.error.value.fields : {}))
  /** @returns the lesson as it is kept; null when it was refused */
  async function submit(): Promise<LessonData | null> {
    const f = form.value
    const now = lesson()
    const body = {
      ...(now
        ? inputOf(now)
        : {
            stock_ids: stocks.data.value?.[0] ? [stocks.data.value[0].id] : [],
            method: 'scissors' as const,
            square_in_lesson: false,
            paper_ready: false,
          }),
      group_id: f.group ?? 0,
      models: f.models,
      starts_at: `${f.day}T${f.from}`,
      ends_at: `${f.day}T${f.until}`,
      helpers: Number(f.helpers),
    }
    const kept = await save.mutateAsync({ ...(now ? { id: now.card.id } : {}), body }).catch(() => null)
    if (kept) unsaved.done()
    return kept
  }

  return {
    save,
    errors,
    /** of the models, wherever it is among them */
    modelError: computed(() => Object.entries(errors.value).find(([at]) => at.startsWith('models'))?.[1] ?? ''),
    general: computed(() =>
      save.error.value && Object.keys(errors.value).length === 0 ? save.error.value.message : '',
    ),
    submit,
  }
}

/** Who folds what, and when: of a lesson that is planned, or of a new one. */
export function useChoice(lesson: () => LessonData | undefined) {
  const route = useRoute()
  const [groups, me, models, { most }] = [useGroups(), useMe(), useModels(), useBounds()]

  const before = lesson()
  const start = before?.card.starts_at ?? later(`${wallNow().slice(0, 13)}:00`, 60)
  const form = ref<Choice>({
    group: before?.card.group_id ?? null,
    day: start.slice(0, 10),
    from: start.slice(11),
    until: later(start, before?.card.minutes ?? 60).slice(11),
    helpers: before?.setting.helpers ?? 0,
    models: before ? modelsOf(before) : [],
  })
  const unsaved = useUnsaved(
    () => (before ? `lesson-${before.card.id}-${lesson()?.setting.version}` : 'lesson-new'),
    () => JSON.stringify(form.value),
    (text) => { form.value = JSON.parse(text) as Choice },
  )

  /** The ways chosen on the model's page, as "base:squash,..."; otherwise how this lead teaches it usually. */
  function waysOf(model: string): Ways {
    const given = route.query['ways']
    if (typeof given === 'string' && model === route.query['model'])
      return Object.fromEntries(given.split(',').map((pair) => pair.split(':', 2)))
    return me.data.value?.ways.find((one) => one.model === model)?.ways ?? {}
  }
  const isChosen = (model: string) => form.value.models.some((one) => one.model === model)
  /** Puts a model behind the others, or takes it away; what was said of one that the lesson has already stays. */
  function toggle(model: string) {
    if (isChosen(model)) form.value.models = form.value.models.filter((one) => one.model !== model)
    else if (form.value.models.length < (most('models') ?? Infinity))
      form.value.models.push(
        (before ? modelsOf(before) : []).find((one) => one.model === model) ?? {
          model, ways: waysOf(model), side_mm: null, times: 1, own_times: {}, checkpoints: {},
        },
      )
  }

  watch(
    [() => groups.data.value, () => models.data.value, () => me.data.value],
    ([list, shelf, account]) => {
      const first = list?.[0]
      if (form.value.group === null && first)
        unsaved.fill(() => { Object.assign(form.value, { group: first.id, helpers: first.helpers }) })
      const wanted = route.query['model']
      if (!before && account && form.value.models.length === 0 && shelf?.some((one) => one.slug === wanted))
        unsaved.fill(() => toggle(String(wanted)))
    },
    { immediate: true },
  )

  return {
    form,
    groups,
    group: computed(() => groups.data.value?.find((one) => one.id === form.value.group)),
    models,
    slot: computed(() => minutesBetween(form.value.from, form.value.until)),
    unsaved,
    isChosen,
    toggle,
    ...useKeeping(lesson, form, unsaved),
  }
}
