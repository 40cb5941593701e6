<script setup lang="ts">
import { useQueries } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client } from '../api/client'
import { useFolds } from '../api/models'
import AskState from '../parts/AskState.vue'
import Leaves from './Leaves.vue'
import FoldCard from '../shelf/FoldCard.vue'

/** Cards of named folds to print: one kind, or all that learners learn. */
const props = defineProps<{ kind: string }>()
const { t } = useI18n()
const folds = useFolds()
const kinds = computed(() => {
  const all = folds.data.value ?? []
  const asked = props.kind.split(',')
  return all.filter((f) => (props.kind === 'all' ? f.is_fold : asked.includes(f.kind))).map((f) => f.kind)
})
const pages = useQueries({
  queries: computed(() =>
    kinds.value.map((kind) => ({
      queryKey: ['folds', kind],
      queryFn: () => answer(client.GET('/api/folds/{kind}', { params: { path: { kind } } })),
      staleTime: Infinity,
    })),
  ),
})
const ready = computed(() => {
  const all = pages.value.map((page) => page.data)
  return all.every((page) => page !== undefined) ? all : []
})
const error = computed(() => folds.error.value ?? pages.value.find((page) => page.error)?.error ?? null)
</script>

<template>
  <div class="page">
    <p v-if="folds.data.value && kinds.length === 0" class="warn">{{ t('folds.unknown', { kind }) }}</p>
    <AskState v-else-if="ready.length === 0" :error="error" @again="folds.refetch()" />
    <template v-else>
      <div class="no-print head">
        <h1>{{ t('folds.cardsTitle', { n: ready.length }, ready.length) }}</h1>
        <RouterLink :to="{ name: 'folds' }">{{ t('folds.back') }}</RouterLink>
      </div>
      <Leaves :count="ready.length" :sizes="['1', '2', '4', 'large']">
        <template #default="{ index, size }">
          <FoldCard v-if="ready[index]" :page="ready[index]" :size="size" />
        </template>
      </Leaves>
    </template>
  </div>
</template>

<style scoped>
.head { padding-bottom: 12px; }
</style>
