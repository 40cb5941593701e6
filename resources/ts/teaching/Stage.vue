<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { onKeyStroke, useMediaQuery } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { useLesson, useProgramme } from '../api/lessons'
import { useFolds } from '../api/models'
import { ask } from '../parts/asking'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import { typing } from '../parts/typing'
import WrongOnes from '../shelf/WrongOnes.vue'
import RefusedDeeds from './RefusedDeeds.vue'
import SeatPlan from './SeatPlan.vue'
import StepGuidance from './StepGuidance.vue'
import StepShown from './StepShown.vue'
import StepThread from './StepThread.vue'
import type { StageLog } from './useLessonLog'
import { useStage } from './useStage'
import type { Mark } from './useStageDeeds'

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
const stage = useStage(
  () => props.id,
  () => lesson.data.value,
  (number) => programme.steps.value[number - 1]?.checkpoint ?? false,
  props.rehearsed,
)
const { at, total, seats, drift, standing, waiting } = stage
const model = computed(() => programme.at(at.value ?? 0))
const step = computed(() => programme.steps.value[(at.value ?? 0) - 1])
const folds = useFolds()
const guidance = computed(() => folds.data.value?.find((fold) => fold.kind === step.value?.kind))
/** Opened by itself at a hard moment, where there is room beside the picture; the lead opens and closes it anywhere. */
const wide = useMediaQuery('(min-width: 1001px) and (min-height: 900px)')
const guided = ref(false)
watch(
  () => step.value?.number,
  () => { guided.value = (step.value?.hard ?? false) && wide.value },
  { immediate: true },
)
/** The step's picture, which moves: its keys work on the whole stage. */
const picture = useTemplateRef<InstanceType<typeof StepShown>>('picture')
/** The model, its ways, and the number by which it knows the step. */
const own = computed(() => {
  const of = (lesson.data.value?.models ?? []).filter((m) => m.first <= (at.value ?? 0)).at(-1)
  return of && { slug: of.slug, ways: of.ways, number: (at.value ?? 0) - of.first + 1 }
})
const dark = ref(false)
const mode = ref<Mark>('done')
const shown = ref(0)

/** The next model of the lesson begins with this step. */
const begins = computed(
  () => (at.value ?? 0) > 1 && (lesson.data.value?.models ?? []).some((m) => m.first === at.value),
)

const advice = computed(() => {
  const { kind, done: n, room: m, learners } = stage.advice.value
  const names = learners.map(stage.nameOf)
  const minutes = seats.value.find((seat) => seat.id === learners[0])?.help ?? 0
  const said = {
    none: '',
    help: minutes > 0 ? t('stage.helpSince', { name: names[0], n: minutes }) : t('stage.helpFirst', { name: names[0] }),
    all: t('stage.all', { m }),
    wait: t('stage.wait', { n, m, names: names.slice(0, 2).join(', ') }),
    go: t('stage.go', { n, m }),
    gather: t('stage.wait2', { n, m }),
  }
  return { text: said[kind], now: kind === 'help' || kind === 'wait' || kind === 'gather' }
})
const late = computed(() => (drift.value.behind > 0 ? t('stage.behind', { n: drift.value.behind }) : ''))
const time = (ms: number) => new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })

/** The model that has just been folded and is folded once more. */
const again = computed(() => {
  const row = lesson.data.value?.models ?? []
  const last = row.find((model) => model.first + model.steps === at.value)
  return last && last.times > 1 ? last : undefined
})
/** The last step that was folded before the lesson; from the start the next one is the first to be taught. */
const prepared = computed(() => programme.steps.value[(lesson.data.value?.setting.policies.prepared ?? 0) - 1])
const says = computed(() => lesson.data.value?.setting.policies.says ?? [])

function go(to: number) {
  shown.value++
  stage.go(at.value === 0 && to === 1 && prepared.value ? prepared.value.number + 1 : to)
}
/** Shows the step again: from its beginning, in motion where it was in motion. */
function showAgain() {
  if (!picture.value?.replay()) shown.value++
}
function tap(learner: number) {
  stage.mark(learner, mode.value)
  mode.value = 'done'
}
/** Where the model that is folded now can be shown another way. */
const otherWays = computed(() => ({
  name: 'ways',
  params: { id: props.id, slug: model.value?.summary.slug ?? lesson.data.value?.card.model ?? '' },
}))
/** A lesson in which nobody was tapped says nothing of anybody, so whoever ends it is asked; '' leaves it open. */
const askHowAllEnded = () =>
  ask({
    title: t('stage.didAll'),
    text: t('stage.didAllText'),
    choices: ['each', 'all', 'none'].map((key) => ({ key, label: t(`stage.didAll_${key}`) })),
  }) as Promise<'each' | 'all' | 'none' | ''>

async function end() {
  if (stage.ending.value) return
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

const keys: Record<string, () => void> = {
  ArrowRight: () => go((at.value ?? 0) + 1),
  PageDown: () => go((at.value ?? 0) + 1),
  ArrowLeft: () => go((at.value ?? 0) - 1),
  PageUp: () => go((at.value ?? 0) - 1),
  r: showAgain,
  b: () => { dark.value = !dark.value },
  f: () => { guided.value = !guided.value },
  u: stage.undo,
  d: () => { mode.value = 'done' },
  w: () => { if (!props.rehearsed) void router.push(otherWays.value) },
  h: () => { mode.value = 'help' },
  a: () => { mode.value = 'away' },
}
onKeyStroke((event) => {
  if (typing(event)) return
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key
  const act = keys[key] ?? picture.value?.keys()[key]
  if (act) {
    event.preventDefault()
    act()
  }
})

/** Letters; a longer sentence takes more than two lines at the wall's size and is set smaller, so nothing is cut. */
const LONG = 90
</script>

<template>
  <AskState
    v-if="!lesson.data.value || !model || at === null"
    :error="lesson.error.value ?? programme.error.value"
    @again="lesson.refetch()" />
  <div v-else class="stage">
    <header>
      <RouterLink :to="{ name: 'plan', params: { id } }" class="leave">{{ t('stage.leave') }}</RouterLink>
      <b class="what">{{ model.summary.title }}</b>
      <StepThread
        :steps="programme.steps.value"
        :at="at"
        :planned="drift.planned"
        :begins="lesson.data.value.models.slice(1).map((m) => m.first)"
        @go="go" />
      <b class="clock">{{ time(stage.clock.value) }}</b>
      <span>{{ late ? `${late}, ` : '' }}{{ t('stage.bell', { time: time(lesson.data.value.clock.bell_ms) }) }}</span>
    </header>
    <section class="show">
      <p v-if="again" class="begins">
        {{ t('stage.again2', { title: again.title }) }}
        <button type="button" class="anew" @click="go(again.first)">{{ t('stage.againGo') }}</button>
      </p>
      <template v-if="at === 0"
        ><h1>{{ t('stage.start') }}</h1>
        <p class="sentence">
          {{
            t(model.summary.ratio === 1 ? 'stage.startSentence' : 'stage.startSheet', {
              side: t(model.side_up === 'front' ? 'stage.front' : 'stage.back2side'),
            })
          }}
        </p>
        <template v-if="prepared">
          <p class="sentence">
            <b>{{ t('stage.prepared', { n: prepared.number }, prepared.number) }}</b> {{ prepared.look.join(' ') }}
          </p>
        </template>
        <ul v-if="says.length" class="says">
          <li v-for="line in says" :key="line">{{ line }}</li>
        </ul>
        <div class="picture">
          <FoldPicture :drawing="prepared?.after ?? model.summary.picture" :title="model.summary.title" />
        </div>
        <p v-for="c in model.cautions" :key="c" class="caution">{{ c }}</p></template
      >
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
        <StepShown v-if="own" :key="shown" ref="picture" :step="step" v-bind="own" />
        <section v-if="own" class="faults">
          <h2>{{ t('faults.if') }}</h2>
          <WrongOnes
            :key="step.number"
            :slug="own.slug"
            :ways="own.ways"
            :step="own.number"
            :most="2"
            :lesson="rehearsed ? undefined : id" />
        </section>
        <StepGuidance v-if="guidance" v-model:open="guided" :fold="guidance" :stops="!!step.stop" />
      </template>
      <template v-else
        ><h1>{{ t('stage.end') }}</h1>
        <p v-for="line in model.play" :key="line" class="sentence">{{ line }}</p>
        <div class="picture big"><FoldPicture :drawing="model.summary.picture" :title="model.summary.title" /></div
      ></template>
    </section>
    <aside>
      <slot />
      <p v-if="advice.text" class="advice" :class="{ now: advice.now }" role="status">{{ advice.text }}</p>
      <p v-if="stage.signedOut.value" class="warn">
        {{ t('stage.signIn') }}
        <RouterLink :to="{ name: 'sign-in', query: { to: `/lessons/${id}/teach` } }">{{ t('signIn.go') }}</RouterLink>
      </p>
      <p v-else-if="stage.ending.value" class="warn" role="status">{{ t('stage.ending', { n: waiting }) }}</p>
      <p v-else-if="waiting > 0 && stage.stalled.value" class="warn" role="status">
        {{ t(stage.unreachable.value ? 'stage.offline' : 'stage.stalled', waiting) }}
      </p>
      <p v-if="stage.storageFailed.value" class="warn" role="alert">{{ t('stage.storage') }}</p>
      <RefusedDeeds :deeds="stage.lastRefused.value" @again="stage.again" @drop="stage.drop" />
      <p v-if="standing.ended_ms !== null && !stage.ending.value" class="warn">
        {{ t('stage.ended') }}
        <RouterLink :to="{ name: 'keep', params: { id } }">{{ t('stage.toKeep') }}</RouterLink>
      </p>
      <div v-if="!rehearsed" class="modes" role="group" :aria-label="t('stage.seats')">
        <button type="button" :aria-pressed="mode === 'done'" @click="mode = 'done'">
          {{ t('stage.tapDone') }} <kbd class="key">D</kbd>
        </button>
        <button type="button" :aria-pressed="mode === 'help'" @click="mode = 'help'">
          {{ t('stage.tapHelp') }} <kbd class="key">H</kbd>
        </button>
        <button type="button" :aria-pressed="mode === 'away'" @click="mode = 'away'">
          {{ t('stage.tapAway') }} <kbd class="key">A</kbd>
        </button>
      </div>
      <SeatPlan :seats="seats" :at="Math.min(at, total)" @tap="tap" />
      <RouterLink v-if="model.passages.length && !rehearsed" class="ways" :to="otherWays">
        {{ t('stage.ways') }} <kbd class="key">W</kbd>
      </RouterLink>
      <button
        v-if="!rehearsed && at >= 1 && at <= total && standing.ended_ms === null"
        type="button"
        class="ways"
        @click="end">
        {{ t('stage.endHere') }}
      </button>
    </aside>
    <footer>
      <button type="button" @click="go(at - 1)">
        <b>{{ t('stage.back2') }}</b
        ><span>{{ t('stage.backKey') }}</span>
      </button>
      <button type="button" @click="showAgain">
        <b>{{ t('stage.again') }}</b
        ><span>R</span>
      </button>
      <button v-if="at <= total" type="button" class="next" @click="go(at + 1)">
        <b>{{ t('stage.next') }}</b
        ><span>{{ t('stage.nextKey') }}</span>
      </button>
      <button v-else type="button" class="next" @click="end">
        <b>{{ t('stage.close') }}</b
        ><span></span>
      </button>
      <button type="button" @click="dark = !dark">
        <b>{{ t('stage.wall') }}</b
        ><span>B</span>
      </button>
      <button type="button" @click="stage.undo">
        <b>{{ t('stage.undo') }}</b
        ><span>U</span>
      </button>
    </footer>
    <button v-if="dark" type="button" class="dark" @click="dark = false">{{ t('stage.dark') }}</button>
  </div>
</template>

<style scoped src="./stage.css"></style>
