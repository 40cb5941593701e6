<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { ModelFit } from '../api/client'

/** How a model would go with a group in a slot: "9 of 10 in 40 min: 85 %" as a lead would say it. */
const props = defineProps<{ fit: ModelFit; slotMinutes: number; learners: number }>()
const { t } = useI18n()
const done = computed(() => Math.round(props.fit.share * props.learners))
const said = computed(() =>
  props.fit.minutes <= props.slotMinutes
    ? t('fit.fits', { n: props.fit.minutes })
    : done.value === 0
      ? t('fit.none', { n: props.fit.minutes })
      : t('fit.some', { n: props.fit.minutes, done: done.value, of: props.learners }),
)
</script>

<template>
  <b class="fit" :class="{ over: fit.minutes > slotMinutes }">{{ said }}</b>
</template>

<style scoped>
.fit { display: block; }
.over { color: var(--over, var(--warn)); text-decoration: var(--over-line, none); }
</style>
