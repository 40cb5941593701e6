<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { columnsOf, tablesOf } from './seating'
import type { Seat } from './useSeats'

/**
 * Seats as sheets of paper, by table, where they are in the room; they never move. White means along, dashed not yet,
 * amber help, a turned corner looked at, struck out away. A tap goes on to the next of these, press and hold opens all
 * about the learner.
 */
const props = defineProps<{ seats: Seat[]; at: number; table: number; close: boolean }>()
const emit = defineEmits<{ tap: [learner: number]; hold: [learner: number]; table: [learners: number[]] }>()
const { t } = useI18n()
const HOLD_MS = 450
const tables = computed(() => tablesOf(props.seats.map((seat, i) => ({ ...seat, place: i + 1 })), props.table))
const columns = computed(() => columnsOf(props.table))
const named = computed(() => props.table > 1 && tables.value.length > 1)

let held: ReturnType<typeof setTimeout> | undefined
let opened = false
function press(learner: number) {
  opened = false
  held = setTimeout(() => {
    opened = true
    emit('hold', learner)
  }, HOLD_MS)
}
const letGo = () => { clearTimeout(held) }
function tap(learner: number) {
  letGo()
  if (!opened) emit('tap', learner)
  opened = false
}
function said({ state, help, behind, done }: Seat) {
  if (state === 'help') return help ? t('stage.helpMin', { n: help }) : t('stage.help')
  if (state === 'away') return t('stage.away')
  if (state === 'not-yet') return behind === props.at ? t('stage.notYet') : t('stage.stillOn', { n: behind })
  if (props.close && state === 'along' && done > 0) return t('stage.at', { n: done + 1 })
  return ''
}
const spoken = (seat: Seat) =>
  [seat.name, said(seat), seat.state === 'looked' ? t('stage.looked') : ''].filter(Boolean).join(', ')
</script>

<template>
  <div class="seats" :style="{ '--columns': columns, '--rows': Math.ceil(table / columns) }">
    <section v-for="one in tables" :key="one.number" :aria-label="t('stage.table', { n: one.number })">
      <button
        v-if="named"
        type="button"
        class="table"
        :disabled="at < 1"
        :title="t('stage.tableHas', { n: one.number })"
        :aria-label="t('stage.tableHas', { n: one.number })"
        @click="$emit('table', one.seats.map((seat) => seat.id))">
        <span>{{ t('stage.table', { n: one.number }) }}</span>
      </button>
      <ul class="list">
        <li v-for="seat in one.seats" :key="seat.id">
          <button
            type="button"
            :data-seat="seat.place"
            :class="[seat.state, { done: seat.state === 'looked', long: seat.name.length > 9 }]"
            :aria-label="spoken(seat)"
            @pointerdown="press(seat.id)"
            @pointerleave="letGo"
            @pointercancel="letGo"
            @contextmenu.prevent="$emit('hold', seat.id)"
            @keydown.i.prevent.stop="$emit('hold', seat.id)"
            @click="tap(seat.id)">
            <b>{{ seat.name }}</b><span>{{ said(seat) }}</span>
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.seats { display: grid; gap: 6px; align-content: start; overflow: auto; min-height: 0; }
section { display: flex; gap: 4px; }
ul { flex: 1; display: grid; grid-template-columns: repeat(var(--columns), minmax(0, 1fr)); gap: 4px; }
.table { width: 24px; border-right: 2px solid var(--ink-2); display: grid; place-items: center; color: var(--ink-2); }
.table span { writing-mode: vertical-rl; transform: rotate(180deg); font-size: 0.72rem; white-space: nowrap; }
li button {
  width: 100%; height: var(--seat, 48px); padding: 4px 6px; text-align: left; background: var(--paper);
  box-shadow: var(--shadow); display: grid; align-content: start; position: relative; overflow: hidden;
  touch-action: manipulation; user-select: none; border: 2px solid transparent;
}
b { font-size: 1rem; line-height: 1.1; overflow-wrap: anywhere; }
.long b { font-size: 0.8rem; line-height: 1; }
li span { font-size: 0.74rem; line-height: 1.15; color: var(--ink-2); white-space: nowrap; }
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
@media (max-width: 1000px) {
  ul { grid-template-columns: repeat(calc(var(--columns) * var(--rows)), minmax(0, 1fr)); }
}
@media (max-width: 640px) { ul { grid-template-columns: repeat(3, minmax(0, 1fr)); } .seats { --seat: 52px; } }
@media (forced-colors: active) {
  .not-yet { border: 3px dashed; }
  .help { border: 4px double; }
  .looked { border-right: 8px solid; }
  .away { border: 0; }
}
</style>
