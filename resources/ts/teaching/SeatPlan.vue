<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Seat } from './useSeats'

/** Seats as sheets of paper: a turned corner means this step is done. */
defineProps<{ seats: Seat[]; at: number }>()
defineEmits<{ tap: [learner: number] }>()
const { t } = useI18n()
const isDone = (seat: Seat, at: number) => at > 0 && seat.done >= at && seat.help === null && !seat.away
</script>

<template>
  <ul class="list seats" :aria-label="t('stage.seats')">
    <li v-for="seat in seats" :key="seat.id">
      <button
        type="button"
        :class="{ done: isDone(seat, at), help: seat.help !== null, away: seat.away }"
        @click="$emit('tap', seat.id)">
        <b>{{ seat.name }}</b><span
          >{{
            seat.help !== null
              ? seat.help > 0 ? t('stage.helpMin', { n: seat.help }) : t('stage.help')
              : seat.away ? t('stage.away')
              : seat.done >= at && at > 0
                ? t('stage.done', { n: seat.done })
                : seat.done > 0
                  ? t('stage.at', { n: seat.done + 1 })
                  : ''
          }}&nbsp;</span
        >
      </button>
    </li>
  </ul>
</template>

<style scoped>
.seats { display: grid; grid-template-columns: repeat(auto-fill, minmax(108px, 1fr)); gap: 8px; }
button {
  width: 100%; min-height: 62px; padding: 8px 10px; text-align: left; background: var(--paper);
  box-shadow: var(--shadow); display: grid; gap: 2px; position: relative;
}
b { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; max-width: 84px; }
span { font-size: 0.88rem; color: var(--ink-2); white-space: nowrap; }
.done {
  background: var(--tide); color: white; clip-path: polygon(0 0, calc(100% - 26px) 0, 100% 26px, 100% 100%, 0 100%);
}
.done::after {
  content: ''; position: absolute; right: 0; top: 0; border: 13px solid;
  border-color: transparent transparent var(--tide-pale) var(--tide-pale);
}
.done span { color: #e6f3f4; }
.away { background: transparent; box-shadow: none; outline: 2px dashed var(--ink-2); outline-offset: -2px; }
.help { outline: 4px solid var(--warn); outline-offset: -4px; }
.help span { color: var(--warn); font-weight: 700; }
</style>
