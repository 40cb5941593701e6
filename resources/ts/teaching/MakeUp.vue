<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonData } from '../api/client'
import { useProgramme } from '../api/lessons'
import FoldPicture from '../parts/FoldPicture.vue'

/** What is left for another time: who goes on from which step, how the paper is there, and what comes next. */
const props = defineProps<{
  lesson: LessonData
  /** the model */
  slug: string
  /** the model's own step at which each goes on; 1 for who was not there */
  left: readonly { name: string; step: number }[]
}>()
const { t } = useI18n()
const programme = useProgramme(() => props.lesson)
const first = computed(() => props.lesson.models.find((one) => one.slug === props.slug)?.first ?? 1)
const places = computed(() =>
  [...new Set(props.left.map((one) => one.step))].sort((a, b) => b - a).flatMap((number) => {
    const step = programme.steps.value[first.value + number - 2]
    if (!step) return []
    const before = programme.steps.value[first.value + number - 3]
    return [{
      number,
      step,
      names: props.left.filter((one) => one.step === number).map((one) => one.name).join(', '),
      has: number > 1 && before ? before.look.join(' ') : t('keep.fromStart'),
    }]
  }))
</script>

<template>
  <section v-if="places.length" class="sheet">
    <h2>{{ t('keep.makeUp') }}</h2>
    <ul class="list">
      <li v-for="one in places" :key="one.number">
        <span class="picture"><FoldPicture :drawing="one.step.before" :title="one.step.name" /></span>
        <span>
          <b>{{ one.names }}</b>
          <span class="line">{{ one.has }}</span>
          <span class="line">{{ t('keep.goesOn', { n: one.number, sentence: one.step.sentence }) }}</span>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.sheet { padding: 14px 20px 18px; }
ul { display: grid; grid-template-columns: repeat(auto-fit, minmax(300px, 1fr)); gap: 14px 28px; margin-top: 8px; }
li { display: grid; grid-template-columns: 120px 1fr; gap: 14px; align-items: start; break-inside: avoid; }
.picture { height: 110px; }
.line { display: block; color: var(--ink-2); line-height: 1.4; }
</style>
