<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { client, type LessonData, Problem, type Ways } from '../api/client'
import { useGroups, useMe, useTimes } from '../api/groups'
import { useSaveLesson } from '../api/lessons'
import { useModels } from '../api/models'
import { useStocks } from '../api/paper'
import { later, wallNow } from '../parts/clock'
import FoldPicture from '../parts/FoldPicture.vue'
import { useRemoving } from '../bin/useRemoving'
import AskState from '../parts/AskState.vue'
import FitOf from '../pacing/FitOf.vue'
import { inputOf, modelsOf } from './input'
import { useBounds } from '../parts/bounds'
import { showFirstFault } from '../parts/firstFault'
import { useUnsaved } from '../parts/unsaved'

const props = defineProps<{ lesson?: LessonData }>()
const { t } = useI18n()
const { between } = useBounds()
const route = useRoute()
const router = useRouter()
const groups = useGroups()
const me = useMe()
const models = useModels()
const stocks = useStocks()
const save = useSaveLesson()

const start =
  props.lesson?.card.starts_at ??
  later(`${wallNow().slice(0, 13)}:00`, 60)
const form = ref({
  group: props.lesson?.card.group_id ?? (null as number | null),
  model: props.lesson?.card.model ?? (typeof route.query['model'] === 'string' ? route.query['model'] : ''),
  day: start.slice(0, 10),
  from: start.slice(11),
  until: later(start, props.lesson?.card.minutes ?? 60).slice(11),
  helpers: props.lesson?.setting.helpers ?? 0,
  further: props.lesson ? modelsOf(props.lesson).slice(1) : [],
})
const unsaved = useUnsaved(() => JSON.stringify(form.value))
const sheet = useTemplateRef<HTMLFormElement>('sheet')
const slot = computed(() => {
  const [from, until] = [form.value.from, form.value.until].map((at) => {
    const [h = 0, m = 0] = at.split(':').map(Number)
    return 60 * h + m
  })
  return (until ?? 0) - (from ?? 0)
})
const times = useTimes(() => form.value.group, slot)
const fitOf = (slug: string) => times.data.value?.find((one) => one.slug === slug)
const learners = computed(() => groups.data.value?.find((g) => g.id === form.value.group)?.learners.length ?? 0)
const titleOf = (slug: string) => models.data.value?.find((m) => m.slug === slug)?.title ?? slug
const others = computed(() =>
  (models.data.value ?? []).filter(
    (m) => m.slug !== form.value.model && !form.value.further.some((f) => f.model === m.slug),
  ),
)
function add(event: Event) {
  const select = event.target as HTMLSelectElement
  if (select.value !== '') {
    form.value.further.push({
      model: select.value,
      ways: usualWays(select.value),
      side_mm: null,
      times: 1,
      own_times: {},
      checkpoints: {},
    })
  }
  select.value = ''
}
const saved = ref(false)
/** The ways chosen on the model's page, as "base:squash,...", or kept with the lesson; they go with that model only. */
const ways = computed<Ways>(() => {
  const given = route.query['ways']
  if (typeof given === 'string' && form.value.model === route.query['model'])
    return Object.fromEntries(given.split(',').map((pair) => pair.split(':', 2)))
  return props.lesson && form.value.model === props.lesson.card.model
    ? (props.lesson.models[0]?.ways ?? {})
    : usualWays(form.value.model)
})
/** How this lead teaches the model usually, where she said so. */
function usualWays(model: string): Ways {
  return me.data.value?.ways.find((one) => one.model === model)?.ways ?? {}
}

watch(
  () => groups.data.value,
  (list) => {
    const first = list?.[0]
    if (form.value.group === null && first) {
      unsaved.fill(() => {
        form.value.group = first.id
        form.value.helpers = first.helpers
      })
    }
  },
  { immediate: true },
)
watch(
  () => models.data.value,
  (list) => {
    if (form.value.model === '') unsaved.fill(() => { form.value.model = list?.[0]?.slug ?? '' })
  },
  { immediate: true },
)

const errors = computed(() => (save.error.value instanceof Problem ? save.error.value.fields : {}))
const modelError = computed(() => Object.entries(errors.value).find(([at]) => /^models(\/0|$)/.test(at))?.[1] ?? '')
const general = computed(() =>
  save.error.value && Object.keys(errors.value).length === 0 ? save.error.value.message : '',
)

/** What stays of a model that is not exchanged. */
const kept = ({ side_mm, times, own_times, checkpoints }: LessonData['models'][number]) => ({
  side_mm,
  times,
  own_times,
  checkpoints,
})
async function submit() {
  const f = form.value
  const first = props.lesson?.models[0]
  const body = {
    ...(props.lesson
      ? inputOf(props.lesson)
      : {
          stock_ids: stocks.data.value?.[0] ? [stocks.data.value[0].id] : [],
          method: 'scissors' as const,
          square_in_lesson: false,
          paper_ready: false,
        }),
    group_id: f.group ?? 0,
    models: [
      {
        model: f.model,
        ways: ways.value,
        ...(first?.slug === f.model ? kept(first) : { side_mm: null }),
      },
      ...f.further.filter((one) => one.model !== f.model),
    ],
    starts_at: `${f.day}T${f.from}`,
    ends_at: `${f.day}T${f.until}`,
    helpers: Number(f.helpers),
  }
  const lesson = await save
    .mutateAsync({ ...(props.lesson ? { id: props.lesson.card.id } : {}), body })
    .catch(() => null)
  if (!lesson) return showFirstFault(sheet.value)
  saved.value = true
  unsaved.settle()
  if (!props.lesson) await router.push({ name: 'paper', params: { id: lesson.card.id } })
}

const removing = useRemoving((sure) =>
  client.DELETE('/api/lessons/{lesson}', {
    params: { path: { lesson: props.lesson?.card.id ?? 0 }, query: { sure } },
  }),
)
async function remove() {
  unsaved.settle()
  if (await removing.remove()) await router.push({ name: 'home' })
}
</script>

<template>
  <div :class="{ page: !lesson }">
    <form ref="sheet" class="stack" novalidate @submit.prevent="submit">
      <h1>{{ t(lesson ? 'choose.title' : 'choose.new') }}</h1>
      <p v-if="groups.data.value?.length === 0" class="caution">
        {{ t('choose.noGroups') }} <RouterLink :to="{ name: 'groups' }">{{ t('places.groups') }}</RouterLink>
      </p>
      <div class="sheet fields">
        <v-select
          v-model="form.group"
          class="wide"
          :label="t('choose.group')"
          :items="(groups.data.value ?? []).map((g) => ({ value: g.id, title: `${g.name}, ${g.learners.length}` }))"
          :error-messages="errors['group_id']" />
        <v-text-field v-model="form.day" type="date" :label="t('choose.date')" />
        <v-text-field
          v-model="form.from"
          type="time"
          :label="t('choose.start')"
          :error-messages="errors['starts_at']" />
        <v-text-field v-model="form.until" type="time" :label="t('choose.end')" :error-messages="errors['ends_at']" />
        <v-text-field
          v-model="form.helpers"
          type="number"
          v-bind="between('helpers')"
          :label="t('choose.helpers')"
          :error-messages="errors['helpers']" />
        <div class="further">
          <b>{{ t('choose.further') }}:</b>
          <span>{{
            [titleOf(form.model), ...form.further.map((one) => t('choose.then', { title: titleOf(one.model) }))].join(
              ', ',
            )
          }}</span>
          <v-btn
            v-for="(one, i) in form.further"
            :key="one.model"
            variant="text"
            height="44"
            @click="form.further.splice(i, 1)"
            >{{ t('choose.furtherRemove', { title: titleOf(one.model) }) }}</v-btn
          >
          <span v-if="!lesson && Object.keys(ways).length" class="quiet">{{ t('choose.usual') }}</span>
          <RouterLink
            v-if="lesson && lesson.card.status !== 'taught'"
            :to="{ name: 'ways', params: { id: lesson.card.id, slug: lesson.card.model } }"
            >{{ t('teaching.link') }}</RouterLink
          >
          <select v-if="form.further.length < 4" :aria-label="t('choose.furtherAdd')" @change="add">
            <option value="">{{ t('choose.furtherAdd') }}</option>
            <option v-for="m in others" :key="m.slug" :value="m.slug">{{ m.title }}</option>
          </select>
          <p
            v-for="[at, why] in Object.entries(errors).filter(
              ([f]) => f.startsWith('models/') && !f.startsWith('models/0'),
            )"
            :key="at"
            class="warn"
            role="alert">
            {{ why }}
          </p>
        </div>
      </div>
      <AskState v-if="!models.data.value" :error="models.error.value" @again="models.refetch()" />
      <fieldset class="models">
        <legend>
          <h2>{{ t('choose.model') }}</h2>
        </legend>
        <label
          v-for="m in models.data.value ?? []"
          :key="m.slug"
          class="model"
          :class="{ chosen: form.model === m.slug }">
          <input v-model="form.model" type="radio" name="model" :value="m.slug" />
          <span class="picture"><FoldPicture :drawing="m.picture" :title="m.title" /></span>
          <span
            ><b>{{ m.title }}</b
            ><br /><span>{{ t('choose.steps', { n: m.steps, d: m.difficulty, age: m.age_from }) }}</span
            ><FitOf v-if="fitOf(m.slug)" :fit="fitOf(m.slug)!" :slot-minutes="slot" :learners="learners"
          /></span
          >
        </label>
      </fieldset>
      <p v-if="modelError" class="warn" role="alert">{{ modelError }}</p>
      <p v-if="general" class="warn" role="alert">{{ general }}</p>
      <div class="row">
        <v-btn type="submit" color="primary" class="fold-button" :loading="save.isPending.value">{{
          t(lesson ? 'choose.save' : 'choose.make')
        }}</v-btn>
        <span v-if="removing.error.value" class="warn" role="alert">{{ removing.error.value }}</span>
        <span v-if="saved && !save.error.value" class="good" role="status">{{ t('app.saved') }}</span>
        <v-btn v-if="lesson" variant="text" class="ml-auto" color="error" @click="remove">{{
          t('choose.remove')
        }}</v-btn>
      </div>
    </form>
  </div>
</template>

<style scoped>
.fields { display: grid; grid-template-columns: 2fr repeat(4, 1fr); gap: 14px; align-items: start; }
.models {
  border: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fit, minmax(250px, 1fr)); gap: 0;
  box-shadow: var(--shadow);
}
.models legend { padding-bottom: 8px; }
.model {
  display: grid; grid-template-columns: auto 90px 1fr; gap: 14px; align-items: center; padding: 14px 18px;
  background: linear-gradient(90deg, #fdfcf8 60%, #e8e6dc); cursor: pointer; min-height: 110px;
}
.model.chosen { background: var(--tide); color: white; --over: white; --over-line: underline; } /* for FitOf */
.model input { width: 22px; height: 22px; accent-color: var(--tide-deep); }
.picture { height: 84px; background: var(--paper); padding: 4px; }
.further { grid-column: 1 / -1; display: flex; flex-wrap: wrap; gap: 6px 18px; align-items: center; }
.further select { margin-left: auto; }
.further select {
  font: inherit; min-height: 48px; border: 1px solid var(--ink-2); padding: 0 12px; background: var(--paper);
  appearance: auto;
}
@media (max-width: 860px) { .fields { grid-template-columns: 1fr 1fr; } .fields .wide { grid-column: 1 / -1; } }
</style>
