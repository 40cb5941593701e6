<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LessonData } from '../../api/client'
import { useProgramme } from '../../api/lessons'
import Stage from '../Stage.vue'
import RehearsalReview from './RehearsalReview.vue'
import type { Cast, Review } from './room'
import { useRehearsedLog } from './useRehearsedLog'

/** The stage in front of simulated learners: they finish, get stuck for a reason, and ask; the lead shows and helps. */
const props = defineProps<{ lesson: LessonData; cast: Cast }>()
defineEmits<{ again: [] }>()
const { t } = useI18n()
const programme = useProgramme(() => props.lesson)
const rehearsal = useRehearsedLog(props.lesson, props.cast)
const { speed, asking, elapsed } = rehearsal
const review = shallowRef<Review>()
const nameOf = (learner: number) => props.lesson.group.learners.find((one) => one.id === learner)?.name ?? ''
const step = (place: number) => programme.steps.value[(props.cast.steps[place]?.step ?? 0) - 1]
/** What stops a learner at a step, as the step says where it stops. */
function reason(place: number) {
  const at = step(place)
  return at?.stop ?? at?.reasons[0] ?? t('rehearse.why', { name: at?.name ?? '' })
}
const questions = computed(() =>
  asking.value.map((one) => ({
    ...one,
    name: nameOf(one.learner),
    says: reason(one.place),
    minutes: Math.floor((elapsed.value - one.since) / 60),
  })),
)
const SPEEDS = [1, 4, 16]
</script>

<template>
  <RehearsalReview
    v-if="review"
    :lesson="lesson"
    :cast="cast"
    :review="review"
    :name-of="nameOf"
    :step-name="(place: number) => `${step(place)?.number ?? ''} ${step(place)?.name ?? ''}`"
    @again="$emit('again')" />
  <Stage v-else :id="lesson.card.id" :rehearsed="rehearsal.stage" @ended="review = rehearsal.review()">
    <section class="rehearsal">
      <p>
        <b>{{ t('rehearse.title') }}</b>
        <span class="speeds" role="group" :aria-label="t('rehearse.speed')">
          <button v-for="one in SPEEDS" :key="one" type="button" :aria-pressed="speed === one" @click="speed = one">
            {{ t('rehearse.times', { n: one }) }}
          </button>
        </span>
      </p>
      <p class="quiet">{{ t('rehearse.how') }}</p>
      <ul v-if="questions.length" aria-live="polite">
        <li v-for="one in questions" :key="one.learner">
          <button type="button" @click="rehearsal.stage.add('help', { learner: one.learner })">
            <b>{{ one.name }}</b> {{ one.says }}
            <small v-if="one.minutes > 0">{{ t('rehearse.since', { n: one.minutes }, one.minutes) }}</small>
          </button>
        </li>
      </ul>
    </section>
  </Stage>
</template>

<style scoped>
.rehearsal { background: var(--now-pale); padding: 10px 14px; }
.rehearsal p { display: flex; flex-wrap: wrap; gap: 4px 14px; align-items: center; margin: 0; }
.speeds button { min-width: 48px; min-height: 44px; background: var(--paper); }
.speeds button[aria-pressed='true'] { background: var(--bar); color: white; }
ul { list-style: none; padding: 0; margin: 6px 0 0; display: grid; gap: 4px; }
li button { text-align: left; width: 100%; background: var(--paper); padding: 8px 12px; min-height: 44px; }
</style>
