<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { answer, client, Problem } from '../api/client'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const cache = useQueryClient()
const demo = document.getElementById('app')?.dataset ?? {}
const email = ref('')
const password = ref('')
const errors = ref<Record<string, string>>({})
const busy = ref(false)

async function signIn() {
  busy.value = true
  errors.value = {}
  try {
    cache.setQueryData(
      ['me'],
      await answer(client.POST('/api/sign-in', { body: { email: email.value, password: password.value } })),
    )
    const to = route.query['to']
    await router.replace(typeof to === 'string' && /^\/(?!\/)/.test(to) ? to : '/')
  } catch (error) {
    errors.value =
      error instanceof Problem
        ? Object.keys(error.fields).length > 0
          ? error.fields
          : { email: error.message }
        : { email: String(error) }
  } finally {
    busy.value = false
  }
}

function fill() {
  email.value = demo['demoEmail'] ?? ''
  password.value = demo['demoPassword'] ?? ''
}
</script>

<template>
  <div class="door">
    <form class="sheet stack" novalidate @submit.prevent="signIn">
      <p class="mark">Cathedra</p>
      <h1>{{ t('signIn.title') }}</h1>
      <v-text-field
        v-model="email"
        :label="t('signIn.email')"
        type="email"
        autocomplete="username"
        :error-messages="errors['email']"
        autofocus />
      <v-text-field
        v-model="password"
        :label="t('signIn.password')"
        type="password"
        autocomplete="current-password"
        :error-messages="errors['password']" />
      <v-btn type="submit" color="primary" class="fold-button" :loading="busy" size="large">{{ t('signIn.go') }}</v-btn>
      <div v-if="demo['demoEmail']" class="demo">
        <p>{{ t('signIn.demo', { email: demo['demoEmail'], password: demo['demoPassword'] }) }}</p>
        <button type="button" @click="fill">{{ t('signIn.fill') }}</button>
      </div>
    </form>
  </div>
</template>

<style scoped>
.door { min-height: 100vh; display: grid; place-items: center; padding: 24px; }
form {
  width: min(460px, 100%); padding: 40px; clip-path: polygon(0 0, calc(100% - 56px) 0, 100% 56px, 100% 100%, 0 100%);
  position: relative;
}
form::after {
  content: ''; position: absolute; right: 0; top: 0; border: 28px solid;
  border-color: transparent transparent var(--tide) var(--tide);
}
.mark { font-family: var(--head); font-weight: 800; color: var(--tide-deep); }
.demo { border-top: 1px solid var(--rule); padding-top: 12px; color: var(--ink-2); }
.demo button { text-decoration: underline; color: var(--tide-deep); font-weight: 700; min-height: 32px; }
</style>
