<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import type { Passage } from '../api/client'
import { useLesson } from '../api/lessons'
import AskState from '../parts/AskState.vue'
import { typing } from '../parts/typing'
import { ASKED, useMattering } from './mattering'
import PassageOptions from './PassageOptions.vue'
import { useWays } from './useWays'

/** How a model of a lesson is taught: its passages along a rail, each with its ways; before the lesson and in it. */
const props = defineProps<{ id: number; slug: string }>()
const { t } = useI18n()
const router = useRouter()
const lesson = useLesson(() => props.id)
const ways = useWays(
  () => props.id,
  () => props.slug,
  () => lesson.data.value,
)
const model = computed(() => lesson.data.value?.models.find((one) => one.slug === props.slug))
const passages = computed(() => ways.asked.data.value?.passages ?? [])
const { seen: most, isAll } = useMattering(() => passages.value, () => ways.asked.coming.value)
/** Before the lesson what matters for this group; while it is taught what comes next. */
const seen = computed(() => {
  if (isAll.value || ways.status.value !== 'teaching') return most.value
  const left = passages.value.filter((passage) => closed(passage.name) === undefined)
  return left.length > 0 ? left.slice(0, ASKED) : passages.value
})
const kept = ref(false)
watch(ways.picked, () => { kept.value = false })

const headline = computed(() => {
  const [data, n] = [lesson.data.value, ways.asked.data.value?.minutes ?? 0]
  if (!data) return ''
  const left = data.card.minutes - n
  const spare = left < 0 ? t('teaching.over', { n: -left }) : left > 0 ? t('teaching.spare', { n: left }) : ''
  return t('teaching.for', { group: data.card.group, m: data.card.learners, slot: data.card.minutes, n, spare })
})
function closed(passage: string): string | undefined {
  if (ways.status.value === 'taught') return t('teaching.taught')
  const n = ways.past(passage)
  return n === null ? undefined : t('teaching.past', { n })
}
const chosen = (passage: Passage) => passage.options.find((option) => option.chosen)
const question = (passage: Passage) =>
  passage.question ?? t('teaching.passage', { a: passage.first, b: passage.last }, passage.last - passage.first + 1)

/** While teaching, the first passage that is still open is the one that is asked about. */
const open = computed(() => passages.value.find((passage) => closed(passage.name) === undefined)?.name)
watch(
  () => (ways.status.value === 'teaching' && Object.keys(ways.picked.value).length === 0 ? open.value : undefined),
  async (passage) => {
    await nextTick()
    if (passage !== undefined) focus(passage)
  },
  { immediate: true },
)
// What the stage knows of the lesson is newer than what was read when it was opened.
onMounted(() => lesson.refetch())
function focus(passage: string | undefined) {
  const place = document.getElementById(`passage-${passage}`)
  place?.scrollIntoView({ block: 'nearest' })
  place?.querySelector<HTMLInputElement>('input:checked')?.focus()
}

const from = computed(() => (ways.status.value === 'teaching' ? 'teach' : 'plan'))
const back = () => router.push({ name: from.value, params: { id: props.id } })
async function teach() {
  const to = from.value
  if (await ways.teach(t('teaching.waiting'))) await router.push({ name: to, params: { id: props.id } })
}
async function keep() {
  kept.value = await ways.keep()
}
onKeyStroke('Escape', (event) => { if (!typing(event) || event.target instanceof HTMLInputElement) void back() })
</script>

<template>
  <AskState
    v-if="!lesson.data.value || !model || !ways.asked.data.value"
    :error="lesson.error.value ?? ways.asked.error.value"
    @again="ways.asked.refetch()" />
  <div v-else class="page">
    <h1>
      {{
        ways.asked.coming.value
          ? t('teaching.some', { model: model.title })
          : t('teaching.lesson', { n: passages.length, model: model.title.toLowerCase() }, passages.length)
      }}
    </h1>
    <p class="say" role="status">{{ headline }}</p>
    <nav v-if="lesson.data.value.models.length > 1" class="models" :aria-label="t('teaching.more_models')">
      <RouterLink
        v-for="one in lesson.data.value.models"
        :key="one.slug"
        :to="{ name: 'ways', params: { id, slug: one.slug } }"
        >{{ one.title }}</RouterLink
      >
    </nav>
    <p v-if="passages.length === 0" class="quiet">{{ t('teaching.none') }}</p>
    <div v-else class="layout">
      <nav class="rail" :aria-label="t('teaching.rail')">
        <a
          v-for="passage in seen"
          :key="passage.name"
          :href="`#passage-${passage.name}`"
          :class="{ other: !chosen(passage)?.usual, past: closed(passage.name) !== undefined }"
          @click.prevent="focus(passage.name)">
          <svg viewBox="0 0 26 26" width="26" height="26" aria-hidden="true"><path d="M13 1l12 12-12 12L1 13z" /></svg>
          <b>{{ question(passage) }}</b>
          <small>{{ chosen(passage)?.title }}</small>
        </a>
      </nav>
      <div class="stack">
        <PassageOptions
          v-for="passage in seen"
          :id="`passage-${passage.name}`"
          :key="passage.name"
          :passage="passage"
          :minutes="ways.asked.data.value.minutes"
          :closed="closed(passage.name)"
          @choose="(option) => ways.choose(passage.name, option)" />
        <button v-if="seen.length < passages.length" type="button" class="link" @click="isAll = true">
          {{ t('teaching.all', { n: passages.length }) }}
        </button>
        <p v-if="ways.asked.coming.value" class="quiet" role="status">{{ t('teaching.coming') }}</p>
      </div>
    </div>
    <p v-if="ways.problem.value" class="warn" role="alert">{{ ways.problem.value }}</p>
    <div class="foot">
      <v-btn
        v-if="passages.length && ways.status.value !== 'taught'"
        color="primary"
        class="fold-button"
        :loading="ways.busy.value"
        @click="teach"
        >{{ t(ways.status.value === 'teaching' ? 'teaching.now' : 'teaching.like') }}</v-btn
      >
      <button v-if="passages.length" type="button" class="link" @click="keep">{{ t('teaching.keep') }}</button>
      <span v-if="kept" class="good" role="status">{{ t('teaching.kept') }}</span>
      <button type="button" class="link" @click="back">{{ t('teaching.back') }}</button>
      <span v-if="ways.status.value === 'planned' && passages.length" class="quiet">{{ t('teaching.later') }}</span>
    </div>
  </div>
</template>

<style scoped>
.page { padding-top: 24px; }
h1 { font-size: 2.3rem; }
.say { margin: 6px 0 18px; font-size: 1.15rem; color: var(--ink-2); }
.models { display: flex; gap: 4px; margin-bottom: 14px; flex-wrap: wrap; }
.models a { padding: 12px 18px; background: var(--paper-shade); text-decoration: none; color: var(--ink); }
.models .router-link-exact-active { background: var(--tide); color: white; font-weight: 700; }
.layout { display: grid; grid-template-columns: 220px minmax(0, 1fr); gap: 22px; align-items: start; }
.rail { border-left: 3px solid var(--ink); margin-left: 12px; display: grid; gap: 24px; padding: 12px 0 24px; }
.rail a {
  position: relative; padding-left: 22px; display: grid; gap: 2px; text-decoration: none; color: var(--ink);
  min-height: 44px; align-content: center;
}
.rail svg { position: absolute; left: -15px; top: 8px; }
.rail path { fill: var(--paper); stroke: var(--ink); stroke-width: 2; }
.rail .other path { fill: var(--now); }
.rail .past { color: var(--ink-2); }
.rail .past path { fill: var(--rule); stroke: var(--ink-2); }
.rail small { color: var(--ink-2); font-size: 0.9rem; }
.foot { display: flex; flex-wrap: wrap; gap: 10px 22px; align-items: center; margin-top: 20px; }
.link { text-decoration: underline; min-height: 48px; }
.foot .quiet { margin-left: auto; }
@media (max-width: 860px) {
  .layout { grid-template-columns: minmax(0, 1fr); }
  .rail { display: none; }
  h1 { font-size: 1.7rem; }
}
</style>
