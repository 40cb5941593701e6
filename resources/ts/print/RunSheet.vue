<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useForecast, useLesson, useProgramme } from '../api/lessons'
import type { LessonData } from '../api/client'
import { pagesOf, sheetRows, type SheetRow } from '../pacing/alongTheClock'
import AskState from '../parts/AskState.vue'
import { clock, day, dayOf } from '../parts/clock'
import FoldPicture from '../parts/FoldPicture.vue'

/** The plan on paper: the clock, a small picture and its sentence, what all must have, what to have ready. */
const props = defineProps<{ id: number }>()
const { t } = useI18n()
const found = useLesson(() => props.id)
const lesson = computed(() => found.data.value)
const programme = useProgramme(() => lesson.value)
const forecast = useForecast(() => lesson.value ?? ({ card: { id: props.id } } as LessonData))
const rows = computed(() => sheetRows(lesson.value?.plan.lines ?? []))
const pages = computed(() => pagesOf(rows.value))
const step = (number: number | null) => programme.steps.value[(number ?? 0) - 1]
const at = (minutes: number) => clock(lesson.value?.card.starts_at ?? '', 60 * minutes)
const paper = useLocalStorage('leaves', { paper: 'a4', size: '4' })

function nameOf(row: SheetRow) {
  const after = rows.value.slice(rows.value.indexOf(row)).find((one) => one.step !== null)
  return t(`plan.block.${row.key}`, { model: programme.at(after?.step ?? 1)?.summary.title ?? '' })
}
const title = computed(() => (programme.models.value ?? []).map((model) => model.summary.title).join(', '))
const head = computed(() => {
  const { card, setting } = lesson.value ?? {}
  if (!card || !setting) return ''
  const when = day(card.starts_at, { today: '', tomorrow: '' })
    || dayOf(new Date(card.starts_at))
  return [
    t('runSheet.group', { group: card.group, n: card.learners }, card.learners),
    t('runSheet.helpers', { n: setting.helpers }, setting.helpers),
    t('runSheet.slot', { when, from: at(0), to: at(card.minutes) }),
  ].join(' ')
})
const figures = computed(() => {
  const { plan } = lesson.value ?? {}
  if (!plan) return []
  return [
    plan.fits
      ? t('runSheet.fits', { n: plan.needed_minutes, spare: plan.spare_minutes })
      : t('runSheet.over', { n: plan.needed_minutes, over: -plan.spare_minutes }),
    t('runSheet.latest', { at: at(plan.needed_minutes) }),
  ]
})
/** Squares of each model, and from which paper. */
const ready = computed(() => {
  const { paper: of, setting } = lesson.value ?? {}
  const squares = (of?.models ?? []).map((one) => t(one.uncut ? 'runSheet.sheets' : 'runSheet.squares', {
    n: one.sets, side: one.side, spares: one.spares, title: one.title,
    from: of?.takes.map((take) => take.name).join(', ') ?? '',
  }, one.spares))
  const things = (setting?.materials ?? []).filter((one) => one.chosen).map((one) => one.name)
  return [...(of ? squares : [t('runSheet.noPaper')]), ...things, ...(setting?.policies.says ?? []).slice(0, 2)]
})
/** Where the model can rest, should time run short: what the forecast says, else the last place to rest. */
const short = computed(() => {
  const { steps } = programme
  const until = forecast.data.value?.now.until
  const rests = steps.value.filter((one, i) => (one.checkpoint || one.resting) && i + 1 < steps.value.length)
  const one = steps.value[(until ?? 0) - 1] ?? rests.at(-1)
  return one ? t('runSheet.short', { n: one.number, look: one.look[0] ?? '' }) : ''
})
const last = computed(() => pages.value.length - 1)
const print = () => window.print()
</script>

<template>
  <AskState
    v-if="!lesson || programme.steps.value.length === 0"
    :error="found.error.value ?? programme.error.value"
    @again="found.refetch()" />
  <div v-else class="page">
    <div class="no-print row head">
      <h1>{{ t('runSheet.title', { model: title }) }}</h1>
      <label
        >{{ t('leaves.paper') }}
        <select v-model="paper.paper">
          <option value="a4">A4</option>
          <option value="letter">{{ t('leaves.letter') }}</option>
        </select></label
      >
      <v-btn color="primary" class="fold-button" @click="print">{{ t('paper.print') }}</v-btn>
      <RouterLink :to="{ name: 'plan', params: { id } }">{{ t('runSheet.back') }}</RouterLink>
    </div>
    <article
      v-for="(page, p) in pages"
      :key="p"
      class="leaf"
      :class="paper.paper"
      :style="{ '--rows': page.length }">
      <header v-if="p === 0">
        <h2>{{ title }}</h2>
        <p>{{ head }}</p>
        <p class="figures">
          <span v-for="one in figures" :key="one">{{ one }}</span>
        </p>
      </header>
      <table>
        <tbody>
          <tr v-for="row in page" :key="`${row.minute} ${row.key} ${row.step}`" :class="row.kind">
            <th scope="row">{{ at(row.minute) }}</th>
            <template v-if="row.kind === 'step'">
              <td class="picture">
                <FoldPicture v-if="step(row.step)" :drawing="step(row.step)!.before" :title="step(row.step)!.name" />
              </td>
              <td>
                <b>{{ row.step }} {{ step(row.step)?.name }}.</b> {{ step(row.step)?.sentence }}
                <b v-if="row.checkpoint" class="all">
                  ◆ {{ t('runSheet.all', { look: step(row.step)?.look[0] ?? '' }) }}
                </b>
              </td>
            </template>
            <td v-else colspan="2">
              <b>{{ nameOf(row) }}</b>
            </td>
            <td class="minutes">{{ row.minutes || t('runSheet.brief') }}</td>
          </tr>
        </tbody>
      </table>
      <footer v-if="p === last">
        <p>
          <b>{{ t('runSheet.ready') }}</b> {{ ready.join('; ') }}.
        </p>
        <p>
          <b>{{ t('runSheet.quick') }}</b> {{ t('runSheet.quickSays') }}
          <template v-if="short"><br /><b>{{ t('runSheet.ifShort') }}</b> {{ short }}</template>
        </p>
      </footer>
      <p v-if="pages.length > 1" class="foot">{{ title }} <span>{{ p + 1 }} / {{ pages.length }}</span></p>
    </article>
  </div>
</template>

<style scoped>
.head { gap: 22px; align-items: center; padding-bottom: 12px; flex-wrap: wrap; }
select { background: var(--paper); padding: 8px 10px; border-bottom: 2px solid var(--ink); font-weight: 650; }
.leaf {
  box-sizing: border-box; background: white; color: #17252d; box-shadow: var(--shadow); padding: 12mm;
  margin-bottom: 24px;
  font-size: 10.5pt; line-height: 1.3; position: relative; overflow: hidden; display: flex; flex-direction: column;
}
.a4 { width: 210mm; height: 296.5mm; --free: 212mm; page: sheet-a4; }
.letter { width: 215.9mm; height: 279mm; --free: 194mm; page: sheet-letter; }
header { display: grid; grid-template-columns: 1fr auto; gap: 0 8mm; border-bottom: 0.8mm solid; padding-bottom: 2mm; }
h2 { font-size: 20pt; }
.figures { grid-area: 1 / 2 / 3 / 3; text-align: right; display: grid; align-content: end; }
table { border-collapse: collapse; width: 100%; --row: clamp(7mm, calc(var(--free) / var(--rows)), 20mm); }
tr { border-bottom: 0.2mm solid #5f6f74; }
tr.step { height: var(--row); }
/* Bars are lines, so that they print without background graphics. */
tr.block { border-top: 0.5mm solid; border-bottom: 0.5mm solid; }
th, td { text-align: left; padding: 0.4mm 2mm; vertical-align: middle; }
th { width: 14mm; font-weight: 700; }
.picture { width: 26mm; padding: 0.5mm 2mm; }
.picture :deep(svg) { height: calc(var(--row) - 1.4mm); width: 22mm; }
.all { display: block; }
.minutes { width: 9mm; text-align: right; font-weight: 700; }
footer { display: grid; grid-template-columns: 1fr 1fr; gap: 8mm; padding-top: 4mm; font-size: 9.5pt; }
.foot { position: absolute; left: 12mm; right: 12mm; bottom: 4mm; font-size: 8pt; display: flex; }
.foot span { margin-left: auto; }
@media (max-width: 860px) { .leaf { zoom: 0.45; } }
@media print {
  .leaf { box-shadow: none; break-after: page; zoom: 1; margin: 0; }
  .leaf:last-child { break-after: auto; }
}
</style>

<style>
@page sheet-a4 { size: 210mm 297mm; margin: 0; }
@page sheet-letter { size: 215.9mm 279.4mm; margin: 0; }
</style>
