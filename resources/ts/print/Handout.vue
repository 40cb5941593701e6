<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type ModelData, type StepData } from '../api/client'
import { useProgramme } from '../api/lessons'
import { useModel } from '../api/models'
import AskState from '../parts/AskState.vue'
import Leaves from './Leaves.vue'
import { useAskedWays } from '../ways/askedWays'
import HandoutField from './HandoutField.vue'

/** The steps of a model, or of all models of a lesson, on leaves of paper: drawn in grey, said as on the stage. */
const props = defineProps<{ slug?: string; id?: number }>()
const { t } = useI18n()
/** From the shelf: the ways as the address names them ("base:squash"). */
const ways = useAskedWays()
const alone = useModel(() => props.slug, ways)
const found = useQuery({
  queryKey: ['lessons', () => props.id],
  queryFn: () => answer(client.GET('/api/lessons/{lesson}', { params: { path: { lesson: props.id ?? 0 } } })),
  enabled: () => props.id !== undefined,
})
const lesson = computed(() => (props.id === undefined ? undefined : found.data.value))
const programme = useProgramme(() => lesson.value)
const error = computed(() =>
  props.id === undefined ? alone.error.value : (found.error.value ?? programme.error.value),
)
const again = () => void (props.id === undefined ? alone.refetch() : found.refetch())

interface Cell {
  model: ModelData
  first: boolean
  step: StepData | null
}
const cells = computed<Cell[]>(() => {
  if (props.id === undefined) {
    const model = alone.data.value
    return model ? of(model, model.steps) : []
  }
  const models = programme.models.value ?? []
  return models.flatMap((model, i) => {
    const at = lesson.value?.models[i]
    return of(model, programme.steps.value.slice((at?.first ?? 1) - 1, (at?.first ?? 1) - 1 + (at?.steps ?? 0)))
  })
})
const of = (model: ModelData, steps: StepData[]): Cell[] => [
  ...steps.map((step, i) => ({ model, first: i === 0, step })),
  { model, first: false, step: null },
]

/** The side of the lesson's square, where paper is chosen. */
const side = (model: ModelData) => {
  const found = lesson.value?.paper?.models.find((one) => one.slug === model.summary.slug)
  return found ? t(found.uncut ? 'handout.sheet' : 'handout.square', { side: found.side }) : ''
}
const begin = (model: ModelData) =>
  `${side(model)} ${t('handout.up', { side: t(model.side_up === 'front' ? 'stage.front' : 'stage.back2side') })}`.trim()
const titles = computed(() => [...new Set(cells.value.map((cell) => cell.model.summary.title))].join(', '))
const foot = computed(() =>
  [titles.value, ...new Set(cells.value.map((cell) => side(cell.model)))].filter(Boolean).join(', '),
)
</script>

<template>
  <AskState v-if="cells.length === 0" :error="error" @again="again" />
  <div v-else class="page">
    <div class="no-print head">
      <h1>{{ t('handout.title', { model: titles, n: cells.length }) }}</h1>
      <p class="quiet">{{ t('handout.sub') }}</p>
    </div>
    <Leaves :count="cells.length" :foot="foot">
      <template #default="{ index, size }">
        <HandoutField v-if="cells[index]" v-bind="cells[index]" :begin="begin(cells[index].model)" :size="size" />
      </template>
    </Leaves>
  </div>
</template>

<style scoped>
.head { padding-bottom: 12px; }
</style>
