<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { PlanData } from '../api/client'
import { useBounds } from '../parts/bounds'

/** Why a step takes so long, what the lead would say instead, and whether all wait for all after it. */
const props = defineProps<{ why: PlanData['why'][number]; checkpoint: boolean; closed: boolean }>()
const emit = defineEmits<{ own: [seconds: number | null]; checkpoint: [is: boolean] }>()
const { t } = useI18n()
const seconds = ref(props.why.fold)
watch(() => props.why.fold, (now) => { seconds.value = now })
const factors = () => props.why.factors.map(({ name, times }) => `, ${t(`plan.why.${name}`, { n: times })}`).join('')
const said = computed(() => {
  const { show, own, fold, base, wait } = props.why
  return [
    ...(show > 0 ? [t('plan.why.show', { s: show })] : []),
    own ? t('plan.why.own', { s: fold }) : t('plan.why.fold', { s: base, factors: factors(), all: fold }),
    ...(wait > 0 ? [t('plan.why.wait', { s: wait })] : []),
    ...(wait < 0 ? [t('plan.why.ahead', { s: -wait })] : []),
  ].join(' ')
})
const { between } = useBounds()
const isFair = () => {
  const { min = 1, max = Infinity } = between('step_seconds')
  return Number.isInteger(seconds.value) && seconds.value >= min && seconds.value <= max
}
function say() {
  if (isFair() && seconds.value !== props.why.fold) emit('own', seconds.value)
}
</script>

<template>
  <div class="because">
    <small>{{ said }}</small>
    <div v-if="!closed" class="row no-print">
      <label
        >{{ t('plan.why.takes') }}
        <input v-model.number="seconds" type="number" v-bind="between('step_seconds')" @change="say" /> s</label
      >
      <small v-if="!isFair()" class="warn" role="alert">{{ t('plan.why.range') }}</small>
      <button v-if="why.own" type="button" class="link" @click="emit('own', null)">{{ t('plan.why.forget') }}</button>
      <label
        ><input
          type="checkbox"
          :checked="checkpoint"
          @change="emit('checkpoint', ($event.target as HTMLInputElement).checked)" />
        {{ t('plan.why.checkpoint') }}</label
      >
    </div>
  </div>
</template>

<style scoped>
.because { grid-column: 2 / 4; padding-left: 14px; color: var(--ink-2); }
.row { display: flex; flex-wrap: wrap; gap: 2px 14px; align-items: center; min-height: 44px; }
input[type='number'] { width: 74px; padding: 6px; border: 1px solid var(--ink-2); background: var(--paper); }
input[type='checkbox'] { width: 20px; height: 20px; vertical-align: -4px; accent-color: var(--tide-deep); }
.link { text-decoration: underline; min-height: 44px; }
</style>
