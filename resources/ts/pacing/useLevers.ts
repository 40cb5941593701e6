import { useSessionStorage } from '@vueuse/core'
import type { ForecastData, LessonData, LessonInput } from '../api/client'
import { modelsOf, modelsWith } from '../lessons/input'

export type Lever = ForecastData['levers'][number]

/** One thing that a lever sets, as it is kept until it is taken back; also over a reload. */
type Setting =
  | { kind: 'column'; set: Partial<LessonInput> }
  | { kind: 'policy'; policy: string; option: string }
  | { kind: 'way'; model: string; passage: string; option: string; first: number }

interface Pulled {
  name: Lever['name']
  steps: number | null
  way: Lever['way']
  model: Lever['model']
  paper: Lever['paper']
  back: Setting
}

/** What a lever sets, and what takes it back. */
function settings({ name, steps, way, model, paper }: Lever, lesson: LessonData): [Setting, Setting] {
  const { setting } = lesson
  const column = (forth: Partial<LessonInput>, back: Partial<LessonInput>): [Setting, Setting] => [
    { kind: 'column', set: forth },
    { kind: 'column', set: back },
  ]
  const policy = (key: string, option: string): [Setting, Setting] => [
    { kind: 'policy', policy: key, option },
    { kind: 'policy', policy: key, option: setting.policies.list.find((one) => one.key === key)?.chosen ?? option },
  ]
  switch (name) {
    case 'helper':
      return column({ helpers: setting.helpers + 1 }, { helpers: setting.helpers })
    case 'squares':
      return column({ square_in_lesson: false }, { square_in_lesson: true })
    case 'decorate':
      return column({ decorate: 'none' }, { decorate: setting.decorate })
    case 'prepared':
    case 'guides':
      return column({ prepared: steps ?? 0 }, { prepared: setting.policies.prepared })
    case 'forgiving':
      return policy('exact', 'forgiving')
    case 'twice':
      return policy('show', 'twice')
    case 'wait':
      return policy('pace', 'wait')
    case 'cards':
      return policy('show', 'cards')
    case 'together':
      return policy('show', 'along')
    case 'larger':
      return column(
        { models: modelsOf(lesson).map((one, i) => (i === 0 ? { ...one, side_mm: paper.mm } : one)) },
        { models: modelsOf(lesson) },
      )
    case 'paper':
      return column(
        { stock_ids: paper.stock === null ? setting.stock_ids : [paper.stock] },
        { stock_ids: setting.stock_ids },
      )
    case 'split':
      throw new Error('the rest becomes a lesson of its own; nothing is set in this one')
    case 'easier':
      return column(
        { models: [{ model: model.slug }, ...modelsOf(lesson).slice(1)], prepared: 0 },
        { models: modelsOf(lesson), prepared: setting.policies.prepared },
      )
    case 'way': {
      const { model: of = '', passage = '', option = '', was = '', first = 1 } = way ?? {}
      return [
        { kind: 'way', model: of, passage, option, first },
        { kind: 'way', model: of, passage, option: was, first },
      ]
    }
  }
}

/** The setting as a change of the lesson as it is now: what else was changed since stays. */
function changeOf(setting: Setting, lesson: LessonData): Partial<LessonInput> {
  switch (setting.kind) {
    case 'column':
      return setting.set
    case 'policy': {
      const chosen = Object.fromEntries(lesson.setting.policies.list.map((one) => [one.key, one.chosen]))
      return { policies: { ...chosen, [setting.policy]: setting.option } }
    }
    case 'way':
      return { models: modelsWith(lesson, setting.model, { [setting.passage]: setting.option }, setting.first) }
  }
}

export function useLevers(lesson: () => LessonData, change: (changes: Partial<LessonInput>) => void) {
  const pulled = useSessionStorage<Pulled | null>(`lever-${lesson().card.id}`, null, {
    serializer: { read: (text) => JSON.parse(text) as Pulled | null, write: (value) => JSON.stringify(value) },
  })
  function pull(lever: Lever) {
    const [forth, back] = settings(lever, lesson())
    const { name, steps, way, model, paper } = lever
    pulled.value = { name, steps, way, model, paper, back }
    change(changeOf(forth, lesson()))
  }
  function takeBack() {
    if (pulled.value) change(changeOf(pulled.value.back, lesson()))
    pulled.value = null
  }
  return { pulled, pull, takeBack }
}
