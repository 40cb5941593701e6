<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Ways } from '../api/client'
import { useWaysOfTeaching } from '../api/queries'
import FoldPicture from '../parts/FoldPicture.vue'
import { useAskedGroup } from './askedGroup'

/** The passages of a model that can be taught another way: each option with its end, its minutes and what is hard. */
const props = defineProps<{ slug: string; ways: Ways; front: string; back: string }>()
const emit = defineEmits<{ choose: [passage: string, option: string] }>()
const { t } = useI18n()
const { group } = useAskedGroup()
const teaching = useWaysOfTeaching(
  () => props.slug,
  () => props.ways,
  () => group.value?.id,
)
/** Minutes against what is chosen. */
function against(minutes: number | null) {
  const now = teaching.data.value?.minutes
  if (minutes === null || now === null || now === undefined) return ''
  if (minutes === now) return t('teaching.same')
  return minutes > now ? t('teaching.more', { n: minutes - now }) : t('teaching.less', { n: now - minutes })
}
</script>

<template>
  <section v-if="teaching.data.value?.passages.length" class="ways">
    <h2>{{ t('teaching.title', { n: teaching.data.value.passages.length }, teaching.data.value.passages.length) }}</h2>
    <p v-if="group && teaching.data.value.minutes" class="quiet">
      {{ t('teaching.as', { n: teaching.data.value.minutes, group: group.name }) }}
    </p>
    <fieldset v-for="passage in teaching.data.value.passages" :key="passage.name">
      <legend>
        <b>{{ passage.question ?? t('teaching.passage', { a: passage.first, b: passage.last }) }}</b>
        <span class="quiet">{{ t(passage.question ? 'teaching.differs' : 'teaching.alike') }}</span>
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
              @change="emit('choose', passage.name, option.key)" />
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
  </section>
</template>

<style scoped>
.ways { margin-top: 28px; }
fieldset {
  border: 0; padding: 0; margin-top: 14px; background: var(--paper); box-shadow: var(--shadow);
}
.options { clear: both; display: grid; grid-template-columns: repeat(auto-fit, minmax(260px, 1fr)); }
legend { float: left; padding: 14px 20px 8px; display: flex; gap: 4px 16px; flex-wrap: wrap; }
legend b { font-family: var(--head); font-size: 1.1rem; }
label {
  display: grid; grid-template-columns: 92px 1fr; gap: 14px; padding: 14px 20px; cursor: pointer;
  border-top: 4px solid var(--rule); align-items: start;
}
label.chosen { border-top-color: var(--tide); background: #eef3f1; }
input { width: 20px; height: 20px; accent-color: var(--tide-deep); vertical-align: -4px; margin-right: 6px; }
.picture { height: 92px; }
.usual { color: var(--tide-deep); font-weight: 650; }
.when { display: block; font-size: 0.92rem; }
</style>
