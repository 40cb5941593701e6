<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Ways } from '../api/client'
import { useWaysOfTeaching } from './ways'
import { useAskedGroup } from '../shelf/askedGroup'
import { useMattering } from './mattering'
import PassageOptions from './PassageOptions.vue'

/** The passages of a model that can be taught another way, on its page, asked for the group chosen there. */
const props = defineProps<{ slug: string; ways: Ways; front: string; back: string }>()
const emit = defineEmits<{ choose: [passage: string, option: string] }>()
const { t } = useI18n()
const { group, settled } = useAskedGroup()
const teaching = useWaysOfTeaching(
  () => props.slug,
  () => props.ways,
  () => group.value?.id,
  () => settled.value,
)
const { seen, isAll } = useMattering(() => teaching.data.value?.passages ?? [], () => teaching.coming.value)
</script>

<template>
  <section v-if="teaching.data.value?.passages.length" class="ways">
    <h2 v-if="teaching.coming.value">{{ t('teaching.link') }}</h2>
    <h2 v-else>
      {{ t('teaching.title', { n: teaching.data.value.passages.length }, teaching.data.value.passages.length) }}
    </h2>
    <p v-if="group && teaching.data.value.minutes" class="quiet">
      {{ t('teaching.as', { n: teaching.data.value.minutes, group: group.name }) }}
    </p>
    <PassageOptions
      v-for="passage in seen"
      :key="passage.name"
      :passage="passage"
      :minutes="teaching.data.value.minutes"
      :front="front"
      :back="back"
      @choose="(option) => emit('choose', passage.name, option)" />
    <button v-if="seen.length < teaching.data.value.passages.length" type="button" class="all" @click="isAll = true">
      {{ t('teaching.all', { n: teaching.data.value.passages.length }) }}
    </button>
    <p v-if="teaching.coming.value" class="quiet" role="status">{{ t('teaching.coming') }}</p>
  </section>
</template>

<style scoped>
.ways { margin-top: 28px; display: grid; gap: 14px; }
.all { justify-self: start; text-decoration: underline; min-height: 44px; font-weight: 650; }
.ways p { margin: -8px 0 0; }
</style>
