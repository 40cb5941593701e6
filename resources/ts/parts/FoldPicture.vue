<script setup lang="ts">
import { computed } from 'vue'
import type { Scene } from '../api/client'
import signs from '../../../core/Diagram/signs.json'

/**
 * Draws a scene from the core. Line styles are those of printed folding diagrams; colour never carries meaning alone.
 */
const props = withDefaults(defineProps<{ scene: Scene; title: string; front?: string; back?: string }>(), {
  front: '#0E6E7C',
  back: '#FDFCF8',
})

type At = number[]
const left = computed(() => props.scene.frame[0] ?? 0)
const bottom = computed(() => props.scene.frame[1] ?? 0)
const width = computed(() => props.scene.frame[2] ?? 1)
const height = computed(() => props.scene.frame[3] ?? 1)
const unit = computed(() => Math.max(width.value, height.value) / 100)
const box = computed(() => `${left.value} ${-bottom.value - height.value} ${width.value} ${height.value}`)
const x = (p: At) => p[0] ?? 0
const y = (p: At) => -(p[1] ?? 0)
const points = (list: At[]) => list.map((p) => `${x(p)},${y(p)}`).join(' ')
const widths = { raw: 0.5, folded: 0.8, crease: 0.25 }
const dashes = computed(() => ({ valley: [3.2, 2], mountain: [3.6, 1.4, 0.6, 1.4, 0.6, 1.4] }))
const dash = (kind: 'valley' | 'mountain' | 'cut') =>
  kind === 'cut' ? undefined : dashes.value[kind].map((d) => d * unit.value).join(' ')
const signOf = (name: string) => (signs as Record<string, { path: string; tip: string } | undefined>)[name]

/** An existing crease stops short of the edge. */
function ends(line: { kind: string; from: At; to: At }) {
  const length = Math.hypot(x(line.to) - x(line.from), y(line.to) - y(line.from))
  const cut = line.kind === 'crease' && length > 0 ? Math.min(0.3, (2 * unit.value) / length) : 0
  const at = (s: number) => [
    x(line.from) + (x(line.to) - x(line.from)) * s,
    y(line.from) + (y(line.to) - y(line.from)) * s,
  ]
  const [a, b] = [at(cut), at(1 - cut)]
  return { x1: a[0], y1: a[1], x2: b[0], y2: b[1] }
}

function head(came: At, tip: At) {
  const length = Math.max(1e-9, Math.hypot(x(tip) - x(came), y(tip) - y(came)))
  const [ux, uy] = [(x(tip) - x(came)) / length, (y(tip) - y(came)) / length]
  const s = 4 * unit.value
  return [
    [0, 0],
    [1, 1],
    [1, -1],
  ]
    .map(
      ([back = 0, side = 0]) =>
        `${x(tip) - s * back * ux - 0.45 * s * side * uy},${y(tip) - s * back * uy + 0.45 * s * side * ux}`,
    )
    .join(' ')
}
</script>

<template>
  <svg :viewBox="box" role="img" :aria-label="title" class="fold">
    <template v-for="(item, i) in scene.items" :key="i">
      <polygon
        v-if="item.face"
        :points="points(item.face.points)"
        :fill="item.face.moving ? '#F4B31A' : item.face.side === 'front' ? front : back"
        :fill-opacity="item.face.moving ? 0.35 : 1" />
      <template v-else-if="item.line">
        <line
          v-if="item.line.kind === 'crease'"
          v-bind="ends(item.line)"
          stroke="#FDFCF8"
          stroke-linecap="round"
          :stroke-width="0.8 * unit" />
        <line
          v-bind="ends(item.line)"
          stroke="#17252D"
          stroke-linecap="round"
          :stroke-width="widths[item.line.kind] * unit" />
      </template>
    </template>
    <g v-for="(fold, i) in scene.folds" :key="`f${i}`" stroke-linecap="round">
      <line v-bind="ends(fold)" stroke="#FDFCF8" :stroke-width="1.8 * unit" />
      <line v-bind="ends(fold)" stroke="#17252D" :stroke-width="0.9 * unit" :stroke-dasharray="dash(fold.kind)" />
    </g>
    <g v-for="(arrow, i) in scene.arrows" :key="`a${i}`">
      <path
        v-for="(stroke, j) in [
          { c: '#FDFCF8', w: 2.2 },
          { c: '#17252D', w: 1 },
        ]"
        :key="j"
        fill="none"
        :stroke="stroke.c"
        :stroke-width="stroke.w * unit"
        :d="`M${x(arrow.from)} ${y(arrow.from)} Q${x(arrow.bend)} ${y(arrow.bend)} ${x(arrow.to)} ${y(arrow.to)}`" />
      <polygon
        :points="head(arrow.bend, arrow.to)"
        :fill="arrow.kind === 'behind' || arrow.kind === 'push' ? '#FDFCF8' : '#17252D'"
        stroke="#17252D"
        :stroke-width="0.5 * unit" />
      <circle
        v-if="arrow.kind === 'pull'"
        :cx="x(arrow.from)"
        :cy="y(arrow.from)"
        :r="1.8 * unit"
        fill="#FDFCF8"
        stroke="#17252D"
        :stroke-width="0.8 * unit" />
      <polygon v-if="arrow.kind === 'fold-unfold'" :points="head(arrow.bend, arrow.from)" fill="#17252D" />
    </g>
    <circle
      v-for="(dot, i) in scene.dots"
      :key="`d${i}`"
      :cx="x(dot)"
      :cy="y(dot)"
      :r="1.3 * unit"
      fill="#F4B31A"
      stroke="#17252D"
      :stroke-width="0.35 * unit" />
    <g
      v-for="(sign, i) in scene.signs"
      :key="sign"
      :transform="`translate(${left + (9 + 18 * i) * unit} ${-bottom - 9 * unit}) scale(${1.3 * unit})`">
      <path :d="signOf(sign)?.path" fill="none" stroke="#17252D" stroke-width="0.9" />
      <polygon :points="signOf(sign)?.tip" fill="#17252D" />
    </g>
  </svg>
</template>

<style scoped>
.fold { display: block; width: 100%; height: 100%; }
</style>
