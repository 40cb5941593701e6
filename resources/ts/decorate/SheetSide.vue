<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SheetMapData } from '../api/client'
import { pickByKeys } from '../shelf/pickByKeys'
import type { Side } from './sheetMap'

/** One side of the flat sheet as it lies before you: what of it will be seen, and which way is up there. */
const props = defineProps<{
  map: SheetMapData
  side: Side
  colour: string
  /** whether a place of it can be picked */
  picks?: boolean
  /** a place that was picked, mm on the sheet seen from its front */
  picked?: readonly [number, number] | undefined
}>()
const emit = defineEmits<{ pick: [at: readonly [number, number]] }>()
const { t } = useI18n()
const parts = computed(() => props.map.parts.filter((part) => part.side === props.side))
const lines = computed(() => props.map.outlines.filter((line) => line.side === props.side))
/** The back is seen with left and right exchanged; y goes down on a screen. */
const at = (p: readonly number[]): [number, number] => [
  props.side === 'front' ? (p[0] ?? 0) : props.map.width - (p[0] ?? 0),
  props.map.height - (p[1] ?? 0),
]
const points = (polygon: number[][]) => polygon.map((p) => at(p).join(',')).join(' ')
/** An arrow in the largest piece of each group: up on the model. */
const arrows = computed(() => {
  const largest = new Map<number, { area: number; middle: [number, number]; up: [number, number]; view: string }>()
  for (const part of parts.value) {
    const shown = part.sheet.map(at)
    const area = Math.abs(
      shown.reduce((sum, p, i) => {
        const q = shown[(i + 1) % shown.length] ?? p
        return sum + p[0] * q[1] - p[1] * q[0]
      }, 0) / 2,
    )
    if (area <= (largest.get(part.group)?.area ?? 0)) continue
    const middle: [number, number] = [
      shown.reduce((sum, p) => sum + p[0], 0) / shown.length,
      shown.reduce((sum, p) => sum + p[1], 0) / shown.length,
    ]
    const [x, y] = [part.up[0] ?? 0, part.up[1] ?? 0]
    largest.set(part.group, { area, middle, up: [props.side === 'front' ? x : -x, -y], view: part.view })
  }
  return [...largest.values()].map(({ area, middle: [x, y], up: [u, v], view }) => {
    const long = Math.min(14, Math.sqrt(area) * 0.3)
    const [hx, hy] = [x + u * long, y + v * long]
    const head = long * 0.45
    return {
      view,
      path: `M${x - u * long} ${y - v * long}L${hx} ${hy}M${hx + (-u - v) * head * 0.7} ${hy + (-v + u) * head * 0.7}`
        + `L${hx} ${hy}L${hx + (-u + v) * head * 0.7} ${hy + (-v - u) * head * 0.7}`,
    }
  })
})
const mark = computed(() => (props.picked ? at(props.picked) : undefined))
function keyed(event: KeyboardEvent) {
  const { width, height } = props.map
  const to = pickByKeys(event, props.picked, { left: 0, bottom: 0, width, height }, props.side === 'back')
  if (props.picks && to) emit('pick', to)
}
function pick(event: MouseEvent) {
  const svg = event.currentTarget as SVGSVGElement
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()?.inverse())
  emit('pick', [props.side === 'front' ? p.x : props.map.width - p.x, props.map.height - p.y])
}
</script>

<template>
  <svg
    :viewBox="`-1 -1 ${map.width + 2} ${map.height + 2}`"
    role="img"
    :aria-label="t(picks ? 'decorate.pickOn' : 'decorate.shown', { what: t(`decorate.${side}`) })"
    :tabindex="picks ? 0 : undefined"
    fill="none"
    stroke="var(--ink)"
    @keydown="keyed"
    @click="pick">
    <rect :width="map.width" :height="map.height" :fill="colour" fill-opacity="0.12" stroke-width="0.6" />
    <polygon
      v-for="(part, i) in parts"
      :key="i"
      :points="points(part.sheet)"
      :class="part.view"
      :fill="colour"
      stroke="none" />
    <path
      v-for="(line, i) in lines"
      :key="`l${i}`"
      :d="`M${at(line.from).join(' ')}L${at(line.to).join(' ')}`"
      stroke-width="0.7"
      :stroke-dasharray="line.view === 'behind' ? '2.4 1.8' : undefined" />
    <path v-for="(arrow, i) in arrows" :key="`a${i}`" :d="arrow.path" class="arrow" stroke-width="1" />
    <circle v-if="mark" :cx="mark[0]" :cy="mark[1]" r="2.6" fill="var(--now)" stroke-width="0.8" />
  </svg>
</template>

<style scoped>
svg { display: block; width: 100%; height: 100%; cursor: crosshair; }
svg:focus-visible { outline: 3px solid var(--now); outline-offset: 3px; }
.front { fill-opacity: 0.75; }
.behind { fill-opacity: 0.34; }
.arrow { stroke: var(--ink); paint-order: stroke; filter: drop-shadow(0 0 1px white) drop-shadow(0 0 1px white); }
</style>
