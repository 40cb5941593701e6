<script setup lang="ts">
import { ref, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { StepData, Ways } from '../api/client'
import FoldPicture from '../parts/FoldPicture.vue'
import MotionPicture from '../space/MotionPicture.vue'

/** A step on the stage: one large picture that moves, what it must look like then, and why. */
defineProps<{
  step: StepData
  slug: string
  ways: Ways
  /** by which the model itself knows the step */
  number: number
}>()
const { t } = useI18n()
const picture = useTemplateRef<InstanceType<typeof MotionPicture>>('picture')
const moves = ref(false)

defineExpose({
  keys: (): Record<string, () => void> => picture.value?.keys ?? {},
  /** Plays it again from the beginning; false where it has not moved. */
  replay: (): boolean => picture.value?.replay() ?? false,
})
</script>

<template>
  <div class="step">
    <div class="large">
      <MotionPicture
        ref="picture"
        :slug="slug"
        :ways="ways"
        :step="number"
        ahead
        :drawing="step.before"
        :title="step.sentence"
        @moves="moves = $event" />
    </div>
    <div class="beside">
      <div class="small" :class="{ two: step.close_up || (step.halfway && !moves) }">
        <FoldPicture v-if="step.halfway && !moves" :drawing="step.halfway" :title="t('stage.halfway')" />
        <FoldPicture v-else-if="step.close_up" :drawing="step.close_up" :title="t('stage.closeUp')" />
        <FoldPicture :drawing="step.after" :title="t('stage.after')" />
      </div>
      <h2>{{ t('stage.true') }}</h2>
      <ul class="list look">
        <li v-for="line in step.look" :key="line">{{ line }}</li>
      </ul>
      <template v-if="step.because || step.stop">
        <h2>{{ t(step.hard ? 'stage.hard' : 'stage.because') }}</h2>
        <p>{{ [step.because, step.stop].filter(Boolean).join(' ') }}</p>
      </template>
      <template v-if="step.note">
        <h2>{{ t('stage.note') }}</h2>
        <p>{{ step.note }}</p>
      </template>
      <template v-if="step.warn_ahead">
        <h2>{{ t('stage.ahead') }}</h2>
        <p>{{ step.warn_ahead }}</p>
      </template>
    </div>
  </div>
</template>

<style scoped>
.step {
  flex: 1; min-height: 240px; display: grid; gap: 28px;
  grid-template: minmax(0, 1fr) / minmax(0, 1.55fr) minmax(220px, 1fr);
  animation: lay 0.25s ease-out;
}
@keyframes lay { from { opacity: 0; transform: translateY(10px); } }
.large { min-width: 0; min-height: 0; }
.beside { overflow: auto; line-height: 1.3; font-size: 0.98rem; }
.beside h2 { font-size: 1.05rem; margin-top: 8px; }
.small {
  height: clamp(96px, 15vh, 150px); display: grid; grid-auto-flow: column; gap: 10px;
  border-bottom: 2px solid var(--ink);
}
.small.two { grid-template-columns: 1fr 1fr; }
.look li { padding-left: 22px; position: relative; }
.look li::before {
  content: ''; position: absolute; left: 2px; top: 0.32em; width: 10px; height: 10px; border: 2px solid var(--tide);
}
@media (max-width: 1000px) {
  .step { grid-template-columns: minmax(0, 1.2fr) minmax(220px, 1fr); gap: 20px; }
  .small { height: 92px; }
  .beside { font-size: 0.94rem; }
}
@media (max-width: 640px) {
  .step { grid-template: auto auto / minmax(0, 1fr); }
  .large { height: 46vh; }
  .beside { overflow: visible; }
}
</style>
