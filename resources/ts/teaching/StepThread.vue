<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { StepData } from '../api/client'

/**
 * The steps on a thread: filled when past, a ring now; the flag is where the plan says we should be; a bar where the
 * next model begins.
 */
const props = defineProps<{ steps: StepData[]; at: number; planned: number; begins: number[] }>()
defineEmits<{ go: [step: number] }>()
const { t } = useI18n()
const thread = ref<HTMLElement | null>(null)
/**
 * A long thread on a narrow screen is moved along, so that the step at hand is in sight; once the step itself is
 * painted, for measuring the thread before would lay out the whole stage twice.
 */
const follow = () => requestAnimationFrame(() => setTimeout(() => {
  const here = thread.value?.querySelector<HTMLElement>('.here')
  if (!thread.value || !here) return
  thread.value.scrollLeft = here.offsetLeft - (thread.value.clientWidth - here.offsetWidth) / 2
}))
onMounted(follow)
watch(() => props.at, follow, { flush: 'post' })
</script>

<template>
  <ol ref="thread" class="list thread" :aria-label="t('stage.thread')">
    <li
      v-for="step in steps"
      :key="step.number"
      :class="{
        past: step.number < at,
        here: step.number === at,
        check: step.checkpoint,
        begins: begins.includes(step.number),
      }">
      <button
        type="button"
        :aria-current="step.number === at ? 'step' : undefined"
        :aria-label="`${step.number} ${step.name}`"
        @click="$emit('go', step.number)">
        <i></i>
      </button>
      <span v-if="step.number === planned && planned !== at" class="flag">plan</span>
    </li>
  </ol>
</template>

<style scoped>
.thread {
  flex: 1; display: flex; justify-content: space-between; position: relative; min-width: 200px; overflow-x: auto;
  overflow-y: hidden;
}
.thread::before {
  content: ''; position: absolute; left: 16px; right: 16px; top: 50%; border-top: 2px solid var(--plank);
}
li { position: relative; flex: 1 1 0; min-width: 24px; display: grid; justify-items: center; }
button { width: 100%; max-width: 48px; height: 48px; display: grid; place-items: center; }
i { width: 14px; height: 14px; border: 2px solid var(--ink); background: var(--paper); display: block; }
.begins::before {
  content: ''; position: absolute; left: -1px; top: 4px; bottom: 4px; border-left: 3px solid var(--ink);
}
.check i { transform: rotate(45deg); }
.past i { background: var(--ink); }
.here i { background: var(--now); width: 20px; height: 20px; }
.flag {
  position: absolute; top: -4px; left: 50%; transform: translateX(-50%); background: var(--now); color: var(--on-now);
  font-size: 0.78rem;
  font-weight: 700; padding: 0 6px;
}
@media (forced-colors: active) {
  .past i { forced-color-adjust: none; background: CanvasText; border-color: CanvasText; }
  .here i { border: 6px double CanvasText; }
  .flag { border: 1px solid; }
}
@media (max-width: 1000px) { .thread { order: 9; flex-basis: 100%; } }
</style>
