<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type LessonData } from '../api/client'
import { useMeasure } from '../parts/measure'

/**
 * Predicted sizes of a box or pyramid beside what the learners read off their rulers; printed empty it is their
 * worksheet.
 */
const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const { unit } = useMeasure()
const cache = useQueryClient()
const key = ['measures', props.lesson.card.id]
const measures = useQuery({
  queryKey: key,
  queryFn: () =>
    answer(client.GET('/api/lessons/{lesson}/measures', { params: { path: { lesson: props.lesson.card.id } } })),
})
const error = ref('')
const of = (learner: number, name: string) =>
  measures.data.value?.readings.find((r) => r.learner === learner && r.name === name)

async function read(learner: number, name: string, value: string) {
  error.value = ''
  try {
    await answer(
      client.PUT('/api/lessons/{lesson}/readings', {
        params: { path: { lesson: props.lesson.card.id } },
        body: { learner, name, value, unit: unit.value },
      }),
    )
    await cache.invalidateQueries({ queryKey: key })
  } catch (problem) {
    error.value = problem instanceof Error ? problem.message : String(problem)
  }
}
</script>

<template>
  <section v-if="measures.data.value && measures.data.value.predicted.length > 0" class="stack">
    <h2>{{ t('measures.title') }}</h2>
    <p>
      {{ t('measures.from', { side: measures.data.value.side }) }}
      <b>{{ measures.data.value.predicted.map((p) => `${p.title} ${p.text}`).join(', ') }}</b><template
        v-if="measures.data.value.volume"
        >,
        {{
          t('shelf.volume', { n: measures.data.value.volume.value, unit: measures.data.value.volume.unit })
        }}</template
      >.
    </p>
    <p v-if="error" class="warn" role="alert">{{ error }}</p>
    <div class="sheet scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ t('measures.who') }}</th>
            <th v-for="p in measures.data.value.predicted" :key="p.name" scope="col">{{ p.title }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="learner in lesson.group.learners" :key="learner.id">
            <th scope="row">{{ learner.name }}</th>
            <td v-for="p in measures.data.value.predicted" :key="p.name">
              <input
                :value="of(learner.id, p.name)?.text ?? ''"
                :aria-label="`${learner.name}, ${p.title}`"
                :placeholder="unit"
                @change="read(learner.id, p.name, ($event.target as HTMLInputElement).value)" />
              <span v-if="of(learner.id, p.name)" class="quiet"
                >{{ (of(learner.id, p.name)?.difference_mm ?? 0) > 0 ? '+' : ''
                }}{{ of(learner.id, p.name)?.difference_mm }} mm. {{ of(learner.id, p.name)?.why }}</span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.scroll { overflow-x: auto; padding: 4px 12px; }
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; padding: 6px 10px; border-bottom: 1px solid var(--rule); vertical-align: top; }
input {
  font: inherit; width: 8rem; min-height: 44px; border: 1px solid var(--ink-2); padding: 0 10px;
  background: var(--paper);
}
td .quiet { display: block; font-size: 0.88rem; max-width: 22rem; }
</style>
