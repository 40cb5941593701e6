<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** What becomes of what was done here: nothing is said while it is sent as it should be. */
defineProps<{
  id: number
  signedOut: boolean
  ending: boolean
  /** something waits that was not taken at once */
  stalled: boolean
  unreachable: boolean
  /** said of learners and not sent yet; steps are not counted, but are kept as well */
  taps: number
  storageFailed: boolean
}>()
const { t } = useI18n()
</script>

<template>
  <p v-if="signedOut" class="warn">
    {{ t('stage.signIn') }}
    <RouterLink :to="{ name: 'sign-in', query: { to: `/lessons/${id}/teach` } }">{{ t('signIn.go') }}</RouterLink>
  </p>
  <p v-else-if="ending" class="warn" role="status">{{ t('stage.ending', taps) }}</p>
  <p v-else-if="stalled" class="warn" role="status">{{ t(unreachable ? 'stage.offline' : 'stage.stalled', taps) }}</p>
  <p v-if="storageFailed" class="warn" role="alert">{{ t('stage.storage') }}</p>
</template>
