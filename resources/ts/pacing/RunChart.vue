<script setup lang="ts">
import { computed } from 'vue'
import type { ForecastData, PlanData } from '../api/client'
import { clock } from '../parts/clock'

/**
 * The run sheet over the clock: steps as stairs, checkpoints as diamonds, the bell as a line; and where the room is
 * likely to be: a band from the slowest to the quickest tenth.
 */
const props = defineProps<{
  plan: PlanData
  startsAt: string
  title: string
  bell: string
  wave?: ForecastData['now']['wave']
  /** of the plan beside it */
  other?: ForecastData['now']['wave']
}>()
const W = 800
const H = 300
const total = computed(() =>
  Math.max(
    props.plan.slot_minutes * 60,
    props.plan.needed_minutes * 60,
    props.wave?.at(-1)?.t ?? 0,
    props.other?.at(-1)?.t ?? 0,
  ),
)
const steps = computed(() => Math.max(1, ...props.plan.lines.map((l) => l.step ?? 0)))
const x = (s: number) => 44 + (s / total.value) * (W - 100)
const y = (step: number) => H - 40 - (step / steps.value) * (H - 80)
const path = computed(() => {
  let level = 0
  return props.plan.lines
    .map((line, i) => {
      const from = `${i === 0 ? 'M' : 'L'}${x(line.start)} ${y(level)}`
      if (line.kind === 'step') level = line.step ?? level
      return `${from} L${x(line.start + line.seconds)} ${y(level)}`
    })
    .join(' ')
})
type Band = 'slowest' | 'middle' | 'fastest'
type Wave = ForecastData['now']['wave']
const edge = (wave: Wave, band: Band) => wave.map((w) => `${x(w.t)} ${y(w[band])}`)
const bandOf = (wave: Wave) => `M${[...edge(wave, 'fastest'), ...edge(wave, 'slowest').reverse()].join(' L')} Z`
const middle = computed(() => `M${edge(props.wave ?? [], 'middle').join(' L')}`)
const end = computed(() => {
  const last = props.plan.lines[props.plan.lines.length - 1]
  return last ? last.start + last.seconds : 0
})
const ticks = computed(() => {
  const every = total.value > 4500 ? 900 : 600
  return Array.from({ length: Math.floor(total.value / every) + 1 }, (_, i) => i * every)
})
const diamonds = computed(() =>
  props.plan.lines
    .filter((l) => l.kind === 'checkpoint')
    .map((l) => ({ cx: x(l.start + l.seconds / 2), cy: y(l.step ?? 0) })),
)
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="title" class="chart">
    <g v-for="n in steps" :key="n">
      <line :x1="44" :x2="W - 56" :y1="y(n)" :y2="y(n)" stroke="var(--row)" />
      <text x="30" :y="y(n) + 5" text-anchor="end" font-size="14">{{ n }}</text>
    </g>
    <text v-for="s in ticks" :key="s" :x="x(s)" :y="H - 12" text-anchor="middle" font-size="14">
      {{ clock(startsAt, s) }}
    </text>
    <template v-if="wave">
      <path class="band" :d="bandOf(wave)" fill="var(--tide-pale)" fill-opacity="0.55" stroke="var(--tide)" />
      <path :d="middle" fill="none" stroke="var(--tide)" stroke-width="2" stroke-dasharray="7 5" />
    </template>
    <path
      v-if="other"
      class="other"
      :d="bandOf(other)"
      fill="var(--now)"
      fill-opacity="0.3"
      stroke="var(--later)"
      stroke-dasharray="3 3" />
    <path
      v-if="!wave"
      :d="`${path} L${x(end)} ${y(0)} L${x(0)} ${y(0)} Z`"
      fill="var(--tide-pale)"
      fill-opacity="0.3" />
    <path :d="path" fill="none" stroke="var(--ink)" stroke-width="3" stroke-linejoin="round" />
    <path
      v-for="(d, i) in diamonds"
      :key="i"
      :d="`M${d.cx - 8} ${d.cy}l8 -8 8 8 -8 8z`"
      fill="var(--now)"
      stroke="var(--ink)" />
    <line
      :x1="x(plan.slot_minutes * 60)"
      :x2="x(plan.slot_minutes * 60)"
      y1="20"
      :y2="H - 36"
      stroke="var(--warn)"
      stroke-width="3" />
    <text :x="x(plan.slot_minutes * 60) + 6" y="32" font-size="14" font-weight="700" class="end">{{ bell }}</text>
  </svg>
</template>

<style scoped>
.chart { width: 100%; display: block; }
.chart text { fill: var(--ink); }
.chart .end { fill: var(--warn); }
</style>
