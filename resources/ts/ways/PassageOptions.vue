<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Passage } from '../api/client'
import FoldPicture from '../parts/FoldPicture.vue'

/** One passage of a model with its ways: each with its picture, for whom it is, its minutes and what is hard. */
const props = defineProps<{
  passage: Passage
  /** minutes as chosen; null where nobody is asked about */
  minutes: number | null
  front?: string
  back?: string
  /** why it cannot be chosen any more */
  closed?: string
}>()
const emit = defineEmits<{ choose: [option: string] }>()
const { t } = useI18n()

/** Minutes against what is chosen. */
function against(minutes: number | null) {
  if (minutes === null || props.minutes === null) return ''
  if (minutes === props.minutes) return t('teaching.same')
  return minutes > props.minutes
    ? t('teaching.more', { n: minutes - props.minutes })
    : t('teaching.less', { n: props.minutes - minutes })
}
</script>

<template>
  <fieldset :disabled="!!closed">
    <legend>
      <b>{{
        passage.question ??
        t('teaching.passage', { a: passage.first, b: passage.last }, passage.last - passage.first + 1)
      }}</b>
      <span class="quiet">{{ closed ?? t(passage.alike ? 'teaching.alike' : 'teaching.differs') }}</span>
    </legend>
    <div class="options">
      <label v-for="option in passage.options" :key="option.key" :class="{ chosen: option.chosen }">
        <span class="picture"
          ><FoldPicture :drawing="option.picture" :title="option.title" :front="front" :back="back"
        /></span>
        <span>
          <input
            type="radio"
            :name="passage.name"
            :checked="option.chosen"
            @change="emit('choose', option.key)" />
          <b>{{ option.title }}</b> <small v-if="option.usual" class="usual">{{ t('teaching.usual') }}</small>
          <span v-if="option.when" class="when">{{ option.when }}</span>
          <span class="when"
            ><b v-if="!option.chosen && option.minutes !== null">{{ against(option.minutes) }}, </b
            >{{ t('teaching.steps', { n: option.steps }, option.steps) }},
            {{
              option.hard.length
                ? t('teaching.hard', { what: [...new Set(option.hard)].join(', ') })
                : t('teaching.easy')
            }}</span
          >
        </span>
      </label>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset { border: 0; padding: 0; background: var(--paper); box-shadow: var(--shadow); }
.options { clear: both; display: grid; grid-template-columns: repeat(auto-fit, minmax(260px, 1fr)); }
legend { float: left; padding: 14px 20px 8px; display: flex; gap: 4px 16px; flex-wrap: wrap; align-items: baseline; }
legend b { font-family: var(--head); font-size: 1.25rem; }
label {
  display: grid; grid-template-columns: 92px 1fr; gap: 14px; padding: 14px 20px; cursor: pointer;
  border-top: 5px solid var(--rule); align-items: start;
}
label.chosen { border-top-color: var(--tide); background: var(--tint); }
:disabled label { cursor: default; }
:disabled label:not(.chosen) { color: var(--ink-2); }
input { width: 20px; height: 20px; accent-color: var(--tide-deep); vertical-align: -4px; margin-right: 6px; }
.picture { height: 92px; }
.usual { color: var(--tide-deep); font-weight: 650; }
.when { display: block; font-size: 0.92rem; }
</style>
