<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, type BinEntry, client } from '../api/client'
import { ask } from '../parts/asking'
import AskState from '../parts/AskState.vue'
import { clock, day } from '../parts/clock'

/** What was removed, until it is erased: put back, or erased for good, each an act of its own. */
const { t } = useI18n()
const cache = useQueryClient()
const bin = useQuery({ queryKey: ['bin'], queryFn: () => answer(client.GET('/api/bin')) })
const error = ref('')
const when = (at: string) => `${day(at, { today: t('home.today'), tomorrow: t('home.tomorrow') })} ${clock(at)}`

async function act(call: Promise<{ data?: unknown; error?: unknown; response: Response }>) {
  error.value = ''
  try {
    await answer(call)
    await cache.invalidateQueries()
  } catch (problem) {
    error.value = problem instanceof Error ? problem.message : String(problem)
  }
}
const putBack = ({ kind, id }: BinEntry) =>
  act(client.POST('/api/bin/{kind}/{id}/restore', { params: { path: { kind, id } } }))

async function erase({ kind, id, title, holds }: BinEntry) {
  const choice = await ask({
    title: t('bin.eraseAsk', { title }),
    text: holds ? t('bin.eraseWith', { holds }) : t('bin.eraseAlone'),
    choices: [{ key: 'erase', label: t('bin.erase'), danger: true }],
  })
  if (choice === 'erase') await act(client.DELETE('/api/bin/{kind}/{id}', { params: { path: { kind, id } } }))
}
</script>

<template>
  <AskState v-if="!bin.data.value" :error="bin.error.value" @again="bin.refetch()" />
  <div v-else class="page stack">
    <h1>{{ t(bin.data.value.length ? 'bin.headline' : 'bin.empty', { n: bin.data.value.length }) }}</h1>
    <p class="quiet">{{ t('bin.text') }}</p>
    <p v-if="error" class="warn" role="alert">{{ error }}</p>
    <ul v-if="bin.data.value.length" class="sheet list">
      <li v-for="entry in bin.data.value" :key="`${entry.kind} ${entry.id}`">
        <span class="what">
          <b>{{ entry.title }}</b>
          <span class="quiet">
            {{ t(`bin.kind.${entry.kind}`) }}{{ entry.holds ? `, ${entry.holds}` : '' }}.
            {{ t('bin.since', { when: when(entry.removed), until: entry.until }) }}
          </span>
        </span>
        <v-btn variant="outlined" height="44" @click="putBack(entry)">{{ t('bin.back') }}</v-btn>
        <v-btn variant="text" height="44" color="error" @click="erase(entry)">{{ t('bin.erase') }}</v-btn>
      </li>
    </ul>
  </div>
</template>

<style scoped>
li {
  display: flex; flex-wrap: wrap; gap: 8px 16px; align-items: center; padding: 12px 20px;
  border-bottom: 1px solid var(--row);
}
.what { flex: 1 1 320px; display: grid; }
</style>
