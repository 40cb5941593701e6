<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/**
 * The one line of advice, in a place of fixed height. Beside it the lead may say that the showing is over: plans of
 * later lessons then know how long this lead shows. Who never says it loses nothing.
 */
defineProps<{ text: string; reason: string; now: boolean; mayShow: boolean }>()
defineEmits<{ shown: [] }>()
const { t } = useI18n()
</script>

<template>
  <div class="advice" :class="{ now }">
    <p role="status"><b>{{ text }}</b><span>{{ reason }}</span></p>
    <button v-if="mayShow" type="button" :title="t('stage.shownSays')" @click="$emit('shown')">
      {{ t('stage.shown') }}<kbd class="key">{{ t('keys.name.S') }}</kbd>
    </button>
  </div>
</template>

<style scoped>
.advice {
  flex: none; background: var(--paper); height: 84px; padding: 0 0 0 16px; display: flex; gap: 8px; overflow: hidden;
}
p { flex: 1; min-width: 0; display: grid; align-content: center; gap: 2px; margin: 0; }
b { font-family: var(--head); font-size: 1.15rem; line-height: 1.15; }
span { font-size: 0.95rem; line-height: 1.2; }
button { flex: none; min-width: 76px; padding: 0 10px; border-left: 1px solid var(--line); font-size: 0.95rem; }
.key { display: table; margin: 4px auto 0; }
.advice.now {
  background: var(--now); color: var(--on-now); --ink: var(--on-now); --ink-2: var(--on-now);
  --tide-deep: var(--on-now);
}
@media (max-width: 1000px) { .advice { height: 62px; } }
@media (pointer: coarse) and (hover: none) { .key { display: none; } }
@media (forced-colors: active) { .advice { border: 1px solid; } .advice.now { border-width: 4px; } }
</style>
