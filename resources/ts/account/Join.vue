<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, Problem } from '../api/client'
import AskState from '../parts/AskState.vue'

/** Coming in by an invitation: a name, an address and a password, and one is there. */
const props = defineProps<{ token: string }>()
const { t } = useI18n()
const found = useQuery({
  queryKey: ['invitation', props.token],
  queryFn: () => answer(client.GET('/api/join/{token}', { params: { path: { token: props.token } } })),
  retry: false,
})
const form = ref({ name: '', email: '', password: '' })
const errors = ref<Record<string, string>>({})
const busy = ref(false)

async function join() {
  busy.value = true
  errors.value = {}
  try {
    await answer(client.POST('/api/join/{token}', { params: { path: { token: props.token } }, body: form.value }))
    window.location.assign('/') // nothing of whoever was signed in here before stays on the screen
  } catch (error) {
    const fields = error instanceof Problem ? error.fields : {}
    errors.value = Object.keys(fields).length > 0 ? fields : { general: error instanceof Error ? error.message : '' }
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <AskState v-if="!found.data.value" :error="found.error.value" @again="found.refetch()" />
  <div v-else class="door">
    <form class="sheet stack" novalidate @submit.prevent="join">
      <h1>{{ t('join.title', { place: found.data.value.organisation }) }}</h1>
      <p class="quiet">{{ t(found.data.value.by ? 'join.by' : 'join.says', { name: found.data.value.by }) }}</p>
      <v-text-field v-model="form.name" :label="t('join.name')" autocomplete="name" :error-messages="errors['name']" />
      <v-text-field
        v-model="form.email"
        type="email"
        autocomplete="username"
        :label="t('signIn.email')"
        :error-messages="errors['email']" />
      <v-text-field
        v-model="form.password"
        type="password"
        autocomplete="new-password"
        :label="t('signIn.password')"
        :hint="t('account.hint')"
        persistent-hint
        :error-messages="errors['password']" />
      <p v-if="errors['general']" class="warn" role="alert">{{ errors['general'] }}</p>
      <v-btn type="submit" color="primary" class="fold-button" :loading="busy" size="large">{{ t('join.go') }}</v-btn>
    </form>
  </div>
</template>

<style scoped>
.door { min-height: 100vh; display: grid; place-items: center; padding: 24px; }
form { width: min(460px, 100%); padding: 40px; }
</style>
