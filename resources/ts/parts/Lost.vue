<script setup lang="ts">
import { useI18n } from 'vue-i18n'

const { t } = useI18n()
</script>

<template>
  <div class="page stack">
    <h1>{{ t('lost.title') }}</h1>
    <RouterLink :to="{ name: 'home' }">{{ t('lost.back') }}</RouterLink>
  </div>
</template>
