<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonData } from '../../api/client'
import type { Cast, Review } from './room'

/** How the rehearsal went, beside the best simple rule for the same people. */
const props = defineProps<{
  lesson: LessonData
  cast: Cast
  review: Review
  nameOf: (learner: number) => string
  stepName: (place: number) => string
}>()
defineEmits<{ again: [] }>()
const { t } = useI18n()
const minutes = (n: number) => t('rehearse.minutes', { n: n.toFixed(1) })
const rows = computed(() => [
  [
    'finish',
    props.review.finish === null
      ? t('rehearse.notAll', { n: props.review.done, of: props.cast.learners.length })
      : minutes(props.review.finish / 60),
    minutes(props.cast.best.finish / 60),
  ],
  ['idle', minutes(props.review.idle), minutes(props.cast.best.idle)],
  ['queue', minutes(props.review.queue), minutes(props.cast.best.queue)],
])
/** What would have been better, in words; the largest first. */
const hints = computed(() => {
  const { review, cast } = props
  const said: string[] = []
  if (review.finish === null) {
    const left = cast.learners.length - review.done
    said.push(t('rehearse.early', { n: left }, left))
  }
  if (review.finish !== null && review.finish > 1.15 * cast.best.finish)
    said.push(t(review.idle > cast.best.idle + 1 ? 'rehearse.sooner' : 'rehearse.showLess'))
  if (review.queue > cast.best.queue + 0.5) said.push(t('rehearse.helpMore'))
  if (review.outOfTurn > 0) said.push(t('rehearse.outOfTurn', { n: review.outOfTurn }, review.outOfTurn))
  if (review.longest && review.longest.minutes >= 1)
    said.push(
      t('rehearse.longest', {
        name: props.nameOf(review.longest.learner),
        min: review.longest.minutes.toFixed(1),
        step: props.stepName(review.longest.place),
      }),
    )
  return said.length ? said : [t('rehearse.well')]
})
</script>

<template>
  <div class="page">
    <h1>{{ t('rehearse.review', { title: lesson.card.model_title }) }}</h1>
    <section class="sheet">
      <table>
        <thead>
          <tr>
            <th scope="col"></th>
            <th scope="col">{{ t('rehearse.you') }}</th>
            <th scope="col">{{ t('rehearse.rule', { n: Math.round(100 * cast.best.gate) }) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[row, own, best] in rows" :key="row">
            <th scope="row">{{ t(`rehearse.${row}`) }}</th>
            <td>
              <b>{{ own }}</b>
            </td>
            <td>{{ best }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="hint in hints" :key="hint">{{ hint }}</p>
      <p class="quiet">{{ t('rehearse.nothing') }}</p>
      <div class="row">
        <v-btn color="primary" class="fold-button" @click="$emit('again')">{{ t('rehearse.again') }}</v-btn>
        <RouterLink :to="{ name: 'plan', params: { id: lesson.card.id } }">{{ t('rehearse.back') }}</RouterLink>
      </div>
    </section>
  </div>
</template>

<style scoped>
h1 { margin: 18px 0 12px; }
.sheet { padding: 22px 28px; display: grid; gap: 10px; }
table { border-collapse: collapse; font-size: 1.15rem; }
th, td { text-align: left; padding: 10px 24px 10px 0; border-top: 1px solid var(--row); font-weight: 400; }
thead th { border-top: 0; font-weight: 700; }
.row { display: flex; gap: 22px; align-items: center; }
</style>
