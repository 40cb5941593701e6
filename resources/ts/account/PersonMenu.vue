<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useMe } from '../api/groups'

/** Behind one's name: what is needed seldom, and the way out. */
const emit = defineEmits<{ help: []; out: [] }>()
const { t } = useI18n()
const me = useMe()
const items = computed(() => [
  { key: 'account', title: t('app.account'), to: { name: 'account' } },
  { key: 'bin', title: t('bin.title'), to: { name: 'bin' } },
  { key: 'help', title: t('app.keys'), act: () => emit('help') },
  { key: 'out', title: t('app.signOut'), act: () => emit('out') },
])
</script>

<template>
  <div>
    <v-menu location="bottom end">
      <template #activator="{ props: opens }">
        <button type="button" class="name" v-bind="opens">
          <b>{{ me.data.value?.name ?? '…' }}</b
          ><small>{{ me.data.value?.organisation }}</small>
        </button>
      </template>
      <v-list class="menu" density="compact">
        <v-list-item
          v-for="item in items"
          :key="item.key"
          :title="item.title"
          :to="item.to"
          min-height="44"
          @click="item.act?.()" />
      </v-list>
    </v-menu>
  </div>
</template>

<style scoped>
.name { display: grid; text-align: right; min-height: 44px; align-content: center; line-height: 1.2; }
.name b { text-decoration: underline; text-decoration-thickness: 1px; }
.name small { color: var(--ink-2); }
.menu { border-radius: 0; background: var(--paper); color: var(--ink); }
.menu :deep(.v-list-item-title) { letter-spacing: 0; font-size: 1rem; }
</style>
