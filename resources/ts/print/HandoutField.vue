<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ModelData, StepData } from '../api/client'
import FoldPicture from '../parts/FoldPicture.vue'

/** One field of a handout: a step, or the finished model. The smaller the field, the fewer lines it has. */
const props = defineProps<{
  model: ModelData
  step: StepData | null
  /** whether the model begins here */
  first: boolean
  begin: string
  size: string
}>()
const { t } = useI18n()
const full = computed(() => ['1', '2', 'large'].includes(props.size))
</script>

<template>
  <article class="cell" :class="`of-${size}`">
    <header v-if="first && step" class="first">
      <b>{{ model.summary.title }}</b> {{ begin }}
    </header>
    <div class="pictures">
      <template v-if="step">
        <FoldPicture :drawing="step.before" :title="step.sentence" grey />
        <FoldPicture
          v-if="step.halfway && size !== '8'"
          :drawing="step.halfway"
          :title="t('stage.halfway')"
          grey />
        <FoldPicture v-if="full" :drawing="step.after" :title="t('stage.after')" grey />
      </template>
      <FoldPicture v-else :drawing="model.summary.picture" :title="t('shelf.finished')" grey />
    </div>
    <div class="words">
      <template v-if="step">
        <p v-for="c in [...(first ? model.cautions : []), ...step.cautions]" :key="c" class="care">
          {{ c }}
        </p>
        <p>
          <b>{{ step.number }} {{ step.name }}.</b> {{ step.sentence }}
        </p>
        <p v-if="step.note && size !== '8'" class="more">{{ step.note }}</p>
        <p v-if="size !== '8'" class="more">{{ t('handout.look') }} {{ step.look.join(' ') }}</p>
        <p v-if="full && (step.because || step.stop)" class="more">
          {{ [step.because, step.stop].filter(Boolean).join(' ') }}
        </p>
      </template>
      <template v-else>
        <p>
          <b>{{ t('shelf.finished') }}: {{ model.summary.title }}.</b>
          {{ model.end_checks.join(' ') }}
        </p>
      </template>
    </div>
  </article>
</template>

<style scoped>
.cell {
  height: 100%; display: grid; grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr); gap: 2mm; font-size: 10.5pt;
  line-height: 1.3; border-top: 0.5mm solid #17252d; padding-top: 2mm;
}
.first { grid-row: 1; font-size: 1.05em; }
.first b { font-family: var(--head); font-size: 1.2em; }
.pictures {
  grid-row: 2; min-height: 0; display: grid; grid-auto-flow: column; grid-auto-columns: minmax(0, 1fr); gap: 5mm;
}
.pictures > * { min-height: 0; }
.words { grid-row: 3; display: grid; gap: 1mm; align-content: start; }
.more { font-size: 0.92em; }
.care { border: 0.4mm solid #17252d; padding: 1mm 2mm; font-weight: 650; font-size: 0.92em; }
.of-1 { font-size: 14pt; }
.of-2 { font-size: 12pt; }
.of-large { font-size: 22pt; line-height: 1.35; }
.of-large .more { font-size: 0.85em; }
/* Eight on a leaf: the picture beside the words. */
.of-8 { font-size: 9.5pt; line-height: 1.22; grid-template: auto minmax(0, 1fr) / 38mm minmax(0, 1fr); gap: 1mm 3mm; }
.of-8 .first { grid-column: 1 / -1; }
.of-8 .pictures { grid-area: 2 / 1; align-items: start; }
.of-8 .pictures > * { height: auto; max-height: 100%; }
.of-8 .words { grid-area: 2 / 2; }
</style>
