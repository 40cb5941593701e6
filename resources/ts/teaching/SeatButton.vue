<script setup lang="ts">
import type { SeatState } from './useSeats'

/** One seat. Painted anew only when something of it has changed: most of a room has not, from step to step. */
const props = defineProps<{ id: number; name: string; place: number; state: SeatState; says: string; spoken: string }>()
const emit = defineEmits<{ tap: [learner: number]; hold: [learner: number] }>()
const HOLD_MS = 450

let held: ReturnType<typeof setTimeout> | undefined
let opened = false
function press() {
  opened = false
  held = setTimeout(() => {
    opened = true
    emit('hold', props.id)
  }, HOLD_MS)
}
const letGo = () => { clearTimeout(held) }
function tap() {
  letGo()
  if (!opened) emit('tap', props.id)
  opened = false
}
</script>

<template>
  <button
    type="button"
    :data-seat="place"
    :class="[state, { done: state === 'looked', long: name.length > 9 }]"
    :aria-label="spoken"
    @pointerdown="press"
    @pointerleave="letGo"
    @pointercancel="letGo"
    @contextmenu.prevent="$emit('hold', id)"
    @keydown.i.prevent.stop="$emit('hold', id)"
    @click="tap">
    <b>{{ name }}</b>{{ ' ' }}<span>{{ says }}</span>
  </button>
</template>

<style scoped>
button {
  width: 100%; height: var(--seat, 48px); padding: 4px 6px; text-align: left; background: var(--paper);
  box-shadow: var(--shadow); display: grid; align-content: start; position: relative; overflow: hidden;
  touch-action: manipulation; user-select: none; border: 2px solid transparent;
}
b { font-size: 1rem; line-height: 1.1; overflow-wrap: anywhere; }
.long b { font-size: 0.8rem; line-height: 1; }
span { font-size: 0.74rem; line-height: 1.15; color: var(--ink-2); white-space: nowrap; }
.not-yet { border: 2px dashed var(--ink); background: var(--paper-shade); box-shadow: none; }
.help {
  background: var(--now); border: 2px solid var(--ink); color: var(--on-now); --ink: var(--on-now);
  --ink-2: var(--on-now); --tide-deep: var(--on-now);
}
.help span { color: var(--ink); font-weight: 700; }
.away { background: transparent; box-shadow: none; color: var(--ink-2); }
.away b { text-decoration: line-through; }
.looked::after {
  content: ''; position: absolute; right: -2px; top: -2px; border: 9px solid; background: var(--table);
  border-color: var(--table) var(--table) var(--tide) var(--tide);
}
@media (forced-colors: active) {
  .not-yet { border: 3px dashed; }
  .help { border: 4px double; }
  .looked { border-right: 8px solid; }
  .away { border: 0; }
}
</style>
