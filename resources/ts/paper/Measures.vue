<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type LessonData } from '../api/client'
import { useMeasure } from '../parts/measure'
import { measuresOf, useMeasures } from './useMeasures'

/**
 * Predicted sizes of a box or pyramid beside what the learners read off their rulers; printed empty it is their
 * worksheet.
 */
const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const { unit } = useMeasure()
const cache = useQueryClient()
const measures = useMeasures(props.lesson.card.id)
const error = ref('')
type Body = NonNullable<typeof measures.data.value>[number]
const of = (body: Body, learner: number, name: string) =>
  body.readings.find((r) => r.learner === learner && r.name === name)

async function read(model: string, learner: number, name: string, value: string) {
  error.value = ''
  try {
    await answer(
      client.PUT('/api/lessons/{lesson}/readings', {
        params: { path: { lesson: props.lesson.card.id } },
        body: { learner, model, name, value, unit: unit.value },
      }),
    )
    await cache.invalidateQueries({ queryKey: measuresOf(props.lesson.card.id) })
  } catch (problem) {
    error.value = problem instanceof Error ? problem.message : String(problem)
  }
}
</script>

<template>
  <section v-if="measures.data.value?.length" class="stack">
    <h2>{{ t('measures.title') }}</h2>
    <p v-if="error" class="warn" role="alert">{{ error }}</p>
    <template v-for="body in measures.data.value" :key="body.model">
      <p>
        {{ t('measures.from', { title: body.title, side: body.side }) }}
        <b>{{ body.predicted.map((p) => `${p.title} ${p.text}`).join(', ') }}</b><template v-if="body.volume"
          >, {{ t('shelf.volume', { n: body.volume.value, unit: body.volume.unit }) }}</template
        >.
      </p>
      <div class="sheet scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ t('measures.who') }}</th>
              <th v-for="p in body.predicted" :key="p.name" scope="col">{{ p.title }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="learner in lesson.group.learners" :key="learner.id">
              <th scope="row">{{ learner.name }}</th>
              <td v-for="p in body.predicted" :key="p.name">
                <input
                  :value="of(body, learner.id, p.name)?.text ?? ''"
                  :aria-label="`${learner.name}, ${body.title}, ${p.title}`"
                  :placeholder="unit"
                  @change="read(body.model, learner.id, p.name, ($event.target as HTMLInputElement).value)" />
                <span v-if="of(body, learner.id, p.name)" class="quiet"
                  >{{ (of(body, learner.id, p.name)?.difference_mm ?? 0) > 0 ? '+' : ''
                  }}{{ of(body, learner.id, p.name)?.difference_mm }} mm. {{ of(body, learner.id, p.name)?.why }}</span
                >
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
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
