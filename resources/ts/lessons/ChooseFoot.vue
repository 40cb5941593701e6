<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ModelFit, ModelSummary } from '../api/client'
import FoldPicture from '../parts/FoldPicture.vue'

/** Stays in sight while the shelf goes by: what is chosen, whether it fits, what is wrong, and the button. */
const props = defineProps<{
  chosen: ModelSummary[]
  fit: ModelFit | undefined
  /** the figures stand for something else than what is chosen now */
  stale: boolean
  minutes: number
  learners: number
  label: string
  busy: boolean
  problem: string
  saved: boolean
  /** what else is to know of the choice */
  note: string
}>()
defineEmits<{ remove: [slug: string] }>()
const { t } = useI18n()
const spare = computed(() => props.minutes - (props.fit?.minutes ?? 0))
const said = computed(() => {
  if (props.chosen.length === 0) return t('choose.none')
  if (!props.fit) return t('choose.counting')
  if (spare.value >= 0) return t('choose.fits', { minutes: props.fit.minutes, n: spare.value })
  return t('choose.over', {
    n: -spare.value,
    done: Math.round(props.fit.share * props.learners),
    of: props.learners,
  })
})
</script>

<template>
  <div class="foot no-print">
    <ol class="list chosen" :aria-label="t('choose.further')">
      <li v-for="m in chosen" :key="m.slug">
        <span class="small"><FoldPicture :drawing="m.picture" :title="''" /></span>
        <b>{{ m.title }}</b>
        <button
          type="button"
          :aria-label="t('choose.furtherRemove', { title: m.title })"
          @click="$emit('remove', m.slug)">
          ×
        </button>
      </li>
    </ol>
    <p class="answer" role="status" :class="{ stale, warn: chosen.length > 0 && fit && spare < 0 }">{{ said }}</p>
    <p v-if="note" class="quiet">{{ note }}</p>
    <p v-if="problem" class="warn problem" role="alert">{{ problem }}</p>
    <span v-else-if="saved" class="good" role="status">{{ t('app.saved') }}</span>
    <v-btn type="submit" color="primary" class="fold-button go" size="large" :loading="busy">{{ label }}</v-btn>
  </div>
</template>

<style scoped>
.foot {
  position: sticky; bottom: 0; z-index: 4; display: flex; flex-wrap: wrap; align-items: center; gap: 6px 20px;
  background: var(--paper); box-shadow: 0 -6px 14px -8px rgb(23 37 45 / 0.4); padding: 10px 18px;
}
.chosen { display: flex; flex-wrap: wrap; gap: 4px 16px; }
.chosen li { display: flex; align-items: center; gap: 6px; }
.small { width: 52px; height: 48px; }
.chosen button { min-width: 44px; min-height: 44px; font-size: 1.5rem; line-height: 1; }
.answer { font-size: 1.1rem; font-weight: 650; }
.stale { opacity: 0.55; }
.problem { max-width: 34rem; }
.go { margin-left: auto; }
@media (max-width: 600px) {
  .foot { padding: 8px 12px; gap: 4px 12px; }
  .small { width: 34px; height: 32px; }
  .go { width: 100%; margin: 0; }
}
</style>
