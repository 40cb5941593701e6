<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client } from '../api/client'

/** What is left of a sheet goes back into the cupboard as paper of its own, to be used up first. */
const props = defineProps<{ stock: number; count: number; size: string; width: number; height: number }>()
const { t } = useI18n()
const cache = useQueryClient()
const kept = ref(false)
const error = ref('')

async function keep() {
  error.value = ''
  try {
    await answer(
      client.POST('/api/stocks/{stock}/offcuts', {
        params: { path: { stock: props.stock } },
        body: { count: props.count, width_mm: props.width, height_mm: props.height },
      }),
    )
    kept.value = true
    await cache.invalidateQueries({ queryKey: ['stocks'] })
  } catch (problem) {
    error.value = problem instanceof Error ? problem.message : String(problem)
  }
}
</script>

<template>
  <p class="no-print">
    <span v-if="kept" class="good" role="status">{{ t('paper.kept', { n: count }, count) }}</span>
    <v-btn v-else variant="text" height="44" class="keep" @click="keep">{{
      t('paper.keepOffcut', { n: count, size }, count)
    }}</v-btn>
    <span v-if="error" class="warn" role="alert">{{ error }}</span>
  </p>
</template>

<style scoped>
.keep { white-space: normal; text-align: left; padding: 0 !important; }
</style>
