<script setup lang="ts">
import { useMutation } from '@tanstack/vue-query'
import { useSessionStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type LessonData, type PlanData } from '../api/client'
import { useForecast, useOdd, useProgramme, useSaveLesson } from '../api/lessons'
import { clock, day, later } from '../parts/clock'
import Blocks from '../pacing/Blocks.vue'
import Forecast from '../pacing/Forecast.vue'
import Policies from '../pacing/Policies.vue'
import RunChart from '../pacing/RunChart.vue'
import WhySoLong from '../pacing/WhySoLong.vue'
import CopyLesson from './CopyLesson.vue'
import { alongTheClock } from '../pacing/alongTheClock'
import { inputOf, modelsOf } from './input'
import type { Lever } from '../pacing/useLevers'

const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const save = useSaveLesson()
const programme = useProgramme(() => props.lesson)
const plan = computed(() => props.lesson.plan)
const forecast = useForecast(() => props.lesson)
const odd = useOdd()
const copying = ref(false)
/** Minutes that add up along the clock. */
const timed = computed(() => alongTheClock(plan.value.lines.map((line) => ({ ...line, step: line.step ?? null }))))
const minutes = (s: number) => Math.max(1, Math.round(s / 60))
const step = (n: number | null) => programme.steps.value[(n ?? 0) - 1]

type Line = PlanData['lines'][number]
function name(line: Line, i: number) {
  if (line.kind === 'step') return `${line.step} ${step(line.step)?.name ?? ''}`
  const steps = line.key === 'again' ? plan.value.lines.slice(0, i).reverse() : plan.value.lines.slice(i)
  const next = steps.find((l) => l.kind === 'step')
  return t(`plan.block.${line.key}`, { model: programme.at(next?.step ?? 1)?.summary.title ?? '' })
}
const title = computed(() => {
  const p = plan.value
  if (!p.fits) return t('plan.over', { n: p.needed_minutes - p.slot_minutes })
  return p.spare_minutes === 0 ? t('plan.exact') : t('plan.fits', { n: p.spare_minutes })
})
/** The step whose time says why. */
const opened = ref<number | null>(null)
const why = (step: number | null) => plan.value.why.find((one) => one.step === step)
const isCheckpoint = (step: number | null) =>
  plan.value.lines.some((line) => line.kind === 'checkpoint' && line.step === step)
/** What the lead says of a step of the lesson, in the model it belongs to. */
function say(step: number, of: 'own_times' | 'checkpoints', value: number | boolean | null) {
  const model = [...props.lesson.models].reverse().find((one) => one.first <= step)
  if (!model) return
  const own = String(step - model.first + 1)
  const others = Object.fromEntries(Object.entries(model[of]).filter(([number]) => number !== own))
  const said = value === null ? others : { ...others, [own]: value }
  change({ models: modelsOf(props.lesson).map((one) => (one.model === model.slug ? { ...one, [of]: said } : one)) })
}
/** The plan that is looked at beside this one. */
const beside = ref<Lever>()
watch(() => props.lesson.setting.version, () => { beside.value = undefined })
const closed = computed(() => props.lesson.card.status === 'taught')
const longest = computed(
  () => [...plan.value.lines].filter((l) => l.kind === 'step').sort((a, b) => b.seconds - a.seconds)[0],
)
/** The lesson in which the rest is folded: a week later, at the same hour, begun with what was folded in this one. */
const second = useSessionStorage<{ id: number; starts_at: string } | null>(`rest-${props.lesson.card.id}`, null, {
  serializer: { read: (text) => JSON.parse(text) as { id: number; starts_at: string }, write: JSON.stringify },
})
const when = (at: string) => day(at, { today: t('home.today'), tomorrow: t('home.tomorrow') })
async function rest(until: number) {
  if (second.value) return // one press, one lesson
  const { card, setting } = props.lesson
  const starts_at = later(card.starts_at, 7 * 24 * 60)
  const body = inputOf(props.lesson, {
    starts_at,
    ends_at: later(starts_at, card.minutes),
    prepared: until,
    decorate: setting.decorate,
    policies: Object.fromEntries(setting.policies.list.map((one) => [one.key, one.chosen])),
    paper_ready: true,
    square_in_lesson: false,
  })
  delete body.version
  const { card: made } = await save.mutateAsync({ body })
  second.value = { id: made.id, starts_at: made.starts_at }
}
/** It goes into the bin, like any lesson that is removed; one that is gone already is gone. */
const unsplit = useMutation({
  mutationFn: async (lesson: number) => {
    const gone = client.DELETE('/api/lessons/{lesson}', { params: { path: { lesson }, query: { sure: true } } })
    if ((await gone).response.status !== 404) await answer(gone)
  },
  onSuccess: () => {
    second.value = null
  },
})
const change = (changes: Parameters<typeof inputOf>[1]) =>
  save.mutate({ id: props.lesson.card.id, body: inputOf(props.lesson, changes) })
</script>

<template>
  <div class="layout">
    <section class="stack">
      <div class="sheet">
        <h1 :class="{ late: !plan.fits }">{{ title }}</h1>
        <p class="quiet">
          {{ t('plan.sub', { needed: plan.needed_minutes, slot: plan.slot_minutes }) }}.
          <template v-if="longest">{{
            t('plan.longest', { n: longest.step, name: step(longest.step)?.name ?? '', min: minutes(longest.seconds) })
          }}</template>
        </p>
        <RunChart
          :plan="plan"
          :starts-at="lesson.card.starts_at"
          :title="t('plan.chart')"
          :bell="t('plan.bell')"
          :wave="forecast.data.value?.now.wave"
          :other="beside?.then.wave" />
        <p v-if="forecast.data.value" class="quiet">
          {{ t('forecast.wave') }} <template v-if="beside">{{ t('forecast.other') }}</template>
        </p>
        <p v-if="save.error.value" class="warn" role="alert">{{ save.error.value.message }}</p>
        <Blocks :lesson="lesson" :disabled="closed || save.isPending.value" @change="change" />
      </div>
      <div class="row no-print">
        <v-btn color="primary" class="fold-button" :to="{ name: 'teach', params: { id: lesson.card.id } }">{{
          t('plan.teach')
        }}</v-btn>
        <RouterLink
          v-if="!closed && lesson.group.learners.length"
          :to="{ name: 'rehearse', params: { id: lesson.card.id } }"
          >{{ t('rehearse.link') }}</RouterLink
        >
        <RouterLink :to="{ name: 'run-sheet', params: { id: lesson.card.id } }">{{ t('runSheet.link') }}</RouterLink>
        <RouterLink :to="{ name: 'lesson-handout', params: { id: lesson.card.id } }">{{
          t('handout.print')
        }}</RouterLink>
        <RouterLink :to="{ name: 'ways', params: { id: lesson.card.id, slug: lesson.card.model } }">{{
          t('teaching.link')
        }}</RouterLink>
        <button type="button" class="link" @click="copying = true">{{ t('copy.link') }}</button>
        <CopyLesson v-if="copying" v-model="copying" :card="lesson.card" />
        <a :href="`/api/lessons/${lesson.card.id}/calendar.ics`" download>{{ t('plan.calendar') }}</a>
        <a :href="`/api/groups/${lesson.card.group_id}/calendar.ics`" download>{{ t('plan.calendarAll') }}</a>
      </div>
      <Forecast
        v-if="!closed"
        v-model:beside="beside"
        :lesson="lesson"
        :forecast="forecast.data.value"
        :failed="forecast.isError.value"
        :saving="save.isPending.value"
        :step-name="(n) => step(n)?.name ?? ''"
        :because="(n) => step(n)?.reasons[0] ?? ''"
        @change="change"
        @rest="rest" />
      <p v-if="second" class="good" role="status">
        <RouterLink :to="{ name: 'plan', params: { id: second.id } }">{{
          t('plan.second', { day: when(second.starts_at) })
        }}</RouterLink>
        <v-btn
          class="no-print"
          variant="outlined"
          size="small"
          :loading="unsplit.isPending.value"
          @click="unsplit.mutate(second.id)"
          >{{ t('forecast.undo') }}</v-btn
        >
        <span v-if="unsplit.error.value" class="warn" role="alert">{{ unsplit.error.value.message }}</span>
      </p>
      <Policies :lesson="lesson" @change="change" />
      <p class="quiet">
        {{ plan.source }}
        <button
          v-for="one in plan.paced_by"
          :key="one.lesson"
          type="button"
          class="link no-print"
          :disabled="odd.isPending.value"
          @click="odd.mutate({ lesson: one.lesson, odd: true })">
          {{ t('plan.leaveOut', { day: one.day }) }}
        </button>
        <button
          v-if="odd.isSuccess.value && odd.variables.value?.odd"
          type="button"
          class="link no-print"
          @click="odd.mutate({ lesson: odd.variables.value.lesson, odd: false })">
          {{ t('plan.takeIn') }}
        </button>
        <RouterLink :to="{ name: 'learned' }">{{ t('pages.learned') }}</RouterLink>
        <span v-if="odd.error.value" class="warn" role="alert">{{ odd.error.value.message }}</span>
      </p>
    </section>
    <section class="sheet run">
      <h2>{{ t('plan.run') }}</h2>
      <ol class="list">
        <li v-for="({ line, minute, minutes: takes }, i) in timed" :key="i" :class="line.kind">
          <span>{{ clock(lesson.card.starts_at, 60 * minute) }}</span>
          <span
            ><svg v-if="line.kind === 'checkpoint'" viewBox="0 0 16 16" width="14" height="14" aria-hidden="true">
              <path d="M8 0l8 8-8 8-8-8z" fill="var(--now)" stroke="var(--ink)" />
            </svg>
            {{ name(line, i) }}
            <small v-if="line.kind === 'checkpoint'">{{
              t('plan.must', { check: step(line.step)?.look[0] ?? '' })
            }}</small></span
          >
          <button
            v-if="line.kind === 'step'"
            type="button"
            class="why"
            :aria-expanded="opened === line.step"
            :aria-label="t('plan.why.open', { n: takes || t('runSheet.brief'), step: line.step ?? 0 })"
            @click="opened = opened === line.step ? null : line.step">
            {{ takes || t('runSheet.brief') }}<sup v-if="why(line.step)?.own">*</sup>
          </button>
          <span v-else>{{ takes || t('runSheet.brief') }}</span>
          <WhySoLong
            v-if="line.kind === 'step' && opened === line.step && why(line.step)"
            :why="why(line.step)!"
            :checkpoint="isCheckpoint(line.step)"
            :closed="closed"
            @own="(seconds) => say(line.step ?? 0, 'own_times', seconds)"
            @checkpoint="(is) => say(line.step ?? 0, 'checkpoints', is)" />
        </li>
        <li class="end">
          <span>{{ clock(lesson.card.starts_at, plan.needed_minutes * 60) }}</span><span>{{
            plan.fits
              ? t('plan.end', { n: plan.spare_minutes })
              : t('plan.endOver', { n: plan.needed_minutes - plan.slot_minutes })
          }}</span
          ><span></span>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: 1fr 380px; gap: 22px; align-items: start; }
.late { color: var(--warn); }
.link { text-decoration: underline; min-height: 44px; color: var(--tide-deep); }
.run { padding: 18px 0; }
.run h2 { padding: 0 22px 10px; }
.run li { display: grid; grid-template-columns: 58px 1fr 26px; padding: 8px 22px; border-top: 1px solid var(--row); }
.run li > span:nth-child(3) { text-align: right; color: var(--ink-2); }
.why { text-align: right; padding: 0; color: var(--ink-2); text-decoration: underline dotted; }
.block { font-weight: 650; }
.step > span:nth-child(2) { padding-left: 14px; }
.checkpoint { background: var(--now-pale); font-weight: 650; }
.checkpoint small { display: block; font-weight: 400; }
.end { color: var(--tide-deep); font-weight: 700; }
@media (max-width: 900px) { .layout { grid-template-columns: 1fr; } }
</style>
