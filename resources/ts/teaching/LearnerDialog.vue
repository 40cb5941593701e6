<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Tip } from './rescue'
import type { Seat } from './useSeats'
import type { Said } from './useStageDeeds'

/** All that can be said of one learner, opened by press and hold. */
const props = defineProps<{
  seat: Seat
  at: number
  /** where to go back to, for who is lost */
  lost: string | null
  rescue: readonly Tip[]
  tasks: readonly Tip[]
}>()
const emit = defineEmits<{ say: [what: Said]; shut: [] }>()
const { t } = useI18n()
const words = computed<Said[]>(() => {
  if (props.seat.state === 'away') return ['came']
  if (props.at < 1) return ['away']
  return [
    'done',
    ...(props.seat.state === 'not-yet' ? [] : (['not-yet'] as const)),
    ...(props.seat.state === 'help' ? (['helped'] as const) : (['help'] as const)),
    ...(props.seat.state === 'not-yet' || props.seat.state === 'help' ? (['along'] as const) : []),
    'finished-early', 'left', 'away',
  ]
})
function say(what: Said) {
  emit('say', what)
  emit('shut')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="460" @update:model-value="$emit('shut')">
    <section class="sheet" role="dialog" :aria-label="seat.name">
      <h2>{{ seat.name }}</h2>
      <p class="quiet">{{ t('stage.reached', { n: seat.done }) }}</p>
      <ul class="list">
        <li v-for="what in words" :key="what">
          <button type="button" @click="say(what)">{{ t(`stage.say.${what}`, { n: at }) }}</button>
        </li>
      </ul>
      <template v-if="lost">
        <h3>{{ t('stage.lost') }}</h3>
        <p>{{ lost }}</p>
        <p v-for="tip in rescue" :key="tip.key">{{ t(`rescue.${tip.key}`, tip.with, Number(tip.with.n ?? 1)) }}</p>
      </template>
      <template v-if="tasks.length">
        <h3>{{ t('rescue.quick') }}</h3>
        <p v-for="tip in tasks" :key="tip.key">{{ t(`rescue.${tip.key}`, tip.with) }}</p>
      </template>
      <button type="button" class="shut" @click="$emit('shut')">{{ t('stage.shut') }}</button>
    </section>
  </v-dialog>
</template>

<style scoped>
.sheet { display: grid; gap: 10px; }
ul { display: grid; grid-template-columns: 1fr 1fr; gap: 6px; }
li button {
  width: 100%; min-height: 52px; padding: 0 14px; text-align: left; border: 2px solid var(--ink); font-weight: 650;
}
.shut { text-decoration: underline; min-height: 44px; justify-self: start; }
</style>
