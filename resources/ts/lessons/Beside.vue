<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { ForecastData } from '../api/client'
import { clock } from '../parts/clock'

type Outlook = ForecastData['now']

/** Two plans side by side: as it is, and as it would be. */
const props = defineProps<{ now: Outlook; then: Outlook; learners: number; startsAt: string; name: string }>()
const { t } = useI18n()
const at = (minutes: number) => clock(props.startsAt, 60 * minutes)
const rows: [string, (one: Outlook) => string][] = [
  ['done', (one) => t('beside.of', { n: Math.round(one.share * props.learners), of: props.learners })],
  ['late', (one) => at(one.finish.late)],
  ['middle', (one) => at(one.finish.middle)],
  ['everybody', (one) => t('beside.times', { n: Math.round(100 * one.everybody) })],
  ['idle', (one) => t('beside.min', { n: one.idle })],
  ['queue', (one) => t('beside.min', { n: one.queue })],
  ['busy', (one) => t('beside.share', { n: Math.round(100 * one.busy) })],
]
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col">{{ t('beside.title') }}</th>
        <th scope="col">{{ t('beside.now') }}</th>
        <th scope="col">{{ name }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="[row, say] in rows" :key="row">
        <th scope="row">{{ t(`beside.${row}`) }}</th>
        <td>{{ say(now) }}</td>
        <td :class="{ other: say(now) !== say(then) }">{{ say(then) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table { width: 100%; border-collapse: collapse; margin: 8px 0; }
th, td { text-align: left; padding: 5px 10px 5px 0; border-top: 1px solid var(--row); font-weight: 400; }
thead th { font-weight: 700; border-top: 0; }
.other { font-weight: 700; color: var(--tide-deep); }
</style>
