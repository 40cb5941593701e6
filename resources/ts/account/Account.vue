<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, Problem } from '../api/client'
import { useMe } from '../api/groups'
import HowItIsSaid from './HowItIsSaid.vue'
import People from './People.vue'

/** One's own account: a new password ends every other session. */
const { t } = useI18n()
const me = useMe()
const current = ref('')
const password = ref('')
const again = ref('')
const errors = ref<Record<string, string>>({})
const done = ref(false)
const busy = ref(false)
const differs = computed(() => again.value !== '' && again.value !== password.value)

async function submit() {
  done.value = false
  if (again.value !== password.value) {
    errors.value = { again: t('account.differs') }
    return
  }
  busy.value = true
  errors.value = {}
  try {
    await answer(client.PUT('/api/me/password', { body: { current: current.value, password: password.value } }))
    done.value = true
    current.value = password.value = again.value = ''
  } catch (problem) {
    const fields = problem instanceof Problem ? problem.fields : {}
    errors.value = Object.keys(fields).length ? fields : { current: problem instanceof Error ? problem.message : '' }
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="page columns">
    <HowItIsSaid v-if="me.data.value" :account="me.data.value" />
    <form class="sheet stack" novalidate @submit.prevent="submit">
      <h1>{{ t('account.title', { name: me.data.value?.name ?? '' }) }}</h1>
      <p class="quiet">{{ t('account.text') }}</p>
      <input
        class="hidden"
        type="text"
        autocomplete="username"
        :value="me.data.value?.name"
        aria-hidden="true"
        tabindex="-1" />
      <v-text-field
        v-model="current"
        type="password"
        autocomplete="current-password"
        :label="t('account.current')"
        :error-messages="errors['current']" />
      <v-text-field
        v-model="password"
        type="password"
        autocomplete="new-password"
        :label="t('account.new')"
        :hint="t('account.hint')"
        :error-messages="errors['password']" />
      <v-text-field
        v-model="again"
        type="password"
        autocomplete="new-password"
        :label="t('account.again')"
        :error-messages="errors['again'] ?? (differs ? t('account.differs') : '')" />
      <div class="row">
        <v-btn type="submit" color="primary" class="fold-button" :loading="busy">{{ t('account.change') }}</v-btn>
        <span v-if="done" class="good" role="status">{{ t('account.done') }}</span>
      </div>
    </form>
    <People v-if="me.data.value" :place="me.data.value.organisation" />
  </div>
</template>

<style scoped>
.columns { display: grid; grid-template-columns: repeat(auto-fit, minmax(320px, 1fr)); gap: 24px; align-items: start; }
form { max-width: 520px; padding: 28px; }
.hidden { display: none; }
</style>
