<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonCard } from '../api/client'
import { useGroups } from '../api/groups'
import { useHome } from '../api/lessons'
import { useStocks } from '../api/paper'

/** A first lesson from nothing to its results, on one's own lesson: each step leads to its page. */
const props = defineProps<{ card: LessonCard | null }>()
const { t } = useI18n()
const groups = useGroups()
const stocks = useStocks()
const home = useHome()
const to = (name: string, without: string) =>
  props.card ? { name, params: { id: props.card.id } } : { name: without }
const steps = computed(() => {
  const card = props.card
  const isTaught = card?.status === 'taught' || (home.data.value?.taught.length ?? 0) > 0
  return [
    { key: 'group', done: (groups.data.value?.length ?? 0) > 0, to: { name: 'groups' } },
    { key: 'paper', done: (stocks.data.value?.length ?? 0) > 0, to: { name: 'cupboard' } },
    { key: 'lesson', done: card !== null, to: to('choose', 'new-lesson') },
    { key: 'ready', done: card?.paper_ready ?? false, to: to('paper', 'cupboard') },
    { key: 'practise', done: (card !== null && card.status !== 'planned') || isTaught, to: to('run-sheet', 'shelf') },
    { key: 'teach', done: isTaught, to: to('teach', 'home') },
    {
      key: 'keep',
      done: (home.data.value?.taught ?? []).some((one) => one.here > 0),
      to: to('keep', 'all-lessons'),
    },
  ]
})
</script>

<template>
  <ol class="walk">
    <li v-for="step in steps" :key="step.key" :class="{ done: step.done }">
      <RouterLink :to="step.to"
        ><b>{{ t(`help.walk.${step.key}`) }}</b></RouterLink
      >
      <span v-if="step.done" class="good"> ✓ {{ t('help.done') }}</span>
      <p>{{ t(`help.walk.${step.key}Says`) }}</p>
    </li>
  </ol>
</template>

<style scoped>
.walk { margin: 0; padding-left: 1.6rem; display: grid; gap: 12px; max-width: 44rem; }
.walk li::marker { font-family: var(--head); font-weight: 700; }
.done p { color: var(--ink-2); }
</style>
