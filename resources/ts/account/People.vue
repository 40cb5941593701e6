<script setup lang="ts">
import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client } from '../api/client'
import { day } from '../parts/clock'

/** Who belongs to the place; a link invites one more, and is shown once. */
defineProps<{ place: string }>()
const { t } = useI18n()
const cache = useQueryClient()
const found = useQuery({ queryKey: ['people'], queryFn: () => answer(client.GET('/api/people')) })
const whom = ref('')
const link = ref('')
const copied = ref(false)
const again = () => cache.invalidateQueries({ queryKey: ['people'] })

const invite = useMutation({
  mutationFn: () => answer(client.POST('/api/invitations', { body: { whom: whom.value } })),
  onSuccess: ({ path }) => {
    link.value = location.origin + path
    copied.value = false
    whom.value = ''
    return again()
  },
})
const withdraw = useMutation({
  mutationFn: (invitation: number) =>
    answer(client.DELETE('/api/invitations/{invitation}', { params: { path: { invitation: String(invitation) } } })),
  onSettled: again,
})
const problem = computed(() => invite.error.value ?? withdraw.error.value ?? found.error.value)
const until = (at: string) => day(at, { today: t('home.today'), tomorrow: t('home.tomorrow') })

/** Where the device does not let a page write to its clipboard, the link stands marked to be copied by hand. */
async function copy(event: MouseEvent) {
  try {
    await navigator.clipboard.writeText(link.value)
    copied.value = true
  } catch {
    const field = (event.currentTarget as HTMLElement).parentElement?.querySelector('input')
    field?.select()
  }
}
</script>

<template>
  <section class="sheet stack">
    <h2>{{ t('people.title', { place }) }}</h2>
    <ul v-if="found.data.value" class="list">
      <li v-for="one in found.data.value.people" :key="one.id"><b>{{ one.name }}</b> <small>{{ one.email }}</small></li>
      <li v-for="one in found.data.value.invitations" :key="`i${one.id}`">
        {{ one.whom || t('people.somebody') }}
        <small>{{ t('people.invited', { day: until(one.until) }) }}</small>
        <button type="button" class="link" @click="withdraw.mutate(one.id)">{{ t('people.withdraw') }}</button>
      </li>
    </ul>
    <p v-if="problem" class="warn" role="alert">{{ problem.message }}</p>
    <div v-if="link" class="made" role="status">
      <label for="invitation">{{ t('people.link') }}</label>
      <input id="invitation" readonly :value="link" @focus="($event.target as HTMLInputElement).select()" />
      <v-btn @click="copy">{{ t(copied ? 'people.copied' : 'people.copy') }}</v-btn>
    </div>
    <form novalidate @submit.prevent="invite.mutate()">
      <v-text-field v-model="whom" :label="t('people.whom')" maxlength="80" hide-details />
      <v-btn type="submit" color="primary" class="fold-button" :loading="invite.isPending.value">{{
        t('people.invite')
      }}</v-btn>
    </form>
    <p class="quiet">{{ t('people.says') }}</p>
  </section>
</template>

<style scoped>
.sheet { padding: 28px; max-width: 520px; }
li { border-top: 1px solid var(--row); padding: 8px 0; }
small { color: var(--ink-2); }
.link { text-decoration: underline; min-height: 44px; padding: 0 8px; }
form { display: grid; grid-template-columns: 1fr auto; gap: 12px; align-items: center; }
.made { background: var(--now-pale); padding: 12px; display: grid; gap: 8px; justify-items: start; }
.made input { width: 100%; min-height: 44px; border: 1px solid var(--ink-2); padding: 0 8px; background: var(--paper); }
@media (max-width: 480px) { form { grid-template-columns: 1fr; } }
</style>
