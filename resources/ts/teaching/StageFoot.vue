<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Seat } from './useSeats'

/** Five places at the foot; the big one says what it will do. */
const props = defineProps<{
  at: number
  total: number
  preview: boolean
  /** nothing is taught: the room says by itself who has it */
  rehearsed: boolean
  here: number
  staying: readonly Seat[]
  /** every done is tapped: a step on says nothing of anybody */
  close: boolean
  more: boolean
}>()
defineEmits<{ back: []; again: []; next: []; begin: []; end: []; all: []; more: [] }>()
const { t } = useI18n()
const MOST = 3
const goes = computed(() => {
  const names = props.staying.slice(0, MOST).map((seat) => seat.name).join(', ')
  const more = props.staying.length - MOST
  const go = props.here - props.staying.length
  if (props.close || props.at < 1) return t('stage.nextKey')
  if (names === '') return t('stage.allGo', { n: props.here })
  return more > 0 ? t('stage.someGoMore', { go, names, more }) : t('stage.someGo', { go, names }, props.staying.length)
})
</script>

<template>
  <footer>
    <button type="button" :disabled="at <= 0" @click="$emit('back')">
      <b>{{ t('stage.back2') }}</b><span>{{ t('stage.backSays') }}</span>
    </button>
    <button v-if="preview" type="button" :disabled="at >= total" @click="$emit('next')">
      <b>{{ t('stage.lookOn') }}</b><span>{{ t('stage.nextKey') }}</span>
    </button>
    <button v-else type="button" @click="$emit('again')">
      <b>{{ t('stage.again') }}</b><span>R</span>
    </button>
    <button v-if="preview" type="button" class="next" @click="$emit('begin')">
      <b>{{ t('stage.begin') }}</b><span>{{ t('stage.beginSays', { n: here }) }}</span>
    </button>
    <button v-else-if="at <= total" type="button" class="next" @click="$emit('next')">
      <b>{{ t('stage.next') }}</b><span>{{ goes }}</span>
    </button>
    <button v-else type="button" class="next" @click="$emit('end')">
      <b>{{ t('stage.end2') }}</b><span>{{ t('stage.endSays') }}</span>
    </button>
    <button type="button" :disabled="preview || rehearsed || at < 1 || at > total" @click="$emit('all')">
      <b>{{ t('stage.allHave') }}</b><span>{{ t('stage.tableSays') }}</span>
    </button>
    <button type="button" :aria-expanded="more" @click="$emit('more')">
      <b>{{ t('stage.more') }}</b><span>{{ t('stage.moreSays') }}</span>
    </button>
    <slot />
  </footer>
</template>

<style scoped>
footer {
  grid-column: 1 / -1; display: grid; position: relative; background: var(--bar);
  grid-template-columns: 150px 170px minmax(0, 1fr) 200px 150px;
}
footer > button {
  color: white; min-height: 78px; display: grid; align-content: center; gap: 4px; border-right: 1px solid #3b4a51;
  padding: 0 6px; min-width: 0;
}
button:disabled b { color: #8c9aa0; }
b { font-family: var(--head); font-size: 1.15rem; }
span { color: #c3ccd0; font-size: 0.85rem; }
.next { background: var(--tide); }
.next b { font-size: 1.45rem; }
.next span { color: #f0f7f7; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
button:focus-visible { outline-offset: -6px; }
@media (max-width: 1000px) { footer { grid-template-columns: 1fr 1.1fr 2fr 1.2fr 1fr; } }
@media (max-width: 640px) {
  footer { position: sticky; bottom: 0; z-index: 2; grid-template-columns: 1fr 1fr 1fr 1fr; }
  footer > button { min-height: 58px; }
  .next { grid-column: 1 / -1; grid-row: 1; }
  b { font-size: 0.95rem; }
  .next b { font-size: 1.15rem; }
  footer > button:not(.next) span { display: none; }
}
@media (pointer: coarse) and (hover: none) { footer :deep(.key) { display: none; } }
@media (forced-colors: active) {
  footer > button, footer > button b, footer > .next span, footer > button span { color: ButtonText; }
  footer > button { border: 1px solid; }
  .next { border-width: 4px; }
}
</style>
