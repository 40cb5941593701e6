<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { FoldData, StepData, Ways } from '../api/client'
import { useFaults } from '../api/models'
import FoldPicture from '../parts/FoldPicture.vue'
import WrongOnes from '../shelf/WrongOnes.vue'
import MotionPicture from '../space/MotionPicture.vue'
import StepTips from './StepTips.vue'

/**
 * A step as a room reads it from two metres: one large picture that moves, what it must look like then, and a row of
 * words that open over the picture and close again.
 */
const props = defineProps<{
  step: StepData
  slug: string
  ways: Ways
  /** by which the model itself knows the step */
  number: number
  fold: FoldData | undefined
  /** the lesson in which a lead ticks what is seen */
  lesson: number | undefined
}>()
const { t } = useI18n()
const picture = useTemplateRef<InstanceType<typeof MotionPicture>>('picture')
const moves = ref(false)
const open = ref<'faults' | 'tips' | null>(null)
const toggle = (what: 'faults' | 'tips') => { open.value = open.value === what ? null : what }
watch(() => props.step.number, () => { open.value = null })
const faults = useFaults(() => props.slug, () => props.ways, () => props.number, true)
const wrong = computed(() => Math.min(2, faults.data.value?.length ?? 0))
const close = computed(() => (props.step.halfway && !moves.value ? props.step.halfway : props.step.close_up))

defineExpose({
  keys: (): Record<string, () => void> => ({
    ...picture.value?.keys,
    x: () => { toggle('faults') },
    f: () => { toggle('tips') },
    Escape: () => { open.value = null },
  }),
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
        words
        :drawing="step.before"
        :title="step.sentence"
        @moves="moves = $event">
        <template #words>
          <button v-if="wrong > 0" type="button" :aria-expanded="open === 'faults'" @click="toggle('faults')">
            {{ t('stage.mistakes', { n: wrong }, wrong) }} <kbd class="key">X</kbd>
          </button>
          <button type="button" :aria-expanded="open === 'tips'" @click="toggle('tips')">
            {{ t('stage.tips') }} <kbd class="key">F</kbd>
          </button>
        </template>
      </MotionPicture>
      <section v-if="open" class="over" :aria-label="t(open === 'faults' ? 'faults.if' : 'stage.tips')">
        <WrongOnes v-if="open === 'faults'" :slug="slug" :ways="ways" :step="number" :most="2" :lesson="lesson" />
        <StepTips v-else :step="step" :fold="fold" />
        <button type="button" class="shut" @click="open = null">{{ t('stage.shut') }}</button>
      </section>
    </div>
    <div class="check">
      <h2>{{ t('stage.check') }}</h2>
      <div class="small" :class="{ two: close }">
        <FoldPicture v-if="close" :drawing="close" :title="t(moves ? 'stage.closeUp' : 'stage.halfway')" />
        <FoldPicture :drawing="step.after" :title="t('stage.after')" />
      </div>
      <ul class="list">
        <li v-for="line in step.look.slice(0, 2)" :key="line">{{ line }}</li>
      </ul>
      <p v-if="step.stop" class="stop">{{ step.stop }}</p>
    </div>
  </div>
</template>

<style scoped>
.step {
  flex: 1; min-height: 260px; display: grid; gap: 28px;
  grid-template: minmax(0, 1fr) / minmax(0, 1fr) minmax(190px, 220px);
  animation: lay 0.25s ease-out;
}
@keyframes lay { from { opacity: 0; transform: translateY(10px); } }
.large { min-width: 0; min-height: 0; position: relative; }
.over {
  position: absolute; inset: 0 0 54px; background: var(--paper); overflow: auto; padding: 8px 0; display: grid;
  gap: 10px; align-content: start; --framed: 150px; --wrong: 1.05rem; border-top: 3px solid var(--now);
}
.shut { justify-self: start; text-decoration: underline; min-height: 44px; font-weight: 650; }
.check { min-height: 0; overflow: auto; line-height: 1.3; }
.check h2 { font-size: 1.1rem; }
.small { height: clamp(110px, 19vh, 150px); margin: 4px 0 8px; display: grid; gap: 8px; }
.small.two { grid-template-columns: 1fr 1fr; }
li { font-size: 1.25rem; border-top: 1px solid var(--rule); padding: 8px 0; }
.stop { font-size: 1rem; color: var(--ink-2); border-top: 1px solid var(--rule); padding-top: 8px; }
@media (max-width: 640px) {
  .step { grid-template: auto auto / minmax(0, 1fr); gap: 12px; }
  .large { height: 46vh; }
  .check { overflow: visible; }
  .small { height: 110px; }
}
@media (prefers-reduced-motion: reduce) { .step { animation: none; } }
</style>
