<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SheetMapData } from '../api/client'
import { pickByKeys } from './pickByKeys'
import type { View } from '../decorate/sheetMap'

/** The finished model from one view, made of the pieces of the sheet that are seen; a press picks a place. */
const props = defineProps<{
  map: SheetMapData
  view: View
  colours: { front: string; back: string }
  picked?: readonly [number, number] | undefined
}>()
const emit = defineEmits<{ pick: [at: readonly [number, number]] }>()
const { t } = useI18n()
const parts = computed(() => props.map.parts.filter((part) => part.view === props.view))
const lines = computed(() => props.map.outlines.filter((line) => line.view === props.view))
const box = computed(() => {
  const all = parts.value.flatMap((part) => part.model)
  const [xs, ys] = [all.map((p) => p[0] ?? 0), all.map((p) => p[1] ?? 0)]
  const [left, top] = [Math.min(...xs), Math.max(...ys)]
  const bottom = Math.min(...ys)
  return { left, top, bottom, width: Math.max(...xs) - left, height: top - bottom }
})
const at = (p: readonly number[]) => [(p[0] ?? 0) - box.value.left, box.value.top - (p[1] ?? 0)] as const
const points = (polygon: number[][]) => polygon.map((p) => at(p).join(',')).join(' ')
function keyed(event: KeyboardEvent) {
  const to = pickByKeys(event, props.picked, box.value)
  if (to) emit('pick', to)
}
function pick(event: MouseEvent) {
  const svg = event.currentTarget as SVGSVGElement
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()?.inverse())
  emit('pick', [p.x + box.value.left, box.value.top - p.y])
}
</script>

<template>
  <svg
    :viewBox="`-2 -2 ${box.width + 4} ${box.height + 4}`"
    role="img"
    :aria-label="t('decorate.pickOn', { what: t(`decorate.${view}View`) })"
    tabindex="0"
    @keydown="keyed"
    @click="pick">
    <polygon
      v-for="(part, i) in parts"
      :key="i"
      :points="points(part.model)"
      :fill="colours[part.side]"
      :stroke="colours[part.side]"
      stroke-width="0.3" />
    <path
      v-for="(line, i) in lines"
      :key="`l${i}`"
      :d="`M${at(line.model_from).join(' ')}L${at(line.model_to).join(' ')}`"
      stroke="#17252D"
      stroke-width="0.7"
      stroke-linecap="round" />
    <circle
      v-if="picked"
      :cx="at(picked)[0]"
      :cy="at(picked)[1]"
      r="2.6"
      fill="#F4B31A"
      stroke="#17252D"
      stroke-width="0.8" />
  </svg>
</template>

<style scoped>
svg:focus-visible { outline: 3px solid var(--now); outline-offset: 3px; }
svg {
  display: block; width: 100%; height: 100%; cursor: crosshair;
  filter: drop-shadow(0 5px 6px rgb(23 37 45 / 0.2));
}
</style>
