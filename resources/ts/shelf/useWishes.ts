import { useDebounce, useSessionStorage } from '@vueuse/core'
import { computed } from 'vue'
import type { GroupData, ModelFit, ModelSummary } from '../api/client'
import { useFoldStanding, useGroups, useTimes } from '../api/groups'
import { useModels } from '../api/models'
import { finishedSize, matches, newFolds, type Wish } from './wishes'

const NOTHING: Wish = {
  name: '', group: null, minutes: 40, occasion: '', does: '', fold: '', known: '', paper: '', noScissors: false,
  size: null,
}

/** A model of the shelf as it fits what is wished. */
export interface Placed {
  model: ModelSummary
  /** how a lesson with it would go with the group */
  fit: ModelFit | undefined
  /** names of folds that most of the group have not made yet; null without a group */
  fresh: string[] | null
  /** years, where the group is younger */
  youngest: number | null
  /** minutes over what there is */
  over: number
}

/** A group and a slot that stand elsewhere on the page. */
interface Given {
  group: () => number | null
  minutes: () => number
}

/** The shelf, searched: what fits the wishes and the group, and what fits the wishes but not the group. */
export function useWishes(given?: Given) {
  const models = useModels()
  const groups = useGroups()
  /** What was wished is kept while the tab is open, so that a look at a model loses nothing. */
  const wish = useSessionStorage<Wish>(given ? 'choose' : 'shelf', { ...NOTHING }, { mergeDefaults: true })
  const asked = () => (given ? given.group() : wish.value.group)
  const group = computed<GroupData | undefined>(() => groups.data.value?.find((g) => g.id === asked()))
  const minutes = computed(() => Number((given ? given.minutes() : wish.value.minutes) || 0))
  const slot = useDebounce(minutes, 200)
  const times = useTimes(() => group.value?.id ?? null, slot)
  const standing = useFoldStanding(() => group.value?.id ?? null)
  const fit = computed(() => new Map((times.data.value ?? []).map((m) => [m.slug, m])))

  const placed = computed(() =>
    (models.data.value ?? []).map((model): Placed => {
      const own = group.value ? fit.value.get(model.slug) : undefined
      const old = group.value?.oldest ?? Infinity
      return {
        model,
        fit: own,
        fresh: group.value && standing.data.value ? newFolds(model, standing.data.value) : null,
        youngest: model.age_from > old ? model.age_from : null,
        over: Math.max(0, (own?.minutes ?? 0) - minutes.value),
      }
    }),
  )
  const wished = computed(() => placed.value.filter((one) => matches(one.model, wish.value, one.fresh)))
  const fits = (one: Placed) => one.youngest === null && one.over === 0
  const folds = computed(() => {
    const names = new Map<string, string>()
    for (const m of models.data.value ?? []) m.kinds.forEach((kind, i) => names.set(kind, m.folds[i] ?? kind))
    return [...names].map(([value, title]) => ({ value, title })).sort((a, b) => a.title.localeCompare(b.title))
  })
  const offered = (of: (model: ModelSummary) => string[]) =>
    computed(() => [...new Set((models.data.value ?? []).flatMap(of))].sort())

  return {
    models,
    groups,
    wish,
    group,
    folds,
    occasions: offered((model) => model.occasions),
    does: offered((model) => model.does),
    fitting: computed(() => wished.value.filter(fits)),
    others: computed(() => wished.value.filter((one) => !fits(one))),
    all: () => { wish.value = { ...NOTHING } },
    finishedSize,
  }
}
