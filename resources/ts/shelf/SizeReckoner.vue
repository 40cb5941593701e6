<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ModelSummary } from '../api/client'
import { cubic, decimal, fromDecimal, useMeasure } from '../parts/measure'

/**
 * From the sheet to the model and back: any of the numbers may be typed. Sizes grow with the side, volume with its
 * cube.
 */
const props = defineProps<{ summary: ModelSummary }>()
const { t } = useI18n()
const { unit, say } = useMeasure()
const side = ref(150)
const m = computed(() => props.summary.measures)
const widthPer = computed(() => m.value['width'] ?? props.summary.width_per_side)
const width = computed({
  get: () => decimal(side.value * widthPer.value, unit.value),
  set: (w: number) => set(fromDecimal(w, unit.value) / widthPer.value),
})
const volume = computed({
  get: () => Math.round((side.value ** 3 * (m.value['volume'] ?? 0)) / cubic(unit.value).mm3),
  set: (v: number) => set(((v * cubic(unit.value).mm3) / (m.value['volume'] ?? 1)) ** (1 / 3)),
})
/** Sheets of 10 mm to 2 m are folded; other numbers are slips of the keyboard and change nothing. */
function set(mm: number) {
  if (Number.isFinite(mm) && mm >= 10 && mm <= 2000) side.value = unit.value === 'in' ? mm : Math.round(mm)
}
const typed = computed({
  get: () => decimal(side.value, unit.value),
  set: (value: number | string) => set(fromDecimal(value, unit.value)),
})
const mm = (per: number | undefined) => Math.round(side.value * (per ?? 0))
/** The longer side of a sheet with the proportion given. */
const long = (short: number, ratio: number) => Math.round(short * Math.max(ratio, 1 / ratio))
</script>

<template>
  <div class="stack">
    <h2>{{ t('shelf.calc') }}</h2>
    <p class="answer">
      <template v-if="m['height'] !== undefined"
        >{{ t('shelf.form', { base: say(mm(m['width']), mm(m['depth'])), h: say(mm(m['height'])) })
        }}<template v-if="m['volume'] !== undefined"
          >, {{ t('shelf.volume', { n: volume, unit: cubic(unit).name }) }}</template
        ></template
      >
      <template v-else>{{
        t('shelf.flat', { size: say(mm(summary.width_per_side), mm(summary.height_per_side)) })
      }}</template>
    </p>
    <div class="row">
      <v-text-field
        v-model.lazy="typed"
        class="number"
        type="number"
        min="0"
        step="any"
        :label="t('shelf.side', { unit })" />
      <v-text-field
        v-model.number="width"
        class="number"
        type="number"
        min="0"
        step="any"
        :label="t('shelf.want', { unit })" />
      <v-text-field
        v-if="m['volume'] !== undefined"
        v-model.number="volume"
        class="number"
        type="number"
        min="1"
        :label="t('shelf.wantVolume', { unit: cubic(unit).name })" />
    </div>
    <p class="quiet">
      {{ t('shelf.sheetOf', { size: say(side, long(side, summary.ratio)) })
      }}<span v-for="part in summary.parts" :key="part.title"
        >,
        {{
          t('shelf.part', {
            title: part.title,
            size: say(Math.round(side * part.scale), long(side * part.scale, part.ratio)),
          })
        }}</span
      >
    </p>
  </div>
</template>

<style scoped>
.answer { font-family: var(--head); font-size: 1.5rem; font-weight: 700; }
.number { flex: 1 1 150px; max-width: 240px; }
</style>
