<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { StockData } from '../api/client'

/**
 * The paper of the cupboard laid out on the table, all to one scale; a pile is taken by pressing it, with so many
 * sheets.
 */
const props = defineProps<{ stocks: StockData[]; taken: Record<number, { on: boolean; count: string }> }>()
defineEmits<{ take: [id: number, on: boolean]; count: [id: number, count: string] }>()
const { t } = useI18n()
const most = computed(() => Math.max(1, ...props.stocks.map((s) => Math.max(s.width_mm, s.height_mm))))
const scale = (mm: number) => (mm / most.value) * 112
</script>

<template>
  <ul class="list piles">
    <li v-for="s in stocks" :key="s.id" :class="{ on: taken[s.id]?.on }">
      <label>
        <span class="place"
          ><svg :width="scale(s.width_mm) + 8" :height="scale(s.height_mm) + 8" aria-hidden="true">
            <rect x="7" y="1" :width="scale(s.width_mm)" :height="scale(s.height_mm)" class="under" />
            <rect x="4" y="4" :width="scale(s.width_mm)" :height="scale(s.height_mm)" class="under" />
            <rect x="1" y="7" :width="scale(s.width_mm)" :height="scale(s.height_mm)" class="top" /></svg
        ></span>
        <span class="name"
          ><input
            type="checkbox"
            :checked="taken[s.id]?.on"
            @change="$emit('take', s.id, ($event.target as HTMLInputElement).checked)" />
          <b>{{ s.name }}</b></span
        >
        <small
          >{{ s.size }}<template v-if="s.scrap">, {{ t('cupboard.scrapSign') }}</template></small
        >
      </label>
      <input
        v-if="taken[s.id]?.on"
        class="count"
        inputmode="numeric"
        :value="taken[s.id]?.count"
        :placeholder="t('cupboard.plenty')"
        :aria-label="t('bench.sheetsOf', { name: s.name })"
        @input="$emit('count', s.id, ($event.target as HTMLInputElement).value)" />
      <small v-else class="quiet">{{ s.count ?? t('cupboard.plenty') }}</small>
    </li>
  </ul>
</template>

<style scoped>
.piles { display: grid; grid-template-columns: repeat(auto-fill, minmax(124px, 1fr)); gap: 22px 12px; }
li { display: grid; gap: 6px; align-content: start; }
label { display: grid; gap: 4px; cursor: pointer; }
.place { height: 122px; display: grid; align-items: end; }
svg { overflow: visible; filter: drop-shadow(0 3px 4px rgb(23 37 45 / 0.2)); }
.top { fill: var(--paper); stroke: var(--ink); }
.under { fill: var(--paper-shade); stroke: var(--ink-2); stroke-width: 0.6; }
.on .top { fill: var(--tide); }
.on .under { fill: var(--tide-pale); }
.name { display: flex; gap: 10px; align-items: center; min-height: 32px; }
.name input { flex: none; width: 20px; height: 20px; accent-color: var(--tide-deep); }
small { font-size: 0.9rem; }
.count {
  font: inherit; width: 96px; min-height: 44px; border: 1px solid var(--ink-2); padding: 0 10px;
  background: var(--paper); text-align: right;
}
</style>
