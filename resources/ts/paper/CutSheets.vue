<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { CutPatternData } from '../api/client'
import CutDrawing from './CutDrawing.vue'
import KeepOffcut from './KeepOffcut.vue'

/** Every way a sheet is cut: to scale, with its cuts in order, and what is left of it. */
const props = defineProps<{ patterns: CutPatternData[]; stocks: { stock: number; name: string }[] }>()
const { t } = useI18n()
const stockOf = (pattern: CutPatternData) => props.stocks.find((s) => s.name === pattern.stock)?.stock
</script>

<template>
  <div class="ways">
    <figure v-for="(pattern, i) in patterns" :key="i">
      <figcaption>
        <b>{{
          pattern.times === 1
            ? t('paper.alikeOne', { name: pattern.stock })
            : t('paper.alike', { n: pattern.times, name: pattern.stock })
        }}</b>
      </figcaption>
      <CutDrawing
        :width="pattern.width_mm"
        :height="pattern.height_mm"
        :size="pattern.size"
        :squares="pattern.squares"
        :lines="pattern.lines"
        :title="t('paper.drawing', { name: pattern.stock })" />
      <div>
        <ol class="list order">
          <li v-for="line in pattern.order" :key="line">{{ line }}</li>
        </ol>
        <template v-for="(offcut, k) in pattern.offcuts" :key="k"
          ><KeepOffcut
            v-if="stockOf(pattern) !== undefined"
            :stock="stockOf(pattern) ?? 0"
            :count="pattern.times * offcut.count"
            :size="offcut.size"
            :width="offcut.width_mm"
            :height="offcut.height_mm"
        /></template>
      </div>
    </figure>
  </div>
</template>

<style scoped>
.ways { display: grid; gap: 22px; }
figure {
  margin: 0; display: grid; grid-template-columns: minmax(150px, 240px) 1fr; gap: 4px 22px; align-items: start;
  break-inside: avoid;
}
figcaption { grid-column: 1 / -1; font-family: var(--head); font-size: 1.1rem; }
figure :deep(.drawing) { max-height: 330px; }
.order { display: grid; gap: 6px; padding-top: 10px; }
@media (max-width: 640px) { figure { grid-template-columns: 1fr; } }
</style>
