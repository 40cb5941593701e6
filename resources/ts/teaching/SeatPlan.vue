<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import SeatButton from './SeatButton.vue'
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
const tables = computed(() => tablesOf(props.seats.map((seat, i) => ({ ...seat, place: i + 1 })), props.table))
const columns = computed(() => columnsOf(props.table))
const named = computed(() => props.table > 1 && tables.value.length > 1)

const tap = (learner: number) => { emit('tap', learner) }
const hold = (learner: number) => { emit('hold', learner) }
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
          <SeatButton
            :id="seat.id"
            :name="seat.name"
            :place="seat.place"
            :state="seat.state"
            :says="said(seat)"
            :spoken="spoken(seat)"
            @tap="tap"
            @hold="hold" />
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
@media (max-width: 1000px) {
  ul { grid-template-columns: repeat(calc(var(--columns) * var(--rows)), minmax(0, 1fr)); }
}
@media (max-width: 640px) { ul { grid-template-columns: repeat(3, minmax(0, 1fr)); } .seats { --seat: 52px; } }
</style>
