<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useI18n } from 'vue-i18n'
import { answer, client, type LessonData } from '../api/client'
import AskState from '../parts/AskState.vue'

/** What lies on each table and in each kit, with labels to print and cut out. */
const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const kits = useQuery({
  queryKey: ['kits', props.lesson.card.id, () => JSON.stringify(props.lesson.paper)],
  queryFn: () =>
    answer(client.GET('/api/lessons/{lesson}/kits', { params: { path: { lesson: props.lesson.card.id } } })),
})
const print = () => window.print()
</script>

<template>
  <AskState v-if="!kits.data.value" :error="kits.error.value" @again="kits.refetch()" />
  <section v-else-if="kits.data.value.tables.length === 0" class="stack">
    <h1>{{ t('kits.notYet') }}</h1>
    <p class="caution">{{ t('kits.none') }}</p>
    <RouterLink :to="{ name: 'paper', params: { id: lesson.card.id } }">{{ t('kits.back') }}</RouterLink>
  </section>
  <section v-else class="stack">
    <div class="row">
      <h1>{{ t('kits.title', { tables: kits.data.value.tables.length }) }}</h1>
      <RouterLink class="ml-auto no-print" :to="{ name: 'paper', params: { id: lesson.card.id } }">{{
        t('kits.back')
      }}</RouterLink>
      <v-btn class="no-print" variant="outlined" @click="print">{{ t('paper.print') }}</v-btn>
    </div>
    <p>
      <b>{{ t('kits.each') }}:</b> {{ kits.data.value.kit.join(', ') }}.
    </p>
    <ol class="list tables">
      <li v-for="table in kits.data.value.tables" :key="table.table">
        <h2>{{ t('kits.table', { n: table.table }) }}</h2>
        <p>{{ table.learners.map((l) => l.name).join(', ') }}</p>
        <ul v-if="table.items.length">
          <li v-for="item in table.items" :key="item">{{ item }}</li>
        </ul>
      </li>
    </ol>
    <template v-if="kits.data.value.cautions.length">
      <h2>{{ t('kits.cautions') }}</h2>
      <p v-for="caution in kits.data.value.cautions" :key="caution" class="caution">{{ caution }}</p>
    </template>
    <h2 class="cut">{{ t('kits.labels') }}</h2>
    <ul class="list labels">
      <template v-for="table in kits.data.value.tables" :key="table.table">
        <li v-for="(learner, i) in table.learners" :key="`${table.table} ${i}`">
          <b>{{ learner.name }}</b><span>{{ t('kits.table', { n: table.table }) }}</span>
          <small>{{ kits.data.value.kit.join(', ') }}</small>
        </li>
      </template>
    </ul>
  </section>
</template>

<style scoped>
.tables { display: grid; grid-template-columns: repeat(auto-fill, minmax(230px, 1fr)); gap: 18px; }
.tables > li {
  background: var(--paper); box-shadow: var(--shadow); padding: 14px 18px;
  clip-path: polygon(0 0, calc(100% - 22px) 0, 100% 22px, 100% 100%, 0 100%); break-inside: avoid;
}
.tables ul { padding-left: 1.1em; margin: 8px 0 0; }
.labels { display: grid; grid-template-columns: repeat(auto-fill, minmax(210px, 1fr)); background: var(--paper); }
.labels li {
  display: grid; grid-template-columns: 1fr auto; gap: 2px 10px; padding: 14px 16px; border: 1px dashed var(--ink-2);
  margin: -0.5px; break-inside: avoid; align-content: start;
}
.labels b { font-family: var(--head); font-size: 1.35rem; overflow-wrap: anywhere; }
.labels small { grid-column: 1 / -1; font-size: 0.9rem; }
@media print {
  .cut { break-before: page; } .tables > li { clip-path: none; box-shadow: none; border: 1px solid var(--ink);
  } .labels { grid-template-columns: repeat(3, 1fr); }
}
</style>
