<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Ways } from '../api/client'
import { useFaults } from '../api/queries'
import FoldPicture from '../parts/FoldPicture.vue'

/** If it looks like this: what may have gone wrong at a step, framed, with how to see it and how to mend it. */
const props = withDefaults(
  defineProps<{ slug: string; step: number; ways?: Ways; most?: number; front?: string; back?: string }>(),
  { ways: () => ({}), most: 3, front: '#0E6E7C', back: '#FDFCF8' },
)
const { t } = useI18n()
const faults = useFaults(
  () => props.slug,
  () => props.ways,
  () => props.step,
  true,
)
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
  position: relative; width: 84px; height: 84px; border: 2px dashed var(--warn); padding: 6px;
  background: var(--paper);
}
.behind {
  position: absolute; left: 0; right: 0; bottom: 0; font-size: 0.7rem; text-align: center; background: var(--paper);
}
p { font-size: 0.92rem; line-height: 1.3; }
</style>
