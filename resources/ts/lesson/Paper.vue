<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type LessonData, Problem } from '../api/client'
import { useSaveLesson, useStocks } from '../api/queries'
import CutDrawing from '../parts/CutDrawing.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import { length, useMeasure } from '../parts/measure'
import { inputOf } from './input'
import SquareCheck from './SquareCheck.vue'

const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const stocks = useStocks()
const save = useSaveLesson()
const paper = computed(() => props.lesson.paper)
const { unit, say, plain } = useMeasure()

const form = ref({ stock: props.lesson.stock_id, side: props.lesson.wanted_side_mm === null ? '' : plain(props.lesson.wanted_side_mm), method: props.lesson.method, inLesson: props.lesson.square_in_lesson, ready: props.lesson.card.paper_ready })
const errors = computed(() => (save.error.value instanceof Problem ? save.error.value.fields : {}))

function submit() {
  const f = form.value
  save.mutate({ id: props.lesson.card.id, body: inputOf(props.lesson, { stock_id: f.stock, side_mm: length(f.side, unit.value), method: f.method, square_in_lesson: f.inLesson, paper_ready: f.ready }) })
}
/** Kept at once; shown at once, and put right again should the server not have it. */
const ticked = ref<Record<string, boolean>>({})
const isDone = (entry: { key: string; done: boolean }) => ticked.value[entry.key] ?? entry.done
async function tick(key: string, done: boolean) {
  ticked.value = { ...ticked.value, [key]: done }
  await answer(client.PUT('/api/lessons/{lesson}/ticks', { params: { path: { lesson: props.lesson.card.id } }, body: { key, done } })).catch(() => { ticked.value = { ...ticked.value, [key]: !done } })
}
watch(() => [form.value.stock, form.value.method, form.value.inLesson, form.value.ready], submit)

const print = () => window.print()
const title = computed(() => {
  const p = paper.value
  if (!p) return t('paper.choose')
  if (p.problem) return p.problem
  if (p.uncut) return t('paper.titleUncut', { sheets: p.sheets, name: p.stock.name })
  if (p.pieces.length > 1) return t('paper.titlePieces', { sheets: p.sheets, name: p.stock.name, list: p.pieces.map((piece) => `${piece.count} × ${say(piece.side_mm)}`).join(t('paper.and')) })
  return p.per_sheet === 1 ? t('paper.titleOne', { sheets: p.sheets, name: p.stock.name, side: say(p.side_mm) }) : t('paper.title', { sheets: p.sheets, name: p.stock.name, per: p.per_sheet })
})
/** An uncut sheet is drawn without squares. */
const patterns = computed(() => (paper.value?.uncut ? [{ times: paper.value.sheets, squares: [] as { x_mm: number; y_mm: number; side_mm: number }[] }] : paper.value?.patterns ?? []))
const have = computed(() => {
  const p = paper.value
  if (!p || p.problem) return ''
  if (p.stock.count === null) return t('paper.plenty')
  return p.short > 0 ? t('paper.short', { have: p.stock.count, short: p.short }) : t('paper.enough', { have: p.stock.count })
})
</script>

<template>
  <div class="layout">
    <section>
      <h1>{{ title }}</h1>
      <template v-if="paper && !paper.problem">
        <p class="quiet why">{{ paper.spare_reason }}</p>
        <p :class="paper.short > 0 ? 'warn' : 'good'" class="have">{{ have }}</p>
        <ul v-if="paper.choices.length" class="choices"><li v-for="choice in paper.choices" :key="choice">{{ choice }}</li></ul>
        <p class="fold" :class="paper.will_fold.verdict"><b>{{ t(`paper.fold_${paper.will_fold.verdict}`) }}</b> {{ paper.will_fold.reasons.join(' ') }}</p>
        <p v-if="paper.largest_for_all_mm" class="quiet">{{ t('paper.forAll', { n: say(paper.largest_for_all_mm) }) }}</p>
        <p v-if="paper.prepare.start_by" class="begin"><b>{{ t('paper.begin', { day: paper.prepare.start_by.slice(8, 10) + '.' + paper.prepare.start_by.slice(5, 7) + '.', time: paper.prepare.start_by.slice(11) }) }}</b> {{ t('paper.work', { n: paper.prepare.minutes, people: paper.prepare.people }) }}</p>
        <div class="drawn">
          <div v-if="paper.uncut || paper.pieces.length > 1" class="sheets">
            <figure v-for="(pattern, i) in patterns" :key="i"><CutDrawing :width="paper.stock.width_mm" :height="paper.stock.height_mm" :squares="pattern.squares" :by-diagonal="false" strip="" :title="t('paper.drawing', { name: paper.stock.name })" /><figcaption>{{ t('paper.times', { n: pattern.times }) }}</figcaption></figure>
            <p v-if="paper.optimal && !paper.uncut" class="good">{{ t('paper.optimal') }}</p>
          </div>
          <CutDrawing v-else :width="paper.stock.width_mm" :height="paper.stock.height_mm" :squares="paper.drawing" :by-diagonal="paper.by_diagonal" :strip="t('paper.strip')" :title="t('paper.drawing', { name: paper.stock.name })" />
          <div class="stack">
            <h2>{{ t('paper.howTo') }}</h2>
            <div v-if="paper.squaring.length" class="squaring"><FoldPicture v-for="(scene, i) in paper.squaring" :key="i" :scene="scene" :title="t('paper.picture', { n: i + 1 })" /></div>
            <ol><li v-for="step in paper.steps" :key="step">{{ step }}</li></ol>
            <template v-if="paper.list.length">
              <h2>{{ t('paper.list') }}</h2>
              <ul class="list ticks"><li v-for="entry in paper.list" :key="entry.key"><label :class="{ done: isDone(entry) }"><input type="checkbox" :checked="isDone(entry)" @change="tick(entry.key, ($event.target as HTMLInputElement).checked)"> {{ entry.text }}</label></li></ul>
            </template>
            <SquareCheck v-if="!paper.uncut" class="no-print" :side="paper.side_mm" :model="lesson.card.model" />
            <p><b>{{ t('paper.finished', { size: say(...paper.finished_mm) }) }}</b></p>
            <p v-if="paper.by_diagonal && paper.strip_mm > 0" class="quiet">{{ t('paper.offcut', { size: say(paper.strip_mm, paper.side_mm) }) }}. {{ paper.further_mm.length ? t('paper.further', { list: paper.further_mm.map((mm) => say(mm)).join(', ') }) : '' }}</p>
          </div>
        </div>
      </template>
      <p v-if="stocks.data.value?.length === 0" class="caution">{{ t('paper.empty') }} <RouterLink :to="{ name: 'cupboard' }">{{ t('places.cupboard') }}</RouterLink></p>
    </section>
    <form class="sheet stack side no-print" novalidate @submit.prevent="submit">
      <v-select v-model="form.stock" :label="t('paper.stock')" :items="(stocks.data.value ?? []).map((s) => ({ value: s.id, title: `${s.name}, ${say(s.width_mm, s.height_mm)}` }))" :error-messages="errors['stock_id']" />
      <v-text-field v-model="form.side" :label="t('paper.side')" inputmode="decimal" :hint="paper ? t('paper.largest', { n: say(paper.largest_mm) }) : ''" persistent-hint :error-messages="errors['side_mm']" />
      <v-select v-model="form.method" :label="t('paper.method')" :items="(['scissors', 'tear'] as const).map((m) => ({ value: m, title: t(`paper.${m}`) }))" />
      <v-checkbox v-model="form.inLesson" :label="t('paper.inLesson')" />
      <v-checkbox v-model="form.ready" :label="t('paper.ready')" />
      <p v-if="save.error.value && !Object.keys(errors).length" class="warn" role="alert">{{ save.error.value.message }}</p>
      <v-btn type="submit" color="primary" :loading="save.isPending.value">{{ t('paper.save') }}</v-btn>
      <p v-if="paper" class="caution">{{ paper.caution }}</p>
      <v-btn variant="text" @click="print">{{ t('paper.print') }}</v-btn>
    </form>
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: 1fr 330px; gap: 28px; align-items: start; }
h1 { font-size: 1.9rem; }
.why { font-size: 1.05rem; margin-top: 6px; }
.have { font-size: 1.15rem; margin: 6px 0 14px; }
.drawn { display: grid; grid-template-columns: minmax(220px, 0.8fr) 1fr; gap: 28px; }
ol { padding-left: 1.2em; display: grid; gap: 10px; margin: 0; font-size: 1.05rem; }
.side { gap: 14px; }
.drawn > .stack { align-content: start; }
.squaring { display: grid; grid-template-columns: repeat(4, 1fr); gap: 10px; height: 120px; }
.ticks { display: grid; gap: 4px; }
.ticks label { display: grid; grid-template-columns: 28px 1fr; align-items: start; padding: 6px 0; cursor: pointer; }
.ticks input { width: 22px; height: 22px; accent-color: var(--tide-deep); }
.ticks .done { color: var(--ink-2); text-decoration: line-through; }
.choices { margin: -6px 0 12px; padding-left: 1.2em; }
.fold { margin-bottom: 8px; padding: 8px 12px; border-left: 6px solid var(--tide); background: var(--paper); }
.fold.hard { border-color: var(--now); }
.fold.no { border-color: var(--warn); }
.begin { margin-bottom: 14px; }
.sheets { display: grid; grid-template-columns: repeat(auto-fill, minmax(150px, 1fr)); gap: 14px; align-content: start; }
.sheets figure { margin: 0; }
.sheets p { grid-column: 1 / -1; }
@media (max-width: 900px) { .layout { grid-template-columns: 1fr; } }
</style>
