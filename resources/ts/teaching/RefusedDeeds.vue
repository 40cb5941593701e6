<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { StoredDeed } from './outbox/store'

/** Deeds the server refused, with its reason: nothing is dropped but by hand. */
defineProps<{ deeds: readonly StoredDeed[] }>()
defineEmits<{ again: [id: number]; drop: [id: number] }>()
const { t } = useI18n()
</script>

<template>
  <ul v-if="deeds.length" class="list refused" role="alert">
    <li v-for="deed in deeds" :key="deed.id">
      <p class="warn">{{ t('stage.refused', { what: t(`deeds.${deed.event.kind}`), why: deed.aside }) }}</p>
      <button type="button" @click="$emit('again', deed.id)">{{ t('deeds.again') }}</button>
      <button type="button" @click="$emit('drop', deed.id)">{{ t('deeds.drop') }}</button>
    </li>
  </ul>
</template>

<style scoped>
.refused li { padding: 4px 0; border-bottom: 1px solid var(--row); }
button { min-height: 48px; padding: 0 12px 0 0; text-decoration: underline; }
</style>
