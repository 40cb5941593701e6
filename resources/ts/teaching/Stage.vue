<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { useLesson, useProgramme } from '../api/lessons'
import { useFolds } from '../api/models'
import { ask } from '../parts/asking'
import AskState from '../parts/AskState.vue'
import { timeOf } from '../parts/clock'
import FoldPicture from '../parts/FoldPicture.vue'
import LearnerDialog from './LearnerDialog.vue'
import RefusedDeeds from './RefusedDeeds.vue'
import SeatPlan from './SeatPlan.vue'
import StageAdvice from './StageAdvice.vue'
import StageFoot from './StageFoot.vue'
import StageLine from './StageLine.vue'
import StageMore from './StageMore.vue'
import StageRest from './StageRest.vue'
import StepStart from './StepStart.vue'
import StageStep from './StageStep.vue'
import StepThread from './StepThread.vue'
import { useAdvice } from './useAdvice'
import { useKeptLesson } from './useKeptLesson'
import { useRest } from './useRest'
import type { StageLog } from './useLessonLog'
import { useRescue } from './useRescue'
import { useStage } from './useStage'
import { useStageKeys } from './useStageKeys'
import { useWallChannel } from './useWallChannel'

const props = defineProps<{
  id: number
  /** the log of a rehearsal, where nothing is taught */
  rehearsed?: StageLog
}>()
const emit = defineEmits<{ ended: [] }>()
const { t } = useI18n()
const router = useRouter()
const cache = useQueryClient()
const lesson = useLesson(() => props.id)
const programme = useProgramme(() => lesson.data.value)
if (!props.rehearsed) useKeptLesson(() => lesson.data.value)
const stage = useStage(
  () => props.id,
  () => lesson.data.value,
  (number) => programme.steps.value[number - 1]?.checkpoint ?? false,
  props.rehearsed,
)
const { at, total, seats, drift, standing, waiting, preview } = stage
const advice = useAdvice(stage)
const model = computed(() => programme.at(at.value ?? 0))
const step = computed(() => programme.steps.value[(at.value ?? 0) - 1])
const folds = useFolds()
const fold = computed(() => folds.data.value?.find((one) => one.kind === step.value?.kind))
/** The step's picture, which moves: its keys work on the whole stage. */
const picture = useTemplateRef<InstanceType<typeof StageStep>>('picture')
/** The model, its ways, and the number by which it knows the step. */
const own = computed(() => {
  const of = (lesson.data.value?.models ?? []).filter((m) => m.first <= (at.value ?? 0)).at(-1)
  return of && { slug: of.slug, ways: of.ways, number: (at.value ?? 0) - of.first + 1 }
})
const dark = ref(false)
const more = ref(false)
const shown = ref(0)
useWallChannel(() => props.id, { at: () => at.value ?? 0, dark: () => dark.value })
const about = ref<number>()
const seat = computed(() => seats.value.find((one) => one.id === about.value))
const rescue = useRescue(() => lesson.data.value, programme, { seats, seat, at, preview })

/** The next model of the lesson begins with this step. */
const begins = computed(
  () => (at.value ?? 0) > 1 && (lesson.data.value?.models ?? []).some((m) => m.first === at.value),
)
const late = computed(() => (drift.value.behind > 0 ? t('stage.behind', { n: drift.value.behind }) : ''))

const rest = useRest(
  () => props.id,
  {
    running: computed(() =>
      !props.rehearsed && !preview.value && !stage.paused.value && standing.value.ended_ms === null),
    step: computed(() => standing.value.step),
    nameOf: stage.nameOf,
  },
  timeOf,
)

/** The model that has just been folded and is folded once more. */
const again = computed(() => {
  const row = lesson.data.value?.models ?? []
  const last = row.find((one) => one.first + one.steps === at.value)
  return last && last.times > 1 ? last : undefined
})
/** The last step that was folded before the lesson; from the start the next one is the first to be taught. */
const prepared = computed(() => programme.steps.value[(lesson.data.value?.setting.policies.prepared ?? 0) - 1])

function go(to: number) {
  shown.value++
  more.value = false
  stage.go(at.value === 0 && to === 1 && prepared.value ? prepared.value.number + 1 : to)
  window.scrollTo({ top: 0 })
}
function begin() {
  shown.value++
  stage.begin(prepared.value ? prepared.value.number + 1 : 1)
}
/** Shows the step again: from its beginning, in motion where it was in motion. */
function showAgain() {
  if (!picture.value?.replay()) shown.value++
}
/** Where the model that is folded now can be shown another way. */
const otherWays = computed(() => model.value?.passages.length && !props.rehearsed
  ? { name: 'ways', params: { id: props.id, slug: model.value.summary.slug } }
  : null)
const mayEnd = computed(() =>
  !props.rehearsed && !preview.value && standing.value.ended_ms === null && (at.value ?? 0) <= total.value)

/** In a close lesson nobody was tapped: nothing is known, and whoever ends it is asked; '' leaves it open. */
const askHowAllEnded = () =>
  ask({
    title: t('stage.didAll'),
    text: t('stage.didAllText'),
    choices: ['each', 'all', 'none'].map((key) => ({ key, label: t(`stage.didAll_${key}`) })),
  }) as Promise<'each' | 'all' | 'none' | ''>

async function end() {
  if (stage.ending.value) return
  more.value = false
  const everybody = stage.untapped.value && !props.rehearsed ? await askHowAllEnded() : undefined
  if (everybody === '') return
  await stage.end(everybody)
  if (props.rehearsed) {
    emit('ended')
    return
  }
  await Promise.all([
    cache.invalidateQueries({ queryKey: ['lessons', props.id] }),
    cache.invalidateQueries({ queryKey: ['home'] }),
    cache.invalidateQueries({ queryKey: ['wall'] }),
  ])
  await router.push({ name: 'keep', params: { id: props.id } })
}

const mayShow = computed(() => !props.rehearsed && !preview.value && stage.mayShow.value)

const forth = () => { if (!preview.value || (at.value ?? 0) < total.value) go((at.value ?? 0) + 1) }
const back = () => { go((at.value ?? 0) - 1) }
useStageKeys(() => ({
  ...picture.value?.keys(),
  ArrowRight: forth,
  PageDown: forth,
  ArrowLeft: back,
  PageUp: back,
  r: showAgain,
  b: () => { dark.value = !dark.value },
  u: stage.undo,
  s: () => { if (mayShow.value) stage.sayShown() },
  a: () => { if (!props.rehearsed) stage.all() },
  w: () => { if (otherWays.value) void router.push(otherWays.value) },
  Escape: () => {
    more.value = false
    picture.value?.keys()['Escape']?.()
  },
}))
/** Letters; a longer sentence takes more than three lines at the wall's size and is set smaller, so nothing is cut. */
const LONG = 110
</script>

<template>
  <AskState
    v-if="!lesson.data.value || !model || at === null"
    :error="lesson.error.value ?? programme.error.value"
    @again="lesson.refetch()" />
  <div v-else class="stage">
    <header>
      <b class="what">{{ model.summary.title }}</b>
      <StepThread
        :steps="programme.steps.value"
        :at="at"
        :planned="drift.planned"
        :begins="lesson.data.value.models.slice(1).map((m) => m.first)"
        @go="go" />
      <StageRest v-if="rest" v-bind="rest" />
      <b class="clock">{{ timeOf(stage.clock.value) }}</b>
      <span>{{ late ? `${late}, ` : '' }}{{ t('stage.bell', { time: timeOf(lesson.data.value.clock.bell_ms) }) }}</span>
    </header>
    <section class="show">
      <p v-if="preview" class="preview">
        {{ t('stage.preview') }}
        <RouterLink :to="{ name: 'plan', params: { id } }">{{ t('stage.leave') }}</RouterLink>
      </p>
      <p v-if="again" class="begins">
        {{ t('stage.again2', { title: again.title }) }}
        <button type="button" class="anew" @click="go(again.first)">{{ t('stage.againGo') }}</button>
      </p>
      <StepStart v-if="at === 0" :model="model" :prepared="prepared" :says="lesson.data.value.setting.policies.says" />
      <template v-else-if="step">
        <p v-if="begins" class="begins">
          {{ t('stage.nextModel', { title: model.summary.title }) }}
          {{
            t(model.summary.ratio === 1 ? 'stage.startSentence' : 'stage.startSheet', {
              side: t(model.side_up === 'front' ? 'stage.front' : 'stage.back2side'),
            })
          }}
        </p>
        <p v-if="lesson.data.value.setting.policies.creases_there.includes(step.number)" class="begins">
          {{ t(step.kind === 'crease' ? 'stage.thereAlready' : 'stage.thereFold') }}
        </p>
        <p v-for="c in step.cautions" :key="c" class="caution">{{ c }}</p>
        <template v-if="begins"
          ><p v-for="c in model.cautions" :key="c" class="caution">{{ c }}</p></template
        >
        <h1 aria-live="polite" :class="{ long: step.sentence.length > LONG }">
          <span class="fold">{{ step.number }} {{ step.name }}.</span> {{ step.sentence }}
        </h1>
        <StageStep
          v-if="own"
          :key="shown"
          ref="picture"
          :step="step"
          v-bind="own"
          :fold="fold"
          :lesson="rehearsed ? undefined : id" />
      </template>
      <template v-else
        ><h1>{{ t('stage.end') }}</h1>
        <p v-for="line in model.play" :key="line" class="sentence">{{ line }}</p>
        <div class="picture"><FoldPicture :drawing="model.summary.picture" :title="model.summary.title" /></div
      ></template>
    </section>
    <aside>
      <slot />
      <StageAdvice v-bind="advice" :may-show="mayShow" @shown="stage.sayShown" />
      <StageLine
        :id="id"
        :signed-out="stage.signedOut.value"
        :ending="stage.ending.value"
        :stalled="waiting > 0 && stage.stalled.value"
        :unreachable="stage.unreachable.value"
        :taps="stage.taps.value"
        :storage-failed="stage.storageFailed.value" />
      <RefusedDeeds :deeds="stage.lastRefused.value" @again="stage.again" @drop="stage.drop" />
      <p v-if="standing.ended_ms !== null && !stage.ending.value" class="warn">
        {{ t('stage.ended') }}
        <RouterLink :to="{ name: 'keep', params: { id } }">{{ t('stage.toKeep') }}</RouterLink>
      </p>
      <SeatPlan
        :seats="seats"
        :at="preview ? 0 : Math.min(at, total)"
        :table="lesson.data.value.group.table_size"
        :close="stage.close.value"
        @tap="stage.tap"
        @hold="about = $event"
        @table="rehearsed || stage.table($event)" />
    </aside>
    <StageFoot
      :at="at"
      :total="total"
      :preview="preview"
      :rehearsed="!!rehearsed"
      :here="stage.here.value.length"
      :staying="stage.staying.value"
      :close="stage.close.value"
      :more="more"
      @back="back"
      @again="showAgain"
      @next="forth"
      @begin="begin"
      @end="end"
      @all="stage.all"
      @more="more = !more">
      <StageMore
        v-if="more"
        :id="id"
        :preview="preview"
        :rehearsed="!!rehearsed"
        :paused="stage.paused.value"
        :may-end="mayEnd"
        :may-unbegin="!rehearsed && stage.mayUnbegin(stage.clock.value)"
        :ways="otherWays"
        :wish="stage.wish.value"
        @pause="stage.pause"
        @unbegin="stage.unbegin(); more = false"
        @end="end"
        @undo="stage.undo"
        @dark="dark = true"
        @wish="stage.wish.value = $event"
        @join="stage.join"
        @shut="more = false" />
    </StageFoot>
    <LearnerDialog
      v-if="seat"
      :seat="seat"
      :at="preview ? 0 : Math.min(at, total)"
      v-bind="rescue"
      @say="stage.say(seat.id, $event)"
      @shut="about = undefined" />
    <button v-if="dark" type="button" class="dark" @click="dark = false">{{ t('stage.dark') }}</button>
  </div>
</template>

<style scoped src="./stage.css"></style>
