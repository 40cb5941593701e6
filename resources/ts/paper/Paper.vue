<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { type LessonData, Problem } from '../api/client'
import { useSaveLesson } from '../api/lessons'
import { useStocks } from '../api/paper'
import { day } from '../parts/clock'
import CutDrawing from './CutDrawing.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import KeepOffcut from './KeepOffcut.vue'
import { keptLength, useMeasure } from '../parts/measure'
import CutSheets from './CutSheets.vue'
import { inputOf, modelsOf } from '../lessons/input'
import Materials from './Materials.vue'
import ReadyList from './ReadyList.vue'
import SquareCheck from './SquareCheck.vue'

const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const stocks = useStocks()
const save = useSaveLesson()
const paper = computed(() => props.lesson.paper)
const { unit, plain } = useMeasure()

const wanted = (mm: number | null) => (mm === null ? '' : plain(mm))
const l = props.lesson
const form = ref({
  stock: l.setting.stock_ids[0] ?? null,
  also: l.setting.stock_ids.slice(1),
  sides: l.models.map((m) => wanted(m.side_mm)),
  method: l.setting.method,
  who: l.setting.square_in_lesson ? 'learners' : l.setting.helpers_cut ? 'team' : 'lead',
  prefer: l.setting.prefer,
  ready: l.card.paper_ready,
})
const errors = computed(() => (save.error.value instanceof Problem ? save.error.value.fields : {}))
const uncut = (slug: string) => paper.value?.models.find((m) => m.slug === slug)?.uncut ?? false
const sideError = (i: number) => errors.value[`models/${i}/side_mm`]
const paperError = computed(() => Object.entries(errors.value).find(([at]) => at.startsWith('stock_ids'))?.[1])

function submit() {
  const f = form.value
  // What was not typed anew keeps its exact length, however it is rounded for the eye.
  const side = (i: number, was: number | null) => keptLength(f.sides[i] ?? '', was, plain, unit.value)
  save.mutate({
    id: props.lesson.card.id,
    body: inputOf(props.lesson, {
      stock_ids: [...(f.stock === null ? [] : [f.stock]), ...f.also.filter((id) => id !== f.stock)],
      models: modelsOf(props.lesson).map((m, i) => ({ ...m, side_mm: side(i, m.side_mm) })),
      method: f.method,
      square_in_lesson: f.who === 'learners',
      helpers_cut: f.who !== 'lead',
      prefer: f.prefer,
      paper_ready: f.ready,
    }),
  })
}
watch(
  () => [form.value.stock, form.value.also, form.value.method, form.value.who, form.value.prefer, form.value.ready],
  submit,
)

const print = () => window.print()
const title = computed(() => {
  const p = paper.value
  if (!p) return t('paper.choose')
  if (p.problem) return p.problem
  const taken = p.takes.filter((take) => take.sheets > 0)
  if (taken.length > 1)
    return t('paper.titleSeveral', {
      n: p.sheets,
      list: taken.map((take) => t('paper.ofStock', { n: take.sheets, name: take.name })).join(', '),
    })
  const name = taken[0]?.name ?? p.stock.name
  if (p.patterns.length === 0) return t('paper.titleUncut', { n: p.sheets, name })
  if (p.by_diagonal) return t('paper.titleOne', { n: p.sheets, name, side: p.side })
  const cut = p.pieces.filter((piece) => !piece.uncut)
  if (p.uncut.length === 0 && cut.length === 1 && p.patterns.length === 1)
    return t('paper.title', { n: p.sheets, name, per: p.patterns[0]?.squares.length ?? 0 })
  return t('paper.titleSeveral', {
    n: p.sheets,
    list:
      [...p.uncut.map((u) => u.title), ...cut.map((piece) => `${piece.count} × ${piece.side}`)].join(', ') +
      ` (${name})`,
  })
})
const finished = (m: NonNullable<typeof paper.value>['models'][number]) => {
  const size = m.height === null ? m.finished : t('shelf.form', { base: m.finished, h: m.height })
  return (paper.value?.models.length ?? 0) > 1
    ? t('paper.finishedOf', { title: m.title, size })
    : t('paper.finished', { size })
}
const have = (take: { name: string; have: number | null; short: number }) =>
  take.have === null
    ? t('paper.plentyOf', { name: take.name })
    : t(take.short > 0 ? 'paper.shortOf' : 'paper.enoughOf', { name: take.name, have: take.have, short: take.short })
const stockItems = computed(() =>
  (stocks.data.value ?? []).map((s) => ({ value: s.id, title: `${s.name}, ${s.size}` })),
)
</script>

<template>
  <div class="layout">
    <section>
      <h1>{{ title }}</h1>
      <template v-if="paper && !paper.problem">
        <p class="quiet why">{{ paper.spare_reason }}</p>
        <p
          v-for="take in paper.takes.filter((one) => one.sheets > 0)"
          :key="take.stock"
          :class="take.short > 0 ? 'warn' : 'good'"
          class="have">
          {{ have(take) }}
        </p>
        <p v-if="paper.cost !== null && paper.cost > 0" class="quiet">
          {{ t('paper.cost', { cost: paper.cost.toFixed(2) }) }}
        </p>
        <ul v-if="paper.choices.length" class="choices">
          <li v-for="choice in paper.choices" :key="choice">{{ choice }}</li>
        </ul>
        <div v-for="model in paper.models" :key="model.slug" class="verdict" :class="model.will_fold.verdict">
          <p>
            <b
              >{{ paper.models.length > 1 ? `${model.title}. ` : ''
              }}{{ t(`paper.fold_${model.will_fold.verdict}`) }}</b
            >
            {{ model.will_fold.reasons.join(' ') }}
          </p>
          <p v-if="model.will_fold.notes.length" class="quiet">{{ model.will_fold.notes.join(' ') }}</p>
        </div>
        <p v-if="paper.largest_for_all" class="quiet">
          {{ t('paper.forAll', { n: paper.largest_for_all }) }}
        </p>
        <p v-if="paper.prepare.start_by" class="begin">
          <b>{{
            t('paper.begin', {
              day: day(paper.prepare.start_by, { today: t('paper.today'), tomorrow: t('paper.tomorrow') }),
              time: paper.prepare.start_by.slice(11),
            })
          }}</b>
          {{ t('paper.work', { n: paper.prepare.minutes, people: paper.prepare.people }) }}
        </p>
        <div class="drawn" :class="{ wide: !paper.by_diagonal && paper.patterns.length > 0 }">
          <div class="stack sheets">
            <figure v-for="sheet in paper.uncut" :key="sheet.title">
              <figcaption>
                <b>{{ t('paper.sheetOf', { title: sheet.title, n: sheet.sheets, name: sheet.stock }) }}</b>
              </figcaption>
              <CutDrawing
                class="small"
                :width="sheet.width_mm"
                :height="sheet.height_mm"
                :size="sheet.size"
                :squares="[]"
                :title="t('paper.drawing', { name: sheet.stock })" />
            </figure>
            <CutDrawing
              v-if="paper.by_diagonal && paper.patterns[0]"
              :width="paper.stock.width_mm"
              :height="paper.stock.height_mm"
              :size="paper.stock.size"
              :squares="paper.patterns[0].squares"
              by-diagonal
              :strip="`${t('paper.strip')} ${paper.stock.strip}`"
              :title="t('paper.drawing', { name: paper.stock.name })" />
            <CutSheets v-else :patterns="paper.patterns" :stocks="paper.takes" />
            <p v-if="paper.patterns.length" :class="paper.optimal ? 'good' : 'quiet'">
              {{ paper.optimal ? t('paper.perOne') : t('paper.gap', { n: Math.ceil(paper.gap * 100) }) }}
            </p>
          </div>
          <div class="stack">
            <h2>{{ t('paper.howTo') }}</h2>
            <div v-if="paper.squaring.length" class="squaring">
              <FoldPicture
                v-for="(scene, i) in paper.squaring"
                :key="i"
                :drawing="scene"
                :title="t('paper.picture', { n: i + 1 })" />
            </div>
            <ol>
              <li v-for="step in paper.steps" :key="step">{{ step }}</li>
            </ol>
            <p v-if="paper.squaring.length" class="quiet">{{ t('paper.whatIsSquare') }}</p>
            <p class="caution">{{ paper.caution }}</p>
            <SquareCheck
              v-if="paper.patterns.length"
              class="no-print"
              :side="paper.side_mm"
              :diagonal="paper.diagonal"
              :model="lesson.card.model" />
            <p v-for="model in paper.models" :key="model.slug">
              <b>{{ finished(model) }}</b>
            </p>
            <p v-if="paper.by_diagonal && paper.strip_mm > 0" class="quiet">
              {{ t('paper.offcut', { size: paper.strip }) }}.
              {{
                paper.further ? t('paper.further', { list: paper.further }) : ''
              }}
            </p>
            <KeepOffcut
              v-if="paper.by_diagonal && Math.min(paper.strip_mm, paper.side_mm) >= 40 && paper.takes[0]"
              :stock="paper.takes[0].stock"
              :count="paper.sheets"
              :size="paper.strip"
              :width="paper.strip_mm"
              :height="paper.side_mm" />
          </div>
          <ReadyList v-if="paper.list.length" :lesson="lesson.card.id" :list="paper.list" />
        </div>
        <Materials class="beside" :lesson="lesson" />
      </template>
      <p v-if="stocks.data.value?.length === 0" class="caution">
        {{ t('paper.empty') }} <RouterLink :to="{ name: 'cupboard' }">{{ t('pages.cupboard') }}</RouterLink>
      </p>
    </section>
    <form class="sheet stack side no-print" novalidate @submit.prevent="submit">
      <v-select
        v-model="form.stock"
        :label="t('paper.stock')"
        :items="stockItems"
        :error-messages="paperError ?? ''" />
      <v-select
        v-model="form.also"
        multiple
        :label="t('paper.also')"
        :hint="t('paper.alsoHint')"
        persistent-hint
        :items="stockItems.filter((s) => s.value !== form.stock)"
        />
      <template v-for="(model, i) in lesson.models" :key="model.slug">
        <v-text-field
          v-if="!uncut(model.slug)"
          v-model="form.sides[i]"
          :label="lesson.models.length > 1 ? t('paper.sideOf', { title: model.title }) : t('paper.side')"
          inputmode="decimal"
          :hint="paper ? t('paper.largest', { n: paper.largest }) : ''"
          persistent-hint
          :error-messages="sideError(i)" />
      </template>
      <v-select
        v-model="form.method"
        :label="t('paper.method')"
        :items="(['scissors', 'trimmer', 'tear'] as const).map((m) => ({ value: m, title: t(`paper.${m}`) }))" />
      <v-select
        v-model="form.who"
        :label="t('paper.who')"
        :items="['lead', 'team', 'learners'].map((w) => ({ value: w, title: t(`paper.who_${w}`) }))"
        :error-messages="errors['square_in_lesson']" />
      <v-select
        v-model="form.prefer"
        :label="t('paper.prefer')"
        :hint="t(`paper.preferWhy_${form.prefer}`)"
        persistent-hint
        :items="(['least', 'fewest', 'scrap'] as const).map((w) => ({ value: w, title: t(`paper.prefer_${w}`) }))" />
      <v-checkbox v-model="form.ready" :label="t('paper.ready')" />
      <p v-if="save.error.value && !Object.keys(errors).length" class="warn" role="alert">
        {{ save.error.value.message }}
      </p>
      <v-btn type="submit" color="primary" :loading="save.isPending.value">{{ t('paper.save') }}</v-btn>
      <RouterLink :to="{ name: 'kits', params: { id: lesson.card.id } }"
        ><b>{{ t('paper.kits') }}</b></RouterLink
      >
      <v-btn variant="text" @click="print">{{ t('paper.print') }}</v-btn>
    </form>
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: 1fr 330px; gap: 28px; align-items: start; }
h1 { font-size: 1.9rem; }
.why { font-size: 1.05rem; margin-top: 6px; }
.have { font-size: 1.15rem; margin: 6px 0; }
.drawn {
  display: grid; grid-template-columns: minmax(220px, 1fr) 1fr; gap: 28px; margin-top: 18px; align-items: start;
}
.sheets { grid-row: span 2; }
.wide .sheets { grid-column: 1 / -1; grid-row: auto; }
.drawn figure { margin: 0; }
.small { max-height: 220px; }
ol { padding-left: 1.2em; display: grid; gap: 10px; margin: 0; font-size: 1.05rem; }
.side { gap: 14px; }
.drawn > .stack { align-content: start; }
.squaring { display: grid; grid-template-columns: repeat(3, 1fr); grid-auto-rows: 118px; gap: 10px; }
.choices { margin: 4px 0 12px; padding-left: 1.2em; }
.verdict { margin: 8px 0; padding: 8px 12px; border-left: 6px solid var(--tide); background: var(--paper); }
.verdict.hard { border-color: var(--now); }
.verdict.no { border-color: var(--warn); }
.begin { margin-top: 8px; }
.beside { margin-top: 28px; }
@media (max-width: 900px) { .layout { grid-template-columns: 1fr; } }
@media (max-width: 700px) { .drawn { grid-template-columns: 1fr; } .sheets { grid-row: auto; } }
</style>
