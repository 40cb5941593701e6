<script setup lang="ts">
import { computed } from 'vue'

/**
 * A sheet with its squares and the numbered cuts, to scale; the rest stays paper-coloured. Lengths in mm, y from the
 * lower edge.
 */
const props = defineProps<{
  width: number
  height: number
  size: string
  squares: { x_mm: number; y_mm: number; side_mm: number; side: string }[]
  lines?: { n: number; from: [number, number] | number[]; to: [number, number] | number[] }[]
  title: string
  byDiagonal?: boolean
  strip?: string
}>()
const m = 12
const unit = computed(() => Math.max(props.width, props.height) / 100)
const box = computed(() => {
  const rim = m + 4 * unit.value
  return [-rim, -rim, props.width + 2 * rim, props.height + 2 * rim + 4 * unit.value].join(' ')
})
const up = (y: number) => props.height - y
/**
 * The number of a cut stands at the end where it begins; where there are very many, only at the first of those made
 * together.
 */
const MANY = 40
/** Side of the box around a number: never so large that it hides the squares. */
const label = computed(() => Math.min(5.2 * unit.value, 0.6 * Math.min(...props.squares.map((s) => s.side_mm))))
const cuts = computed(() =>
  (props.lines ?? []).map(({ n, from, to }, i, all) => ({
    n,
    named: all.length <= MANY || all.findIndex((cut) => cut.n === n) === i,
    x1: from[0] ?? 0,
    y1: up(from[1] ?? 0),
    x2: to[0] ?? 0,
    y2: up(to[1] ?? 0),
  })),
)
</script>

<template>
  <svg :viewBox="box" role="img" :aria-label="title" class="drawing">
    <rect
      x="0"
      y="0"
      :width="width"
      :height="height"
      fill="var(--paper)"
      stroke="var(--ink)"
      :stroke-width="0.4 * unit" />
    <g v-for="(square, i) in squares" :key="i">
      <rect
        :x="square.x_mm"
        :y="up(square.y_mm + square.side_mm)"
        :width="square.side_mm"
        :height="square.side_mm"
        :fill="i % 2 === 0 ? 'var(--tide)' : 'var(--tide-2)'" />
      <text
        :x="square.x_mm + square.side_mm / (byDiagonal ? 1.5 : 2)"
        :y="up(square.y_mm + square.side_mm / (byDiagonal ? 3 : 2))"
        text-anchor="middle"
        dominant-baseline="middle"
        :font-size="Math.min(6 * unit, square.side_mm / 4)"
        font-weight="700"
        fill="#fff">
        {{ square.side }}
      </text>
    </g>
    <g v-for="(cut, i) in cuts" :key="`c${i}`">
      <line
        :x1="cut.x1"
        :y1="cut.y1"
        :x2="cut.x2"
        :y2="cut.y2"
        stroke="var(--ink)"
        :stroke-width="0.6 * unit"
        :stroke-dasharray="`${3 * unit} ${1.6 * unit}`" />
      <template v-if="cut.named">
        <rect
          :x="cut.x1 - label / 2"
          :y="cut.y1 - label / 2"
          :width="label"
          :height="label"
          fill="var(--paper)"
          stroke="var(--ink)"
          :stroke-width="0.4 * unit" />
        <text
          :x="cut.x1"
          :y="cut.y1"
          text-anchor="middle"
          dominant-baseline="central"
          :font-size="0.8 * label"
          font-weight="700"
          fill="var(--ink)">
          {{ cut.n }}
        </text>
      </template>
    </g>
    <line
      v-if="byDiagonal"
      x1="0"
      :y1="up(squares[0]?.side_mm ?? 0)"
      :x2="squares[0]?.side_mm ?? 0"
      :y2="up(0)"
      stroke="var(--paper)"
      :stroke-width="0.6 * unit"
      :stroke-dasharray="`${3 * unit} ${2 * unit}`" />
    <text
      v-if="byDiagonal && height - width > 20"
      :x="width / 2"
      :y="(height - width) / 2"
      text-anchor="middle"
      dominant-baseline="middle"
      :font-size="4.2 * unit"
      fill="var(--ink-2)">
      {{ strip }}
    </text>
    <text :x="width / 2" :y="height + 7 * unit" text-anchor="middle" :font-size="4.6 * unit" fill="var(--ink)">
      {{ size }}
    </text>
  </svg>
</template>

<style scoped>
.drawing { width: 100%; max-height: 460px; display: block; }
</style>
