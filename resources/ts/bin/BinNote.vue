<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { useTimeoutFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client } from '../api/client'
import { forgetRemoved, removed } from './useRemoving'

/** Says what was just removed, and puts it back with one press. */
const { t } = useI18n()
const cache = useQueryClient()
const error = ref('')
const { start } = useTimeoutFn(forgetRemoved, 20_000, { immediate: false })
watch(removed, (entry) => {
  error.value = ''
  if (entry) start()
})

async function putBack() {
  const entry = removed.value
  if (!entry) return
  try {
    await answer(client.POST('/api/bin/{kind}/{id}/restore', { params: { path: { kind: entry.kind, id: entry.id } } }))
    forgetRemoved()
    await cache.invalidateQueries()
  } catch (problem) {
    error.value = problem instanceof Error ? problem.message : String(problem)
  }
}
</script>

<template>
  <div v-if="removed" class="note no-print" role="status">
    <span>{{ t('bin.lies', { title: removed.title, until: removed.until }) }} {{ error }}</span>
    <button type="button" @click="putBack">{{ t('bin.back') }}</button>
    <RouterLink :to="{ name: 'bin' }" @click="forgetRemoved">{{ t('bin.title') }}</RouterLink>
  </div>
</template>

<style scoped>
.note {
  position: fixed; left: 50%; bottom: 24px; transform: translateX(-50%); z-index: 20;
  background: var(--bar); color: white;
  padding: 10px 20px; display: flex; flex-wrap: wrap; gap: 6px 20px; align-items: center; max-width: min(720px, 94vw);
}
button, a { color: var(--now); font-weight: 700; min-height: 44px; display: inline-flex; align-items: center; }
</style>
