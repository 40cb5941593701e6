<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { LessonData } from '../api/client'
import AskState from '../parts/AskState.vue'
import { useMeasure } from '../parts/measure'
import { useMeasures } from './useMeasures'

/** A sheet for each learner: measure the finished model, compare it with what the sheet of paper promised, say why. */
const props = defineProps<{ lesson: LessonData }>()
const { t } = useI18n()
const { unit } = useMeasure()
const measures = useMeasures(props.lesson.card.id)
type Body = NonNullable<typeof measures.data.value>[number]
/** A slope and a height that a child may take for one another. */
const slanted = (body: Body) => {
  const of = (name: string) => body.predicted.find((p) => p.name === name)?.text
  const [slope, height] = [of('slope'), of('height')]
  return slope !== undefined && height !== undefined ? t('worksheet.slant', { slope, height }) : ''
}
const print = () => window.print()
</script>

<template>
  <AskState v-if="!measures.data.value" :error="measures.error.value" @again="measures.refetch()" />
  <section v-else class="stack">
    <div class="row no-print">
      <h1>
        {{
          measures.data.value.length
            ? t('worksheet.sheets', { n: lesson.group.learners.length })
            : t('worksheet.none')
        }}
      </h1>
      <RouterLink class="ml-auto" :to="{ name: 'keep', params: { id: lesson.card.id } }">{{
        t('worksheet.back')
      }}</RouterLink>
      <v-btn v-if="measures.data.value.length" variant="outlined" @click="print">{{ t('paper.print') }}</v-btn>
    </div>
    <template v-for="body in measures.data.value" :key="body.model">
      <article v-for="learner in lesson.group.learners" :key="learner.id" class="sheet work">
        <p class="who">
          {{ t('worksheet.name') }} <b>{{ learner.name }}</b>
        </p>
        <h2>{{ t('worksheet.title', { model: body.title.toLowerCase() }) }}</h2>
        <p>{{ t('worksheet.from', { side: body.side }) }} {{ t(`worksheet.measure_${unit}`) }}</p>
        <table>
          <thead>
            <tr>
              <td></td>
              <th scope="col">{{ t('worksheet.mine', { unit }) }}</th>
              <th scope="col">{{ t('worksheet.predicted') }}</th>
              <th scope="col">{{ t('worksheet.difference') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in body.predicted" :key="p.name">
              <th scope="row">{{ p.title }}</th>
              <td></td>
              <td>{{ p.text }}</td>
              <td></td>
            </tr>
          </tbody>
        </table>
        <p v-if="slanted(body)">{{ slanted(body) }}</p>
        <template v-if="body.solid && body.volume">
          <p class="line">{{ t(`worksheet.volume.${body.solid}`) }}</p>
          <p>{{ t(`worksheet.cubic_${unit}`) }} {{ t('worksheet.off', body.volume) }}</p>
        </template>
        <p class="line">{{ t('worksheet.why') }}</p>
      </article>
    </template>
  </section>
</template>

<style scoped>
.work { display: grid; gap: 14px; break-inside: avoid; }
.who b { border-bottom: 2px solid var(--ink); padding: 0 40px 0 8px; font-family: var(--head); font-size: 1.2rem; }
table { border-collapse: collapse; width: 100%; }
th, td { border: 1px solid var(--ink-2); padding: 10px 14px; text-align: left; height: 46px; }
td { width: 26%; }
.line { padding-bottom: 34px; border-bottom: 1px solid var(--ink-2); }
@media print { .work { min-height: 45vh; padding: 12px 0; border-bottom: 1px dashed var(--ink-2); } }
</style>
