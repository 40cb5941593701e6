<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { clock, day, wallNow } from './clock'
import type { Unsaved } from './unsaved'

/** What was typed here before and never saved is offered again; what is typed now is said to be kept. */
const props = defineProps<{ unsaved: Unsaved }>()
const { t } = useI18n()
const when = computed(() => {
  const draft = props.unsaved.offered.value
  if (!draft) return ''
  const at = wallNow(new Date(draft.at))
  return `${day(at, { today: t('home.today'), tomorrow: t('home.tomorrow') })} ${clock(at)}`
})
</script>

<template>
  <p v-if="unsaved.offered.value" class="caution draft" role="status">
    {{ t('unsaved.offer', { when }) }}
    <button type="button" @click="unsaved.use()">{{ t('unsaved.use') }}</button>
    <button type="button" @click="unsaved.discard()">{{ t('unsaved.discard') }}</button>
  </p>
  <p v-else-if="unsaved.isChanged.value" class="quiet">{{ t('unsaved.kept') }}</p>
</template>

<style scoped>
.draft button { text-decoration: underline; font-weight: 650; min-height: 44px; padding: 0 8px; }
</style>
