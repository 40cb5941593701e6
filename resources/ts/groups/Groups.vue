<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { answer, client, type GroupData, Problem } from '../api/client'
import { useGroups, useMe, useSaveGroup } from '../api/queries'
import AskState from '../parts/AskState.vue'

const { t } = useI18n()
const me = useMe()
const groups = useGroups()
const save = useSaveGroup()
const cache = useQueryClient()
const editing = ref<GroupData | null>(null)
const erasing = ref<GroupData | null>(null)
const blank = () => ({ name: '', age: 'junior', helpers: '0', table: '4', names: '' })
const form = ref(blank())
const fields = computed(() => (save.error.value instanceof Problem ? save.error.value.fields : {}))
const nameErrors = computed(() =>
  Object.entries(fields.value)
    .filter(([at]) => at.startsWith('learners'))
    .map(([at, why]) => {
      const line = /^learners\/(\d+)/.exec(at)?.[1]
      return line === undefined ? why : t('groups.nameAt', { n: Number(line) + 1, why })
    }),
)

function change(group: GroupData) {
  editing.value = group
  form.value = {
    name: group.name,
    age: group.age_band,
    helpers: String(group.helpers),
    table: String(group.table_size ?? ''),
    names: group.learners.map((l) => l.name).join('\n'),
  }
}

/**
 * A line that says the same name again is the same learner, so records stay with people when the list is put in
 * order.
 */
function learners() {
  const known = [...(editing.value?.learners ?? [])]
  return form.value.names
    .split('\n')
    .map((n) => n.trim())
    .filter((n) => n !== '')
    .map((name) => {
      const at = known.findIndex((l) => l.name === name)
      return { id: at >= 0 ? (known.splice(at, 1)[0]?.id ?? null) : null, name }
    })
}
async function submit() {
  const body = {
    name: form.value.name,
    age_band: form.value.age,
    helpers: Number(form.value.helpers),
    table_size: form.value.table === '' ? null : Number(form.value.table),
    learners: learners(),
  }
  if (await save.mutateAsync({ ...(editing.value ? { id: editing.value.id } : {}), body }).catch(() => null)) {
    editing.value = null
    form.value = blank()
  }
}
async function erase() {
  if (!erasing.value) return
  await answer(client.DELETE('/api/groups/{group}', { params: { path: { group: erasing.value.id } } }))
  erasing.value = null
  await cache.invalidateQueries()
}
</script>

<template>
  <AskState v-if="!groups.data.value" :error="groups.error.value" @again="groups.refetch()" />
  <div v-else class="page layout">
    <section class="stack">
      <h1>{{ groups.data.value.length ? t('groups.title', { n: groups.data.value.length }) : t('groups.empty') }}</h1>
      <p v-if="groups.data.value.length === 0" class="quiet">{{ t('groups.emptyText') }}</p>
      <article v-for="group in groups.data.value" :key="group.id" class="sheet">
        <div class="row">
          <h2>{{ group.name }}</h2>
          <span class="quiet">{{ t('groups.learners', { n: group.learners.length }) }}, {{ group.age_label }}</span>
        </div>
        <p class="names">{{ group.learners.map((l) => l.name).join(', ') }}</p>
        <div class="row">
          <RouterLink :to="{ name: 'wall', params: { id: group.id } }"
            ><b>{{ t('groups.wall') }}</b></RouterLink
          >
          <v-btn variant="outlined" height="44" @click="change(group)">{{ t('groups.change') }}</v-btn>
          <v-btn variant="text" height="44" color="error" class="ml-auto" @click="erasing = group">{{
            t('groups.erase')
          }}</v-btn>
        </div>
      </article>
    </section>
    <form class="sheet stack" novalidate @submit.prevent="submit">
      <h2>{{ editing ? t('groups.change') : t('groups.add') }}</h2>
      <v-text-field v-model="form.name" :label="t('groups.name')" :error-messages="fields['name']" />
      <v-select
        v-model="form.age"
        :label="t('groups.age')"
        :items="(me.data.value?.age_bands ?? []).map((b) => ({ value: b.key, title: b.label }))"
        :error-messages="fields['age_band']" />
      <div class="pair">
        <v-text-field
          v-model="form.helpers"
          type="number"
          min="0"
          max="20"
          :label="t('groups.helpers')"
          :error-messages="fields['helpers']" /><v-text-field
          v-model="form.table"
          type="number"
          min="1"
          max="20"
          :label="t('groups.table')"
          :error-messages="fields['table_size']" />
      </div>
      <v-textarea v-model="form.names" :label="t('groups.names')" rows="10" :error-messages="nameErrors" />
      <p v-if="save.error.value && !Object.keys(fields).length" class="warn" role="alert">
        {{ save.error.value.message }}
      </p>
      <div class="row">
        <v-btn type="submit" color="primary" class="fold-button" :loading="save.isPending.value">{{
          t('app.save')
        }}</v-btn
        ><v-btn
          v-if="editing"
          variant="text"
          @click="
            editing = null
            form = blank()
          "
          >{{ t('app.cancel') }}</v-btn
        >
      </div>
    </form>
    <v-dialog :model-value="erasing !== null" max-width="480" @update:model-value="erasing = null">
      <div class="sheet stack">
        <p>{{ t('groups.sure', { name: erasing?.name }) }}</p>
        <div class="row">
          <v-btn color="error" @click="erase">{{ t('app.erase') }}</v-btn
          ><v-btn variant="text" @click="erasing = null">{{ t('app.cancel') }}</v-btn>
        </div>
      </div>
    </v-dialog>
  </div>
</template>

<style scoped>
.layout { display: grid; grid-template-columns: 1fr 360px; gap: 32px; align-items: start; }
.pair { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; }
.names { margin: 10px 0; }
@media (max-width: 900px) { .layout { grid-template-columns: 1fr; } }
</style>
