<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useLesson, useProgramme } from '../api/lessons'
import AskState from '../parts/AskState.vue'
import FoldPicture from '../parts/FoldPicture.vue'
import { useLessonLog } from './useLessonLog'
import { useStageKeys } from './useStageKeys'
import { useShown } from './useWallChannel'

/** What everybody sees on the second screen: the sentence, the picture, what comes out. Never a name, never a mark. */
const props = defineProps<{ id: number }>()
const { t } = useI18n()
const lesson = useLesson(() => props.id)
const programme = useProgramme(() => lesson.data.value)
const { standing } = useLessonLog(() => props.id, () => lesson.data.value)
const shown = useShown(() => props.id)
const ownDark = ref(false)
const dark = computed(() => ownDark.value || (shown.value?.dark ?? false))
/** The stage of this device is followed at once; another device's through the log. */
const at = computed(() => shown.value?.at ?? standing.value.step)
const model = computed(() => programme.at(at.value))
const step = computed(() => programme.steps.value[at.value - 1])
useStageKeys(() => ({ b: () => { ownDark.value = !ownDark.value } }))
</script>

<template>
  <AskState
    v-if="!lesson.data.value || !model"
    :error="lesson.error.value ?? programme.error.value"
    @again="lesson.refetch()" />
  <main v-else class="wall" :class="{ out: dark }">
    <template v-if="!dark">
      <h1 v-if="step" :class="{ long: step.sentence.length > 90 }">
        <span>{{ step.number }}</span> {{ step.sentence }}
      </h1>
      <h1 v-else>{{ at === 0 ? model.summary.title : t('stage.end') }}</h1>
      <div class="large">
        <FoldPicture
          :key="at"
          :drawing="step?.before ?? model.summary.picture"
          :title="step?.sentence ?? model.summary.title" />
      </div>
      <aside v-if="step">
        <p>{{ t('stage.thenLooks') }}</p>
        <div class="after"><FoldPicture :drawing="step.after" :title="t('stage.after')" /></div>
        <p>{{ step.look[0] }}</p>
      </aside>
      <ol class="list" aria-hidden="true">
        <li
          v-for="one in programme.steps.value"
          :key="one.number"
          :class="{ past: one.number < at, here: one.number === at, check: one.checkpoint }"></li>
      </ol>
    </template>
  </main>
</template>

<style scoped>
.wall {
  min-height: 100vh; height: 100vh; background: var(--ink); color: var(--paper); padding: 3.5vh 3.5vw; display: grid;
  grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) 24vw; gap: 3vh 2.4vw;
}
.out { background: #05090b; }
h1 { grid-column: 1 / -1; font-size: clamp(2rem, 4.1vw, 5rem); min-height: 2.3em; }
h1.long { font-size: clamp(1.6rem, 3.1vw, 4rem); }
h1 span { color: var(--now); }
.large { background: var(--paper); padding: 2vh; min-height: 0; grid-column: 1; }
.large:nth-last-child(2) { grid-column: 1 / -1; }
aside {
  background: var(--paper); color: var(--ink); padding: 2vh 1.6vw; align-self: center; text-align: center;
  display: grid; gap: 1.5vh; font-size: clamp(1.1rem, 1.9vw, 2.2rem); line-height: 1.2;
}
.after { height: 26vh; }
ol {
  grid-column: 1 / -1; display: flex; justify-content: space-between; align-items: center; position: relative;
  height: 30px;
}
ol::before { content: ''; position: absolute; left: 0; right: 0; top: 50%; border-top: 2px solid #6f8188; }
li { width: 15px; height: 15px; border: 2px solid var(--paper); background: var(--ink); position: relative; }
.past { background: var(--paper); }
.here { background: var(--now); border-color: var(--now); width: 26px; height: 26px; }
.check { transform: rotate(45deg); }
@media (forced-colors: active) {
  .wall, h1, h1 span { color: CanvasText; }
  li { border-color: CanvasText; }
  .past { forced-color-adjust: none; background: CanvasText; }
  .here { border: 8px double CanvasText; }
}
</style>
