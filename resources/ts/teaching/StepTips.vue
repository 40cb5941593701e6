<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FoldData, StepData } from '../api/client'

/** What the lead may say of a step: why, where it stops, what comes next; how hands hold, press and stop this fold. */
const props = defineProps<{ step: StepData; fold: FoldData | undefined }>()
const { t } = useI18n()
const lines = computed(() =>
  [
    [t(props.step.hard ? 'stage.hard' : 'stage.because'), props.step.because],
    [t('stage.true'), props.step.look.slice(2).join(' ')],
    [t('stage.note'), props.step.note],
    [t('stage.ahead'), props.step.warn_ahead],
    ...(props.fold ? [
      [t('folds.hold'), props.fold.hold],
      [t('folds.press'), props.fold.press],
      ...(props.step.stop ? [] : [[t('folds.stop'), props.fold.stop]]),
      ...props.fold.wrong.slice(0, 1).map((one) => [one.looks, one.remedy]),
    ] : []),
  ].filter(([, text]) => text),
)
</script>

<template>
  <dl>
    <div v-for="[name, text] in lines" :key="name ?? ''">
      <dt>{{ name }}</dt>
      <dd>{{ text }}</dd>
    </div>
  </dl>
</template>

<style scoped>
dl { display: grid; grid-template-columns: repeat(auto-fill, minmax(240px, 1fr)); gap: 8px 28px; margin: 0; }
dt { font-weight: 700; }
dd { margin: 0; line-height: 1.35; }
</style>
