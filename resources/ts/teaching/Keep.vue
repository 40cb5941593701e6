<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type FinishData, type LessonData } from '../api/client'
import FinishMark from '../parts/FinishMark.vue'
import Measures from '../paper/Measures.vue'

const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const cache = useQueryClient()
const error = ref('')
const outcomes = ['alone', 'help', 'stopped', 'away'] as const
/** With several models in the lesson, each has its own records. */
const slug = ref(props.lesson.card.model)
const model = computed(() => props.lesson.models.find((m) => m.slug === slug.value) ?? props.lesson.models[0])
const finishes = computed(() => props.lesson.finishes.filter((f) => f.model === model.value?.slug))
const of = (learner: number): FinishData | undefined => finishes.value.find((f) => f.learner === learner)
const finished = computed(() => finishes.value.filter((f) => f.outcome === 'alone' || f.outcome === 'help').length)
const label = (f?: FinishData) =>
  !f ? t('keep.none') : f.outcome === 'stopped' ? t('keep.stoppedAt', { n: f.step }) : t(`keep.outcome.${f.outcome}`)

async function enter(learner: number, outcome: FinishData['outcome'], step: number | null) {
  error.value = ''
  try {
    await answer(
      client.PUT('/api/lessons/{lesson}/finishes', {
        params: { path: { lesson: props.lesson.card.id } },
        body: { learner, model: slug.value, outcome, step: outcome === 'stopped' ? (step ?? 1) : null },
      }),
    )
    await cache.invalidateQueries()
  } catch (problem) {
    error.value = problem instanceof Error ? problem.message : String(problem)
  }
}
</script>

<template>
  <section class="stack">
    <div class="row">
      <h1>
        {{
          lesson.card.status === 'taught' || lesson.finishes.length
            ? t('keep.title', { n: finished, m: lesson.group.learners.length })
            : t('keep.untaught')
        }}
      </h1>
      <RouterLink class="ml-auto" :to="{ name: 'wall', params: { id: lesson.card.group_id } }">{{
        t('keep.wall', { group: lesson.card.group })
      }}</RouterLink>
    </div>
    <div v-if="lesson.models.length > 1" class="pages" role="radiogroup" :aria-label="t('keep.model')">
      <label v-for="m in lesson.models" :key="m.slug" :class="{ on: m.slug === slug }"
        ><input v-model="slug" type="radio" name="model" :value="m.slug" /> {{ m.title }}</label
      >
    </div>
    <p v-if="lesson.card.status !== 'taught'" class="quiet">{{ t('keep.untaughtText') }}</p>
    <p v-if="error" class="warn" role="alert">{{ error }}</p>
    <ul class="sheet list people">
      <li v-for="learner in lesson.group.learners" :key="learner.id">
        <FinishMark
          :outcome="of(learner.id)?.outcome ?? ''"
          :step="of(learner.id)?.step ?? null"
          :label="label(of(learner.id))" />
        <b>{{ learner.name }}</b>
        <div role="radiogroup" :aria-label="t('keep.for', { name: learner.name })" class="choices">
          <label v-for="outcome in outcomes" :key="outcome" :class="{ on: of(learner.id)?.outcome === outcome }">
            <input
              type="radio"
              :name="`o${learner.id} ${slug}`"
              :checked="of(learner.id)?.outcome === outcome"
              @change="enter(learner.id, outcome, of(learner.id)?.step ?? 1)" />
            {{ t(`keep.outcome.${outcome}`) }}
          </label>
          <select
            v-if="of(learner.id)?.outcome === 'stopped'"
            :aria-label="t('keep.stepAt')"
            :value="of(learner.id)?.step"
            @change="enter(learner.id, 'stopped', Number(($event.target as HTMLSelectElement).value))">
            <option v-for="n in model?.steps ?? 0" :key="n" :value="n">{{ n }}</option>
          </select>
        </div>
      </li>
    </ul>
    <Measures :lesson="lesson" />
    <RouterLink :to="{ name: 'worksheet', params: { id: lesson.card.id } }">{{ t('keep.worksheet') }}</RouterLink>
  </section>
</template>

<style scoped>
.people { padding: 8px 20px; }
.people li {
  display: grid; grid-template-columns: 40px 140px 1fr; align-items: center; gap: 12px; padding: 6px 0;
  border-bottom: 1px solid #e3e6e1; min-height: 48px;
}
.pages { display: flex; flex-wrap: wrap; gap: 0 4px; }
.pages label {
  display: flex; gap: 8px; align-items: center; min-height: 48px; padding: 0 18px; background: var(--paper-shade);
  cursor: pointer; font-family: var(--head); font-size: 1.1rem;
}
.pages label.on { background: var(--tide); color: white; font-weight: 700; }
.pages input { accent-color: var(--tide-deep); width: 18px; height: 18px; }
.choices { display: flex; gap: 6px 18px; flex-wrap: wrap; align-items: center; }
.choices label { display: flex; align-items: center; gap: 6px; padding: 8px 2px; cursor: pointer; color: var(--ink-2); }
.choices label.on { color: var(--ink); font-weight: 700; }
.choices input { accent-color: var(--tide); width: 18px; height: 18px; }
select { border: 1px solid var(--ink-2); padding: 6px 10px; background: var(--paper); appearance: auto; }
</style>
