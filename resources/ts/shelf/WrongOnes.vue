<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Ways } from '../api/client'
import { useSightings } from '../api/lessons'
import { useFaults } from '../api/models'
import FoldPicture from '../parts/FoldPicture.vue'

/** If it looks like this: what may have gone wrong at a step, framed, with how to see it and how to mend it. */
const props = withDefaults(
  defineProps<{
    slug: string
    step: number
    ways?: Ways
    most?: number
    front?: string
    back?: string
    /** the lesson in which a lead ticks what is seen; none: nothing is ticked */
    lesson?: number
  }>(),
  { ways: () => ({}), most: 3, front: '#0E6E7C', back: '#FDFCF8', lesson: undefined },
)
const { t } = useI18n()
const faults = useFaults(
  () => props.slug,
  () => props.ways,
  () => props.step,
  true,
)
const { found, tick } = useSightings(() => props.lesson)
const isSeen = (kind: string) =>
  (found.data.value ?? []).some((one) => one.model === props.slug && one.step === props.step && one.kind === kind)
const toggle = (kind: string) => {
  tick.mutate({ model: props.slug, step: props.step, kind, seen: !isSeen(kind) })
}
const said = (kind: string) => t(isSeen(kind) ? 'faults.seen' : 'faults.tick')
/** What stands on it, and of which fault it is. */
const labelled = ({ kind, title }: { kind: string; title: string }) => `${said(kind)}: ${title}`
</script>

<template>
  <p v-if="faults.isPending.value" class="quiet" role="status">{{ t('faults.coming') }}</p>
  <p v-else-if="faults.error.value" class="quiet">{{ t('faults.lost') }}</p>
  <ul v-else class="list wrong-ones">
    <li v-for="fault in (faults.data.value ?? []).slice(0, most)" :key="fault.kind">
      <div class="framed">
        <FoldPicture
          :drawing="fault.drawing"
          :title="t('faults.of', { what: fault.title })"
          :front="front"
          :back="back" />
        <span v-if="fault.behind" class="behind">{{ t('faults.behind') }}</span>
      </div>
      <p>
        <b>{{ fault.title }}</b> {{ fault.mend }} <span class="quiet">{{ fault.see }} {{ fault.then }}</span>
        <button
          v-if="lesson !== undefined"
          type="button"
          class="tick"
          :aria-pressed="isSeen(fault.kind)"
          :aria-label="labelled(fault)"
          @click="toggle(fault.kind)">
          {{ said(fault.kind) }}
        </button>
        <span v-else-if="fault.seen > 0" class="quiet">{{ t('faults.often', { n: fault.seen }, fault.seen) }}</span>
      </p>
    </li>
    <li v-if="faults.data.value?.length === 0" class="quiet">{{ t('faults.none') }}</li>
  </ul>
</template>

<style scoped>
.wrong-ones { display: flex; flex-wrap: wrap; gap: 12px 22px; }
.wrong-ones li {
  flex: 1 1 240px; display: grid; grid-template-columns: auto minmax(0, 1fr); gap: 12px; align-items: center;
}
.framed {
  position: relative; width: var(--framed, 84px); height: var(--framed, 84px); padding: 6px;
  border: 2px dashed var(--warn); background: var(--paper);
}
.behind {
  position: absolute; left: 0; right: 0; bottom: 0; font-size: 0.7rem; text-align: center; background: var(--paper);
}
p { font-size: var(--wrong, 0.92rem); line-height: 1.3; }
.tick { text-decoration: underline; font-weight: 650; padding: 0 8px; min-height: 24px; }
.tick[aria-pressed='true'] { text-decoration: none; background: var(--now); color: var(--on-now); }
</style>
