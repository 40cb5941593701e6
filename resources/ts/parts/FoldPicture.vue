<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing } from '../api/client'
import table from '../../../core/Diagram/styles.json'

/** Prints a drawing from the core, mark by mark, with the styles of the core; nothing is worked out here. */
const props = withDefaults(
  defineProps<{
    drawing: Drawing
    /** what it shows; '' where words beside it say so already */
    title: string
    front?: string
    back?: string
    /** in grey, for a printer without colours: the coloured side is grey, and nothing is tinted */
    grey?: boolean
  }>(),
  { front: '#0E6E7C', back: '#FDFCF8' },
)

interface Style {
  fill?: string
  opacity?: number
  /** a stroke of the fill's own ink round it, so that neighbours leave no seam */
  edge?: number
  text?: number
  passes: { ink: string; width: number; dash?: number[] }[]
}
const styles: Record<string, Style | undefined> = table
const inks = computed<Record<string, string>>(() => ({
  ink: '#17252D',
  light: '#FDFCF8',
  mark: props.grey ? '#17252D' : '#F4B31A',
  front: props.grey ? '#C3CBCD' : props.front,
  back: props.grey ? '#FFFFFF' : props.back,
}))
const marks = computed(() => props.drawing.marks.filter((mark) => !props.grey || mark.style !== 'moving'))
const labels = computed(() => props.drawing.marks.filter((mark) => mark.text !== undefined))
const box = computed(() => `0 0 ${props.drawing.width} ${props.drawing.height}`)

/** Every path of the picture in the order of painting: the fill of a mark, then its strokes. */
const paths = computed(() =>
  marks.value.flatMap(({ style, path: d }) => {
    const { fill, opacity, edge, passes } = styles[style] ?? { passes: [] }
    return [
      ...(fill === undefined
        ? []
        : [{ d, fill: inks.value[fill], opacity, stroke: edge ? inks.value[fill] : undefined, 'stroke-width': edge }]),
      ...passes.map(({ ink, width, dash }) => ({
        d,
        stroke: inks.value[ink],
        'stroke-width': width,
        'stroke-dasharray': dash?.join(' '),
      })),
    ]
  }),
)
</script>

<template>
  <svg
    :viewBox="box"
    :role="title ? 'img' : undefined"
    :aria-label="title || undefined"
    :aria-hidden="title ? undefined : true"
    class="fold"
    fill="none"
    stroke-linecap="round">
    <path v-for="(path, i) in paths" :key="i" v-bind="path" />
    <text
      v-for="label in labels"
      :key="label.text"
      :x="label.at?.[0]"
      :y="label.at?.[1]"
      :font-size="styles[label.style]?.text"
      :fill="inks.ink"
      text-anchor="middle"
      dominant-baseline="central">
      {{ label.text }}
    </text>
  </svg>
</template>

<style scoped>
.fold { display: block; width: 100%; height: 100%; background: var(--mat); }
</style>
