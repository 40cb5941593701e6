<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { FoldPageData } from '../api/client'

/** Models in which a fold is taught, with its steps. */
defineProps<{ models: FoldPageData['taught_in'] }>()
const { t } = useI18n()
const MANY = 4
</script>

<template>
  <p v-for="one in models" :key="`${one.slug} ${one.way}`" class="line">
    <span
      ><RouterLink :to="{ name: 'model', params: { slug: one.slug }, hash: `#step-${one.steps[0]}` }">{{
        one.title
      }}</RouterLink
      ><span v-if="one.way" class="quiet way">{{ one.way }}</span></span
    >
    <span class="quiet">{{
      one.steps.length > MANY
        ? t('folds.times', { n: one.steps.length })
        : t('folds.steps', { n: one.steps.join(', ') }, one.steps.length)
    }}</span>
  </p>
</template>

<style scoped>
.line { display: flex; justify-content: space-between; gap: 12px; padding: 7px 0; border-top: 1px solid var(--rule); }
.line:first-of-type { border-top: 0; }
.line a { font-weight: 650; }
.way { display: block; font-size: 0.9rem; }
</style>
