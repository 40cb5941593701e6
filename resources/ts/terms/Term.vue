<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, client, Problem, type TermData } from '../api/client'
import { useGroups } from '../api/groups'
import { useModels } from '../api/models'
import { useBounds } from '../parts/bounds'
import DraftNote from '../parts/DraftNote.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import { clock, day, later, wallNow } from '../parts/clock'
import { useUnsaved } from '../parts/unsaved'

/** A term: lessons week by week, models in an order in which each brings little that is new, and why. */
const { t } = useI18n()
const router = useRouter()
const cache = useQueryClient()
const groups = useGroups()
const models = useModels()
const { between } = useBounds()
const start = later(`${wallNow().slice(0, 13)}:00`, 60)
const form = ref({
  group: null as number | null, date: start.slice(0, 10), time: start.slice(11), minutes: 60, lessons: 8,
})
const off = ref<string[]>([])
const dayOff = ref('')
/** Models that the lead has chosen, by place of the lesson. */
const fixed = ref<(string | null)[]>([])
const term = ref<TermData>()
const busy = ref(false)
const errors = ref<Record<string, string>>({})
const general = ref('')
const unsaved = useUnsaved(
  () => 'term',
  () => JSON.stringify([form.value, off.value, fixed.value]),
  (text) => { [form.value, off.value, fixed.value] = JSON.parse(text) as [typeof form.value, string[], string[]] },
)
watch(
  () => groups.data.value,
  (list) => {
    if (form.value.group !== null) return
    form.value.group = list?.[0]?.id ?? null
    unsaved.settle()
  },
  { immediate: true },
)
const body = computed(() => ({
  group_id: form.value.group ?? 0,
  starts_at: `${form.value.date}T${form.value.time}`,
  minutes: Number(form.value.minutes),
  lessons: Number(form.value.lessons),
  days_off: off.value,
  models: fixed.value.slice(0, Number(form.value.lessons)) as string[],
}))
async function ask<T>(what: () => Promise<T>): Promise<T | undefined> {
  busy.value = true
  errors.value = {}
  general.value = ''
  try {
    return await what()
  } catch (error) {
    if (error instanceof Problem && Object.keys(error.fields).length > 0) errors.value = error.fields
    else general.value = error instanceof Error ? error.message : String(error)
    return undefined
  } finally {
    busy.value = false
  }
}
async function plan() {
  term.value = (await ask(() => answer(client.POST('/api/terms/plan', { body: body.value })))) ?? term.value
}
function choose(place: number, model: string) {
  fixed.value = Array.from({ length: Number(form.value.lessons) }, (_, i) =>
    i === place ? model || null : (fixed.value[i] ?? null),
  )
  void plan()
}
function addDay() {
  if (dayOff.value && !off.value.includes(dayOff.value)) off.value = [...off.value, dayOff.value].sort()
  dayOff.value = ''
}
async function make() {
  const made = await ask(() => answer(client.POST('/api/terms', { body: body.value })))
  if (!made) return
  unsaved.done()
  await cache.invalidateQueries()
  await router.push({ name: 'home' })
}
const when = (at: string) => `${day(at, { today: t('home.today'), tomorrow: t('home.tomorrow') })} ${clock(at)}`
const picture = (slug: string | null) => models.data.value?.find((one) => one.slug === slug)?.picture
const sorted = computed(() => [...(models.data.value ?? [])].sort((a, b) => a.title.localeCompare(b.title)))
const some = computed(() => term.value?.lessons.filter((one) => one.model !== null).length ?? 0)
</script>

<template>
  <div class="page">
    <h1>{{ t('term.title') }}</h1>
    <DraftNote :unsaved="unsaved" />
    <form class="sheet fields" novalidate @submit.prevent="plan">
      <v-select
        v-model="form.group"
        :label="t('choose.group')"
        :items="(groups.data.value ?? []).map((g) => ({ value: g.id, title: `${g.name}, ${g.learners.length}` }))"
        :error-messages="errors['group_id']" />
      <v-text-field v-model="form.date" type="date" :label="t('term.first')" :error-messages="errors['starts_at']" />
      <v-text-field v-model="form.time" type="time" :label="t('choose.start')" />
      <v-text-field
        v-model="form.minutes"
        type="number"
        :label="t('term.minutes')"
        :error-messages="errors['minutes']" />
      <v-text-field
        v-model="form.lessons"
        type="number"
        v-bind="between('lessons')"
        :label="t('term.lessons')"
        :error-messages="errors['lessons']" />
      <div class="off">
        <label
          >{{ t('term.off') }}
          <input v-model="dayOff" type="date" @keydown.enter.prevent="addDay"
        /></label>
        <button type="button" class="link" @click="addDay">{{ t('term.addOff') }}</button>
        <button v-for="one in off" :key="one" type="button" class="link" @click="off = off.filter((d) => d !== one)">
          {{ t('term.dropOff', { day: one }) }}
        </button>
      </div>
      <v-btn type="submit" color="primary" class="fold-button" :loading="busy">{{ t('term.plan') }}</v-btn>
    </form>
    <p v-if="general" class="warn" role="alert">{{ general }}</p>
    <p v-for="[at, why] in Object.entries(errors).filter(([f]) => /^(days_off|models)/.test(f))" :key="at" class="warn">
      {{ why }}
    </p>
    <section v-if="term" class="sheet">
      <ol class="rows">
        <li v-for="(one, place) in term.lessons" :key="one.starts_at">
          <b>{{ when(one.starts_at) }}</b>
          <span class="picture"
            ><FoldPicture v-if="picture(one.model)" :drawing="picture(one.model)!" :title="one.title"
          /></span>
          <span>
            <select
              :value="one.model ?? ''"
              :aria-label="t('term.model', { n: place + 1 })"
              @change="choose(place, ($event.target as HTMLSelectElement).value)">
              <option value="">{{ t('term.any') }}</option>
              <option v-for="m in sorted" :key="m.slug" :value="m.slug">{{ m.title }}</option>
            </select>
            <small v-if="one.minutes !== null" :class="{ warn: one.minutes > Number(form.minutes) }">{{
              t('fit.fits', { n: one.minutes })
            }}</small>
            <button v-if="one.chosen" type="button" class="link" @click="choose(place, '')">
              {{ t('term.free') }}
            </button>
          </span>
          <span class="quiet">{{ one.why }}</span>
        </li>
      </ol>
      <div class="row">
        <v-btn color="primary" class="fold-button" :disabled="some === 0" :loading="busy" @click="make">{{
          t('term.make', { n: some }, some)
        }}</v-btn>
        <span class="quiet">{{ t('term.then') }}</span>
      </div>
    </section>
  </div>
</template>

<style scoped>
.sheet { padding: 18px 22px; margin-top: 14px; }
.fields { display: grid; grid-template-columns: 2fr repeat(4, 1fr); gap: 14px; align-items: start; }
.off { grid-column: 1 / -2; display: flex; flex-wrap: wrap; gap: 4px 16px; align-items: center; }
.off input { padding: 8px; border: 1px solid var(--ink-2); background: var(--paper); height: 44px; }
.link { text-decoration: underline; min-height: 44px; }
.rows { list-style: none; padding: 0; margin: 0; }
.rows li {
  display: grid; grid-template-columns: 150px 74px minmax(180px, 1fr) 2fr; gap: 14px; align-items: center;
  border-top: 1px solid var(--row); padding: 8px 0;
}
.picture { height: 64px; }
select {
  font: inherit; font-weight: 650; background: var(--paper-shade); padding: 8px; min-height: 44px; max-width: 100%;
}
small { display: block; }
.row { display: flex; gap: 18px; align-items: center; padding-top: 12px; }
@media (max-width: 820px) {
  .fields { grid-template-columns: 1fr 1fr; }
  .off { grid-column: 1 / -1; }
  .rows li { grid-template-columns: 74px minmax(0, 1fr); }
  .rows li > b, .rows li > .quiet { grid-column: 1 / -1; }
}
</style>
