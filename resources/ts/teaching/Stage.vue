<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { onKeyStroke, useNow } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { answer, client } from '../api/client'
import { useLesson, useProgramme } from '../api/queries'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import { typing } from '../parts/typing'
import { useDeeds, withWaiting } from './queue'
import { seats } from './room'
import SeatPlan from './SeatPlan.vue'
import StepThread from './StepThread.vue'

const props = defineProps<{ id: number }>()
const { t } = useI18n()
const router = useRouter()
const cache = useQueryClient()
const lesson = useLesson(() => props.id)
const programme = useProgramme(() => lesson.data.value)
const model = computed(() => programme.at(at.value ?? 0))
const deeds = useDeeds()
const now = useNow({ interval: 1000 })
const at = ref<number | null>(null)
const dark = ref(false)
const mode = ref<'done' | 'help'>('done')
const shown = ref(0)

watch(
  () => lesson.data.value,
  (l) => {
    if (!l || at.value !== null) return
    const waiting = [...deeds.waiting.value].reverse().find((d) => d.type === 'step' && d.lesson === props.id)
    at.value = waiting?.type === 'step' ? waiting.step : l.card.step
  },
  { immediate: true },
)

const total = computed(() => programme.steps.value.length)
const step = computed(() => programme.steps.value[(at.value ?? 0) - 1])
/** The next model of the lesson begins with this step. */
const begins = computed(
  () => (at.value ?? 0) > 1 && (lesson.data.value?.models ?? []).some((m) => m.first === at.value),
)
const marks = computed(() =>
  withWaiting(lesson.data.value?.marks ?? [], deeds.waiting.value, props.id).concat(
    sent.value.filter(
      (m) =>
        !(lesson.data.value?.marks ?? []).some((k) => k.key === m.key) &&
        !deeds.waiting.value.some((d) => d.type === 'mark' && d.mark.key === m.key),
    ),
  ),
)
const sent = ref<{ key: string; learner: number; step: number; kind: 'done' | 'help' }[]>([])
const room = computed(() => (lesson.data.value ? seats(lesson.data.value.group, marks.value) : []))
const done = computed(() => room.value.filter((s) => s.done >= (at.value ?? 0)).length)

const advice = computed(() => {
  const n = done.value
  const m = room.value.length
  const stuck = room.value.find((s) => s.help)
  if (at.value === null || at.value < 1 || at.value > total.value) return { text: '', now: false }
  if (stuck) return { text: t('stage.helpFirst', { name: stuck.name }), now: true }
  if (n === m) return { text: t('stage.all', { m }), now: false }
  if (step.value?.checkpoint)
    return {
      text: t('stage.wait', {
        n,
        m,
        names: room.value
          .filter((s) => s.done < (at.value ?? 0))
          .slice(0, 2)
          .map((s) => s.name)
          .join(', '),
      }),
      now: true,
    }
  return n >= 0.8 * m ? { text: t('stage.go', { n, m }), now: false } : { text: t('stage.wait2', { n, m }), now: true }
})

/** Where the plan says we should be: the last step whose time has come, counted from when teaching really began. */
const elapsed = computed(() =>
  lesson.data.value?.started_ms ? (now.value.getTime() - lesson.data.value.started_ms) / 1000 : 0,
)
const planned = computed(() =>
  Math.max(
    0,
    ...(lesson.data.value?.plan.lines ?? [])
      .filter((l) => l.kind === 'step' && l.start <= elapsed.value)
      .map((l) => l.step ?? 0),
  ),
)
const drift = computed(() => {
  const line = lesson.data.value?.plan.lines.find((l) => l.kind === 'step' && l.step === Math.max(1, at.value ?? 1))
  const end = line ? line.start + ((at.value ?? 0) > 0 ? line.seconds : 0) : 0
  const late = Math.round((elapsed.value - end) / 60)
  if (!lesson.data.value?.started_ms || !line) return ''
  return late > 0 ? t('stage.behind', { n: late }) : ''
})
const time = (ms: number) => new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })

function go(to: number) {
  if (at.value === null || total.value === 0) return
  at.value = Math.min(total.value + 1, Math.max(0, to))
  shown.value++
  deeds.add({ type: 'step', lesson: props.id, step: at.value })
  if (lesson.data.value && lesson.data.value.started_ms === null) lesson.data.value.started_ms = Date.now()
}
function tap(learner: number) {
  const current = at.value ?? 0
  if (current < 1) return
  const mark = { key: crypto.randomUUID(), learner, step: Math.min(current, total.value), kind: mode.value }
  sent.value = [...sent.value, mark]
  deeds.add({ type: 'mark', lesson: props.id, mark })
  mode.value = 'done'
}
function undo() {
  const last = marks.value[marks.value.length - 1]
  if (!last) return
  sent.value = sent.value.filter((m) => m.key !== last.key)
  if (lesson.data.value) lesson.data.value.marks = lesson.data.value.marks.filter((m) => m.key !== last.key)
  deeds.add({ type: 'unmark', lesson: props.id, key: last.key })
}
async function close() {
  await deeds.send()
  const closed = await answer(client.POST('/api/lessons/{lesson}/close', { params: { path: { lesson: props.id } } }))
  cache.setQueryData(['lessons', props.id], closed)
  await cache.invalidateQueries({ queryKey: ['home'] })
  await router.push({ name: 'keep', params: { id: props.id } })
}

const keys: Record<string, () => void> = {
  ArrowRight: () => go((at.value ?? 0) + 1),
  PageDown: () => go((at.value ?? 0) + 1),
  ArrowLeft: () => go((at.value ?? 0) - 1),
  PageUp: () => go((at.value ?? 0) - 1),
  r: () => {
    shown.value++
  },
  b: () => {
    dark.value = !dark.value
  },
  u: undo,
  d: () => {
    mode.value = 'done'
  },
  h: () => {
    mode.value = 'help'
  },
}
onKeyStroke((event) => {
  if (typing(event)) return
  const act = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key]
  if (act) {
    event.preventDefault()
    act()
  }
})
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
        :planned="lesson.data.value.started_ms ? planned : 0"
        :begins="lesson.data.value.models.slice(1).map((m) => m.first)"
        @go="go" />
      <b class="clock">{{ time(now.getTime()) }}</b><span
        >{{ drift ? `${drift}, ` : '' }}{{ t('stage.bell', { time: time(lesson.data.value.bell_ms) }) }}</span
      >
    </header>
    <section class="show">
      <template v-if="at === 0"
        ><h1>{{ t('stage.start') }}</h1>
        <p class="sentence">
          {{
            t(model.summary.ratio === 1 ? 'stage.startSentence' : 'stage.startSheet', {
              side: t(model.side_up === 'front' ? 'stage.front' : 'stage.back2side'),
            })
          }}
        </p>
        <div class="picture"><FoldPicture :scene="model.summary.picture" :title="model.summary.title" /></div>
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
        <template v-if="begins"
          ><p v-for="c in model.cautions" :key="c" class="caution">{{ c }}</p></template
        >
        <h1 aria-live="polite">
          <span class="fold">{{ step.number }} {{ step.name }}.</span> {{ step.sentence }}
        </h1>
        <div :key="shown" class="pictures" :class="{ three: step.halfway }">
          <div class="picture big"><FoldPicture :scene="step.before" :title="step.sentence" /></div>
          <div v-if="step.halfway" class="picture">
            <FoldPicture :scene="step.halfway" :title="t('stage.halfway')" />
          </div>
          <div class="picture"><FoldPicture :scene="step.after" :title="t('stage.after')" /></div>
          <div v-if="step.close_up" class="close">
            <FoldPicture :scene="step.close_up" :title="t('stage.closeUp')" />
          </div>
        </div>
        <div class="must">
          <div>
            <h2>{{ t('stage.true') }}</h2>
            <p>{{ step.checks.join(' ') }}</p>
          </div>
          <div v-if="step.hard">
            <h2>{{ t('stage.hard') }}</h2>
            <p>{{ step.reasons.join(' ') }}</p>
          </div>
          <div v-if="step.note">
            <h2>{{ t('stage.note') }}</h2>
            <p>{{ step.note }}</p>
          </div>
        </div>
      </template>
      <template v-else
        ><h1>{{ t('stage.end') }}</h1>
        <div class="picture big"><FoldPicture :scene="model.summary.picture" :title="model.summary.title" /></div
      ></template>
    </section>
    <aside>
      <p v-if="advice.text" class="advice" :class="{ now: advice.now }" role="status">{{ advice.text }}</p>
      <p v-if="deeds.signedOut.value" class="warn">
        {{ t('stage.signIn') }}
        <RouterLink :to="{ name: 'sign-in', query: { to: `/lessons/${id}/teach` } }">{{ t('signIn.go') }}</RouterLink>
      </p>
      <p v-else-if="deeds.count.value > 1" class="warn">{{ t('stage.offline', { n: deeds.count.value }) }}</p>
      <p v-if="deeds.refused.value" class="warn" role="alert">{{ t('stage.refused', { why: deeds.refused.value }) }}</p>
      <div class="modes" role="group" :aria-label="t('stage.seats')">
        <button type="button" :aria-pressed="mode === 'done'" @click="mode = 'done'">
          {{ t('stage.tapDone') }} <kbd class="key">D</kbd>
        </button>
        <button type="button" :aria-pressed="mode === 'help'" @click="mode = 'help'">
          {{ t('stage.tapHelp') }} <kbd class="key">H</kbd>
        </button>
      </div>
      <SeatPlan :seats="room" :at="Math.min(at, total)" @tap="tap" />
    </aside>
    <footer>
      <button type="button" @click="go(at - 1)">
        <b>{{ t('stage.back2') }}</b
        ><span>{{ t('stage.backKey') }}</span>
      </button>
      <button type="button" @click="shown++">
        <b>{{ t('stage.again') }}</b
        ><span>R</span>
      </button>
      <button v-if="at <= total" type="button" class="next" @click="go(at + 1)">
        <b>{{ t('stage.next') }}</b
        ><span>{{ t('stage.nextKey') }}</span>
      </button>
      <button v-else type="button" class="next" @click="close">
        <b>{{ t('stage.close') }}</b
        ><span></span>
      </button>
      <button type="button" @click="dark = !dark">
        <b>{{ t('stage.wall') }}</b
        ><span>B</span>
      </button>
      <button type="button" @click="undo">
        <b>{{ t('stage.undo') }}</b
        ><span>U</span>
      </button>
    </footer>
    <button v-if="dark" type="button" class="dark" @click="dark = false">{{ t('stage.dark') }}</button>
  </div>
</template>

<style scoped src="./stage.css"></style>
