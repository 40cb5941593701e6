<script setup lang="ts">
import { computed } from 'vue'
import { useMeasure } from './measure'

/** A sheet with its squares, to scale; the rest stays paper-coloured. Lengths in mm, y from the lower edge. */
const props = defineProps<{ width: number; height: number; squares: { x_mm: number; y_mm: number; side_mm: number }[]; title: string; byDiagonal: boolean; strip: string }>()
const m = 12
const unit = computed(() => Math.max(props.width, props.height) / 100)
const box = computed(() => `${-m} ${-m} ${props.width + 2 * m} ${props.height + 2 * m + 6 * unit.value}`)
const { plain, say } = useMeasure()
</script>

<template>
  <svg :viewBox="box" role="img" :aria-label="title" class="drawing">
    <rect x="0" y="0" :width="width" :height="height" fill="#FDFCF8" stroke="#17252D" :stroke-width="0.4 * unit" />
    <g v-for="(square, i) in squares" :key="i">
      <rect :x="square.x_mm" :y="square.y_mm" :width="square.side_mm" :height="square.side_mm" :fill="i % 2 === 0 ? '#0E6E7C' : '#2F8490'" stroke="#17252D" :stroke-width="0.5 * unit" :stroke-dasharray="`${2.5 * unit} ${1.5 * unit}`" />
      <text :x="square.x_mm + square.side_mm / (byDiagonal ? 3 : 2)" :y="square.y_mm + square.side_mm / (byDiagonal ? 3 : 2)" text-anchor="middle" dominant-baseline="middle" :font-size="Math.min(6 * unit, square.side_mm / 4)" font-weight="700" fill="#fff">{{ plain(square.side_mm) }}</text>
    </g>
    <line v-if="byDiagonal" :x1="squares[0]?.side_mm ?? 0" y1="0" x2="0" :y2="squares[0]?.side_mm ?? 0" stroke="#FDFCF8" :stroke-width="0.6 * unit" :stroke-dasharray="`${3 * unit} ${2 * unit}`" />
    <text v-if="byDiagonal && height - width > 20" :x="width / 2" :y="(width + height) / 2" text-anchor="middle" dominant-baseline="middle" :font-size="4.2 * unit" fill="#4A5B62">{{ strip }} {{ plain(height - width) }}</text>
    <text :x="width / 2" :y="height + 7 * unit" text-anchor="middle" :font-size="4.6 * unit" fill="#17252D">{{ say(width, height) }}</text>
  </svg>
</template>

<style scoped>
.drawing { width: 100%; max-height: 460px; display: block; }
</style>
