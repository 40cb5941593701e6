<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { nextTick, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Drawing, Ways } from '../api/client'
import { typing } from '../parts/typing'
import MotionPicture from './MotionPicture.vue'

/** One step, large, in motion, over the page it belongs to; it plays as soon as it is opened. */
export interface Shown {
  number: number
  kind: string
  name: string
  sentence: string
  drawing: Drawing
}
defineProps<{ slug: string; ways?: Ways; front?: string; back?: string }>()
const step = defineModel<Shown | undefined>({ required: true })
const { t } = useI18n()
const picture = useTemplateRef<InstanceType<typeof MotionPicture>>('picture')
watch(
  () => step.value?.number,
  async (number) => {
    if (number === undefined) return
    await nextTick()
    setTimeout(() => picture.value?.keys.p?.(), 150) // the dialog has come to rest, so the canvas has its size
  },
)
onKeyStroke((event) => {
  const act = picture.value?.keys[event.key.toLowerCase()]
  if (!step.value || typing(event) || !act) return
  event.preventDefault()
  act()
})
</script>

<template>
  <v-dialog
    :model-value="step !== undefined"
    max-width="860"
    :aria-label="step && `${step.number} ${step.name}`"
    @update:model-value="step = undefined">
    <div v-if="step" class="sheet stack">
      <h2>{{ step.number }} {{ step.name }}</h2>
      <p>{{ step.sentence }}</p>
      <div class="room">
        <MotionPicture
          ref="picture"
          :slug="slug"
          :ways="ways"
          :step="step.number"
          :drawing="step.drawing"
          :title="step.sentence"
          :front="front"
          :back="back" />
      </div>
      <v-btn color="primary" @click="step = undefined">{{ t('app.close') }}</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.room { height: min(56vh, 520px); }
</style>
