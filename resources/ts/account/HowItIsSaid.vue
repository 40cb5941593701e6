<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type AccountData } from '../api/client'

/** How steps are said to everybody of the place; each choice shows what it would say. */
const props = defineProps<{ account: AccountData }>()
const { t } = useI18n()
const cache = useQueryClient()
const error = ref('')
const done = ref(false)

async function change(changes: Partial<Pick<AccountData, 'directions' | 'fold_names' | 'letters'>>) {
  const { directions, fold_names, letters } = { ...props.account, ...changes }
  done.value = false
  error.value = ''
  try {
    const body = { directions, fold_names, letters }
    cache.setQueryData(['me'], await answer(client.PUT('/api/organisation', { body })))
    // Every sentence and picture that is kept was said the old way.
    await cache.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'me' })
    done.value = true
  } catch (problem) {
    error.value = problem instanceof Error ? problem.message : ''
  }
}
</script>

<template>
  <section class="sheet stack">
    <h2>{{ t('said.title', { place: account.organisation }) }}</h2>
    <fieldset>
      <legend>{{ t('said.directions') }}</legend>
      <label v-for="one in ['folder', 'wall'] as const" :key="one"
        ><input
          type="radio"
          name="directions"
          :checked="account.directions === one"
          @change="change({ directions: one })" />
        <span
          ><b>{{ t(`said.${one}`) }}</b
          ><br /><span class="quiet">{{ t(`said.${one}Says`) }}</span></span
        ></label
      >
    </fieldset>
    <fieldset>
      <legend>{{ t('said.names') }}</legend>
      <label v-for="one in ['term', 'likeness', 'both'] as const" :key="one"
        ><input
          type="radio"
          name="names"
          :checked="account.fold_names === one"
          @change="change({ fold_names: one })" />
        <span
          ><b>{{ t(`said.${one}`) }}</b
          ><br /><span class="quiet">{{ t(`said.${one}Says`) }}</span></span
        ></label
      >
    </fieldset>
    <label
      ><input type="checkbox" :checked="account.letters" @change="change({ letters: !account.letters })" />
      <span
        ><b>{{ t('said.letters') }}</b
        ><br /><span class="quiet">{{ t('said.lettersSays') }}</span></span
      ></label
    >
    <p v-if="error" class="warn" role="alert">{{ error }}</p>
    <p v-else-if="done" class="good" role="status">{{ t('said.done') }}</p>
  </section>
</template>

<style scoped>
fieldset { border: 0; padding: 0; margin: 0; display: grid; gap: 6px; }
legend { font-family: var(--head); font-weight: 700; padding: 0 0 4px; }
label { display: flex; gap: 12px; align-items: flex-start; padding: 4px 0; min-height: 48px; cursor: pointer; }
input { width: 22px; height: 22px; margin-top: 2px; accent-color: var(--tide-deep); flex: none; }
</style>
