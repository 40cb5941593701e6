<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FinishData } from '../api/client'

/** Which way each learner folded a passage: by passage and way, with the names. */
const props = defineProps<{ finishes: FinishData[]; nameOf: (learner: number) => string }>()
const { t } = useI18n()
const passages = computed(() => {
  const found = new Map<string, Map<string, string[]>>()
  for (const finish of props.finishes) {
    for (const { title, way } of finish.ways) {
      const ways = found.get(title) ?? new Map<string, string[]>()
      found.set(title, ways.set(way, [...(ways.get(way) ?? []), props.nameOf(finish.learner)]))
    }
  }
  return [...found].map(([title, ways]) => ({ title, ways: [...ways] }))
})
</script>

<template>
  <section v-if="passages.length" class="sheet">
    <h2>{{ t('keep.ways') }}</h2>
    <dl>
      <div v-for="passage in passages" :key="passage.title">
        <dt>{{ passage.title }}</dt>
        <dd v-for="[way, names] in passage.ways" :key="way">
          <b>{{ way }}</b> <span>{{ passage.ways.length === 1 ? t('keep.all') : names.join(', ') }}</span>
        </dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.sheet { padding: 14px 20px 16px; }
dl { margin: 6px 0 0; display: grid; gap: 10px 28px; grid-template-columns: repeat(auto-fit, minmax(280px, 1fr)); }
dt { color: var(--ink-2); }
dd { margin: 2px 0 0; }
dd span::before { content: '· '; }
</style>
