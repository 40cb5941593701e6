<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FoldData } from '../api/client'

/** What the fold's page says, at the step: how to hold, press and stop, and the likeliest faults with their remedy. */
const props = defineProps<{ fold: FoldData; stops: boolean }>()
const open = defineModel<boolean>('open', { required: true })
const { t } = useI18n()
/** Where the step itself says where it stops, the fold's own line gives way to a second fault. */
const keys = computed(() => (props.stops ? (['hold', 'press'] as const) : (['hold', 'press', 'stop'] as const)))
const faults = computed(() => props.fold.wrong.slice(0, props.stops ? 2 : 1))
</script>

<template>
  <section class="guide">
    <button type="button" :aria-expanded="open" @click="open = !open">
      {{ t('folds.stage') }}: {{ fold.name }} <kbd class="key">F</kbd>
    </button>
    <dl v-if="open">
      <div v-for="key in keys" :key="key">
        <dt>{{ t(`folds.${key}`) }}</dt>
        <dd>{{ fold[key] }}</dd>
      </div>
      <div v-for="one in faults" :key="one.looks" class="wrong">
        <dt>{{ one.looks }}</dt>
        <dd>{{ one.remedy }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.guide { flex: none; font-size: 0.95rem; line-height: 1.3; }
button { font-weight: 650; color: var(--ink-2); min-height: 32px; text-align: left; }
button::before { content: '▸ '; }
button[aria-expanded='true']::before { content: '▾ '; }
dl { display: grid; grid-template-columns: repeat(4, 1fr); gap: 6px 24px; margin: 4px 0 0; }
dt { font-weight: 700; }
dd { margin: 0; }
.wrong { border-left: 3px dashed var(--warn); padding-left: 10px; }
@media (max-width: 1000px) { dl { grid-template-columns: 1fr 1fr; } button { min-height: 48px; } }
@media (max-width: 640px) { dl { grid-template-columns: 1fr; } }
</style>
